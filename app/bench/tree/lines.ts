import type { Id } from "#core/basics";
import { changesIn, childrenOf, looksIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { Layer, Piece, Variant } from "#core/project";

/** A line of the tree. */
export interface Line {
  readonly layer: Layer;
  /** how many boxes it lies in */
  readonly depth: number;
  readonly parent: boolean;
}

type Layered = Pick<Piece, "layers">;

/**
 * The tree as lines, frontmost layers first, as they cover one another; only what matches and what
 * is around it when one looks for something.
 */
export const linesOf = (piece: Layered, closed: ReadonlySet<Id>, find = ""): Line[] => {
  const out: Line[] = [];
  const text = find.trim().toLowerCase();
  const matches = (layer: Layer): boolean =>
    layer.name.toLowerCase().includes(text) ||
    layer.kind.includes(text) ||
    (childrenOf(piece).get(layer.id) ?? []).some(matches);
  const visit = (layer: Layer, depth: number) => {
    if (text !== "" && !matches(layer)) return;
    const children = childrenOf(piece).get(layer.id) ?? [];
    out.push({ layer, depth, parent: children.length > 0 });
    if (text !== "" || !closed.has(layer.id))
      for (const child of [...children].reverse()) visit(child, depth + 1);
  };
  const root = piece.layers[ROOT];
  if (root) visit(root, 0);
  return out;
};

/** The layers that a variant does not show. */
export const hiddenIn = (piece: Layered & Pick<Piece, "looks">, variant: Variant): Id[] => {
  const looks = looksIn(piece, variant);
  const visible = (id: Id) =>
    changesIn(looks, id).findLast((c) => c.visible !== undefined)?.visible;
  return Object.keys(piece.layers).filter((id) => visible(id) === false);
};

/** Where a dragged line would land. */
export interface Landing {
  readonly id: Id;
  readonly where: "above" | "below" | "into";
}

/**
 * Where among what a box holds, without what is moved, a landing is, counted from the back; null
 * where it is none.
 */
export const placeOf = (
  piece: Layered,
  { id, where }: Landing,
  moved: readonly Id[],
): { readonly parent: Id; readonly index: number } | null => {
  const parent = where === "into" ? id : (piece.layers[id]?.parent ?? ROOT);
  const list = (childrenOf(piece).get(parent) ?? []).filter((l) => !moved.includes(l.id));
  if (where === "into") return { parent, index: list.length };
  const at = list.findIndex((l) => l.id === id);
  return at < 0 ? null : { parent, index: where === "above" ? at + 1 : at };
};

/** What a key does in the tree: goes to a line, folds one, or nothing (null). */
export type TreeStep = { readonly go: Id } | { readonly fold: Id; readonly shut: boolean };

/**
 * Where keys lead in a tree (WAI-ARIA Authoring Practices, Tree View): up and down, out and in,
 * Home and End.
 */
export const treeStep = (
  lines: readonly Line[],
  lead: Id,
  closed: ReadonlySet<Id>,
  key: string,
): TreeStep | null => {
  const at = lines.findIndex((l) => l.layer.id === lead);
  const line = lines[at];
  const go = (to: Line | undefined): TreeStep | null => (to ? { go: to.layer.id } : null);
  if (!line) return null;
  switch (key) {
    case "ArrowUp":
      return go(lines[at - 1]);
    case "ArrowDown":
      return go(lines[at + 1]);
    case "Home":
      return go(lines[0]);
    case "End":
      return go(lines.at(-1));
    case "ArrowLeft":
      if (line.parent && !closed.has(lead)) return { fold: lead, shut: true };
      return go(lines.find((l) => l.layer.id === line.layer.parent));
    case "ArrowRight":
      if (closed.has(lead)) return { fold: lead, shut: false };
      return line.parent ? go(lines[at + 1]) : null;
    default:
      return null;
  }
};

/** The next line whose name begins with what was typed, from the one after `lead` round to it. */
export const lineBeginning = (lines: readonly Line[], lead: Id, typed: string): Id | null => {
  const at = lines.findIndex((l) => l.layer.id === lead);
  // more letters of the same name stay where they led to
  const from = typed.length > 1 ? at : at + 1;
  const round = [...lines.slice(from), ...lines.slice(0, from)];
  const text = typed.toLowerCase();
  return round.find((l) => l.layer.name.toLowerCase().startsWith(text))?.layer.id ?? null;
};
