import { ownPieces } from "../../world";
import type { Id } from "../../basics";
import { setStatus } from "../../edit";
import { BASE } from "../../project";
import type { Layer, Piece, Project } from "../../project";
import { libraryWords } from "../words";
import { copiesOf } from "../uses";
import type { SystemFinding } from "./types";

/** From this share of common marks on two components are nearly the same. */
const ALIKE = 0.85;
/** Components of fewer layers are alike by chance. */
const FEWEST_LAYERS = 2;

/** What components of one kind differ in rightly: what they say, what they are called. */
const contents: ReadonlySet<string> = new Set(["text", "label", "icon", "picture", "x", "y"]);

/** What a component is made of, as a bag of marks that can be compared. */
interface Marks {
  readonly piece: Piece;
  readonly structure: ReadonlyMap<string, number>;
  readonly looks: ReadonlyMap<string, number>;
}

const count = (marks: Iterable<string>): ReadonlyMap<string, number> => {
  const bag = new Map<string, number>();
  for (const mark of marks) bag.set(mark, (bag.get(mark) ?? 0) + 1);
  return bag;
};

/** A layer by its kind and those around it: its place in the tree without any name. */
const placeOf = (piece: Piece, layer: Layer): string => {
  const kinds: string[] = [];
  const seen = new Set<Id>();
  for (let at: Layer | undefined = layer; at && !seen.has(at.id);) {
    seen.add(at.id);
    kinds.push(at.kind);
    at = at.parent === null ? undefined : piece.layers[at.parent];
  }
  return kinds.join("<");
};

const marks = new WeakMap<Piece, Marks>();

const marksOf = (piece: Piece): Marks => {
  const known = marks.get(piece);
  if (known) return known;
  const places = new Map(
    Object.values(piece.layers).map((layer) => [layer.id, placeOf(piece, layer)] as const),
  );
  const said = Object.values(piece.looks).flatMap((look) =>
    Object.entries(look.changes).flatMap(([layer, changes]) =>
      Object.entries(changes)
        .filter(([key]) => !contents.has(key))
        .map(([key, value]) => {
          const where = look.id === BASE ? "" : Object.keys(look.when).length;
          return `${places.get(layer) ?? ""} ${where} ${key} ${JSON.stringify(value)}`;
        }),
    ),
  );
  const values = Object.values(piece.traits).map((t) => `trait ${Object.keys(t.values).length}`);
  const made = {
    piece,
    structure: count([...places.values(), ...values]),
    looks: count(said),
  };
  marks.set(piece, made);
  return made;
};

/** How much two bags have in common: 1 where they are the same (weighted Jaccard index). */
const common = (a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>): number => {
  let both = 0;
  let either = 0;
  for (const [mark, n] of a) {
    const m = b.get(mark) ?? 0;
    both += Math.min(n, m);
    either += Math.max(n, m);
  }
  for (const [mark, m] of b) if (!a.has(mark)) either += m;
  return either === 0 ? 1 : both / either;
};

const sizeOf = (bag: ReadonlyMap<string, number>): number =>
  [...bag.values()].reduce((a, b) => a + b, 0);

/** Components that are nearly the same in structure and looks; the less used of two is to go. */
export const alike = (project: Project): readonly SystemFinding[] => {
  const all = ownPieces(project)
    .filter((p) => p.kind === "component" && typeof p.status !== "object")
    .filter((p) => Object.keys(p.layers).length >= FEWEST_LAYERS)
    .map(marksOf)
    .map((m) => ({ ...m, size: sizeOf(m.structure) }))
    .sort((a, b) => a.size - b.size);
  const found: SystemFinding[] = [];
  for (const [i, a] of all.entries())
    for (const b of all.slice(i + 1)) {
      // so much larger that they cannot have enough in common
      if (a.size < b.size * ALIKE) break;
      if (common(a.structure, b.structure) < ALIKE || common(a.looks, b.looks) < ALIKE) continue;
      const [kept, spare] =
        copiesOf(project, a.piece.id) >= copiesOf(project, b.piece.id) ? [a, b] : [b, a];
      found.push({
        id: `alike ${kept.piece.id} ${spare.piece.id}`,
        check: "alike",
        text: libraryWords.alike(kept.piece.name, spare.piece.name),
        pieces: [kept.piece.id, spare.piece.id],
        fixes: [
          {
            label: libraryWords.supersede(spare.piece.name),
            change: setStatus(spare.piece, { supersededBy: kept.piece.id }),
          },
        ],
      });
    }
  return found;
};
