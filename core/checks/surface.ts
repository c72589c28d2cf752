import { present } from "../basics";
import type { Id } from "../basics";
import { findBox, spotAt, spotBounds } from "../layout";
import type { LayoutBox, LayoutEnv } from "../layout";
import {
  Resolver,
  inTheme,
  otherThemes,
  themeOf,
  themeText,
  variantKey,
  variantName,
} from "../looks";
import { hiddenIn, rulesOf } from "../machine";
import { contrastOf } from "../paint";
import { ROOT } from "../project";
import type { Layer, Project, Rule, Variant } from "../project";
import { sceneOf, touchedAlike } from "../runtime";
import { felt } from "./felt";
import { groundOf } from "./ground";
import { tabOrder } from "./spoken";
import { situated } from "./walk/explore";
import { Surveyor } from "./walk/places";
import type { Looked } from "./walk/places";
import type { Edge, Happening, Node, Situated } from "./walk/types";
import { wayTo } from "./walk/way";
import { findingId } from "./types";
import type { Finding, Inspected } from "./types";
import { checksWords } from "./words";

/** A layer may creep so far from under a pointer before it counts as moved away, px. */
const CREEP = 1;

const name = ({ piece }: Inspected, id: Id): string =>
  id === ROOT ? checksWords.wholePiece : (piece.layers[id]?.name ?? checksWords.deletedLayer);

/** One situation for each variant of the piece that was reached, at rest where there is one. */
const byVariant = ({ piece, space }: Inspected): readonly Situated[] => {
  const out = new Map<string, Situated>();
  for (const node of space.nodes) {
    if (!node.isHere || !node.isOpen) continue;
    const key = variantKey(piece, node.variant);
    if (!out.has(key)) out.set(key, situated(space, node));
  }
  return [...out.values()];
};

/** How opaque a layer is with all that is around it, 0–1; 0 when it is not there. */
const opacityOf = (p: LayoutBox, id: Id): number => {
  const own = p.values.opacity;
  if (p.layer.id === id) return own;
  for (const c of p.children) {
    const inner = opacityOf(c, id);
    if (inner > 0) return inner * own;
  }
  return 0;
};

/** A text that is hard to read in a variant, as it looks in a theme. */
const faintText = (
  { project, piece }: Inspected,
  node: Node,
  scene: LayoutBox,
  text: Layer,
): Finding | null => {
  if (hiddenIn(piece, node.variant, text) || opacityOf(scene, text.id) < 0.1) return null;
  const c = contrastOf(scene, text.id, groundOf(project));
  if (!c || c.ratio >= c.needed - 0.005) return null;
  const variant = variantName(piece, node.variant) || checksWords.onlyVariant;
  const shown = themeText(project);
  const where = shown === "" ? variant : checksWords.inTheme(variant, shown);
  return {
    id: findingId("contrast", text.id),
    kind: "contrast",
    severity: "warning",
    layers: [text.id],
    rules: [],
    theme: themeOf(project),
    variant: node.variant,
    way: wayTo(project, piece, node),
    text: checksWords.hasLowContrastAgainst(text.name, where, c.ratio, c.ground, c.needed),
  };
};

/** Whether a layer has moved out from under a pointer near one of its edges. */
const movedAway = (before: LayoutBox | null, after: LayoutBox | null, id: Id): boolean => {
  const was = before && spotAt(before, id);
  const is = after && spotAt(after, id);
  if (!was || !is) return false;
  const a = spotBounds(was);
  const b = spotBounds(is);
  const far = CREEP + present(findBox(after, id)?.placed.values.touch);
  return (
    b.x > a.x + far ||
    b.y > a.y + far ||
    b.x + b.width < a.x + a.width - far ||
    b.y + b.height < a.y + a.height - far
  );
};

/**
 * The rule by which hovering a layer changed something that comes back when it is left; null for
 * any other event.
 */
const hoverRule = (subject: Inspected, event: Happening): Rule | null => {
  if (event.type !== "fired" || event.path !== subject.piece.id) return null;
  if (event.trigger !== "hover" && event.trigger !== "enter") return null;
  const rule = subject.piece.rules[event.rule];
  return rule && comesBack(subject, rule.source, rule.undo) ? rule : null;
};

