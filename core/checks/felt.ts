import type { Id } from "../basics";
import { setValues } from "../edit";
import { findBox, mapPoint, spotAt, spotBounds, overlaps } from "../layout";
import { chainOf, isPressed, listeningLayers, rulesOf, withinScreen } from "../machine";
import type { Path } from "../machine";
import { ROOT } from "../project";
import type { Rule } from "../project";
import type { Touchable } from "../runtime";
import type { Looked } from "./walk/places";
import type { Situated } from "./walk/types";
import { findingId } from "./types";
import type { Finding, Inspected } from "./types";
import { checksWords } from "./words";

/** WCAG 2.2 §2.5.8: a target is at least so large in both directions, px. */
const SMALLEST = 24;
/** How many places are tried across and down a layer to see what lies over it. */
const PLACES = 9;
/** The share of a layer that may be covered by chance. */
const COVERED = 0.1;

const name = ({ piece }: Inspected, id: Id): string =>
  id === ROOT ? checksWords.wholePiece : (piece.layers[id]?.name ?? checksWords.deletedLayer);

/** A layer with rules for presses, in a variant where it takes the pointer. */
interface Target {
  readonly id: Id;
  readonly situated: Situated;
  readonly looked: Looked;
}

/** One that is too small for a finger. */
const smallTarget = (subject: Inspected, { id, situated, looked }: Target): Finding | null => {
  const { scene, touchable: touch } = looked;
  const placed = findBox(scene, id)?.placed;
  const spot = spotAt(scene, id);
  const area = placed && touch.areaOf(id, placed);
  if (!placed || !spot || !area) return null;
  const bounds = spotBounds({ ...area, map: spot.map });
  const drawn = spotBounds(spot);
  // what is drawn together to nothing is on its way out, not a target
  if (drawn.width < 1 || drawn.height < 1) return null;
  const smallest = Math.min(bounds.width, bounds.height);
  if (smallest >= SMALLEST) return null;
  const more = placed.values.touch + Math.ceil((SMALLEST - smallest) / 2);
  return {
    id: findingId("small", id),
    kind: "small",
    severity: "warning",
    layers: [id],
    rules: [],
    variant: situated.node.variant,
    text: checksWords.touchAreaOnlyPx(name(subject, id), bounds.width, bounds.height, SMALLEST),
    fix: {
      label: checksWords.addPxTouchPadding(more),
      change: setValues(subject.piece, [{}], { [id]: { touch: more } }),
    },
  };
};

/**
 * The layer of the piece that a press on a layer would meet without doing anything for a target;
 * null where it does something, or is part of the target.
 */
const deadLayer = (
  { project, piece }: Inspected,
  { id, situated: { state } }: Target,
  presses: ReadonlySet<string>,
  hit: Path,
): Id | null => {
  const chain = chainOf(project, state, hit);
  const target = `${piece.id}/${id}`;
  if (chain.length === 0 || chain.includes(target)) return null;
  // a layer around it is met beside its shape, not above it
  const around = chainOf(project, state, id);
  const [inner] = chain;
  if (inner === undefined || around.includes(inner)) return null;
  if (chain.some((path) => presses.has(path))) return null;
  return withinScreen(inner).split("/")[0] ?? null;
};

/** Something without an answer of its own that lies over what is pressed. */
const covered = (subject: Inspected, target: Target, presses: ReadonlySet<string>) => {
  const { project, piece } = subject;
  const { scene, touchable: touch } = target.looked;
  const spot = spotAt(scene, target.id);
  if (!spot) return null;
  const isDead = (path: Path): boolean => deadLayer(subject, target, presses, path) !== null;
  // most targets have nothing beside them that could lie over them
  const bounds = spotBounds(spot);
  const isOver = (path: Path): boolean => {
    const there = touch.boundsOf(path);
    return there !== null && overlaps(bounds, there);
  };
  if (!touch.takers.some((path) => isDead(path) && isOver(path))) return null;
  const found = new Map<Id, number>();
  for (let i = 0; i < PLACES * PLACES; i++) {
    const x = (spot.width * ((i % PLACES) + 0.5)) / PLACES;
    const y = (spot.height * (Math.floor(i / PLACES) + 0.5)) / PLACES;
    const hit = touch.hit(scene, ...mapPoint(spot.map, x, y))?.path;
    const cover = hit === undefined ? null : deadLayer(subject, target, presses, hit);
    if (cover !== null) found.set(cover, (found.get(cover) ?? 0) + 1);
  }
  const [most] = [...found].sort((a, b) => b[1] - a[1]);
  if (!most) return null;
  const [cover, places] = most;
  const share = places / PLACES ** 2;
  if (share < COVERED) return null;
  const text = checksWords.coversClicksThereDo(
    name(subject, cover),
    name(subject, target.id),
    Math.round(share * 100),
  );
  const listens = listeningLayers(project, piece).has(cover);
  const fix = {
    label: checksWords.letClicksThrough(name(subject, cover)),
    change: setValues(piece, [{}], { [cover]: { pointer: "never" } }),
  };
  return {
    id: findingId("covered", target.id, cover),
    kind: "covered",
    severity: "warning",
    layers: [cover, target.id],
    rules: [],
    variant: target.situated.node.variant,
    text,
    // where rules listen on it, it is not for us to take the pointer from it
    ...(listens ? {} : { fix }),
  } satisfies Finding;
};

/** Layers of all copies with rules for presses, by their paths. */
const pressedPaths = ({ project }: Inspected, touch: Touchable): ReadonlySet<string> =>
  new Set(
    touch.copies.flatMap(({ path, piece }) =>
      rulesOf(project, piece)
        .filter(isPressed)
        .map((r: Rule) => `${path}/${r.source ?? ROOT}`),
    ),
  );

/** What a finger feels of one variant: targets that are too small, or covered. */
export const felt = (subject: Inspected, situated: Situated, looked: Looked): Finding[] => {
  const { project, piece } = subject;
  const touch = looked.touchable;
  const presses = pressedPaths(subject, touch);
  const sources = new Set(
    rulesOf(project, piece)
      .filter(isPressed)
      .map((r) => r.source ?? ROOT),
  );
  return [...sources].flatMap((id) => {
    if (!touch.takesPointer(id)) return [];
    const target = { id, situated, looked };
    return [smallTarget(subject, target), covered(subject, target, presses)].filter(
      (f): f is Finding => f !== null,
    );
  });
};