const restart = (subject: Inspected, edge: Edge, rule: Rule): Finding => ({
  id: findingId("restarts", rule.id),
  kind: "restarts",
  severity: "warning",
  layers: rule.source ? [rule.source] : [],
  rules: [rule.id],
  variant: edge.to.variant,
  way: wayTo(subject.project, subject.piece, edge.from, edge.does),
  text: checksWords.nearEdgeHoveringMoves(name(subject, rule.source ?? ROOT)),
});

/** Whether a theme is so as far as another one says. */
const holdsIn = (said: Variant, theme: Variant): boolean =>
  Object.entries(said).every(([trait, value]) => theme[trait] === value);

/** A finding of a theme that is not the usual one: it stands for itself, and says where it is. */
const ofTheme = (project: Project, finding: Finding): Finding => {
  const theme = themeOf(project);
  return { ...finding, id: findingId(finding.kind, finding.id, ...Object.values(theme)), theme };
};

/** What is seen in a situation, and what of it can be touched. */
type Look = (at: Situated) => Looked | null;

/**
 * What is seen and felt of the variants in one theme. `usual` looks at them in the usual one, if
 * this is another: what feels the same as there is not felt again.
 */
function* inOneTheme(
  subject: Inspected,
  look: Look,
  usual: Look | null,
  add: (finding: Finding) => void,
): Generator<void, void> {
  const { piece } = subject;
  const texts = Object.values(piece.layers).filter((l) => l.kind === "text");
  for (const at of byVariant(subject)) {
    const looked = look(at);
    if (!looked) continue;
    const { scene } = looked;
    const before = usual?.(at)?.scene;
    for (const text of texts) {
      const faint = faintText(subject, at.node, scene, text);
      if (faint) add(faint);
    }
    if (!before || !touchedAlike(before, scene))
      for (const finding of felt(subject, at, looked)) add(finding);
    yield;
  }
}

/**
 * What one sees and touches: contrast of texts, size of what is pressed, hovers that move away from
 * under the pointer. Yields now and then.
 */
export function* surface(env: LayoutEnv, subject: Inspected): Generator<void, Finding[]> {
  const { project, space } = subject;
  const resolver = new Resolver();
  const out = new Map<string, Finding>();
  const add = (f: Finding) => {
    if (!out.has(f.id)) out.set(f.id, f);
  };
  const usual: Look = ({ node }) => present(space.grounds.at(node.shown)).look();
  yield* inOneTheme(subject, usual, null, add);
  const inThemes: { readonly id: Id; readonly theme: Variant }[] = [];
  for (const theme of otherThemes(project)) {
    const themed = inTheme(project, theme);
    const surveyor = new Surveyor(env, themed);
    const look: Look = ({ state }) => surveyor.look(state);
    yield* inOneTheme({ ...subject, project: themed }, look, usual, (finding) => {
      const isSaid = inThemes.some((f) => f.id === finding.id && holdsIn(f.theme, theme));
      if (isSaid || out.has(finding.id)) return;
      inThemes.push({ id: finding.id, theme });
      add(ofTheme(themed, finding));
    });
  }
  for (const finding of tabOrder(env, subject)) add(finding);
  for (const edge of space.edges) {
    for (const event of edge.happened) {
      const rule = hoverRule(subject, event);
      if (!rule || out.has(findingId("restarts", rule.id))) continue;
      const before = sceneOf(env, project, resolver, situated(space, edge.from).state);
      const after = sceneOf(env, project, resolver, situated(space, edge.to).state);
      if (movedAway(before, after, rule.source ?? ROOT)) add(restart(subject, edge, rule));
    }
  }
  return [...out.values()];
}

/** Whether leaving a layer takes back what entering it did. */
const comesBack = ({ project, piece }: Inspected, source: Id | null, undo: boolean): boolean =>
  undo || rulesOf(project, piece).some((r) => r.trigger.type === "leave" && r.source === source);
