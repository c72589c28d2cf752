import type { Id } from "#core/basics";
import { isUnused, traitsOf, valuesOf, variantKey } from "#core/looks";
import type { Trait, Variant, Varying } from "#core/project";
import type { GridView } from "./view";

/** One line of the stage: the trait values all its cards share, outermost trait first. */
export interface GridLine {
  readonly key: string;
  readonly values: readonly { trait: Trait; value: string; name: string }[];
}

/** The variants of a piece as rows × columns along its traits. */
export interface Grid {
  readonly rows: readonly GridLine[];
  readonly columns: readonly GridLine[];
}

const lines = (traits: readonly Trait[], hidden: GridView["hidden"]): GridLine[] => {
  let out: GridLine[] = [{ key: "", values: [] }];
  for (const trait of traits) {
    const shown = valuesOf(trait).filter((v) => !hidden[trait.id]?.includes(v.id));
    out = out.flatMap((line) =>
      (shown.length ? shown : valuesOf(trait)).map((v) => ({
        key: `${line.key}.${v.id}`,
        values: [...line.values, { trait, value: v.id, name: v.name }],
      })),
    );
  }
  return out;
};

/** The traits that go down: those chosen, else the first half; a single trait goes across. */
export const downOf = (piece: Varying, chosen: readonly Id[] | null): Set<Id> => {
  const traits = traitsOf(piece);
  return new Set(
    chosen
      ? chosen.filter((id) => piece.traits[id])
      : traits.slice(0, Math.floor(traits.length / 2)).map((t) => t.id),
  );
};

/** Rows and columns along the traits, without the values that are filtered out. */
export const gridOf = (
  piece: Varying,
  view: Pick<GridView, "down" | "hidden"> = { down: null, hidden: {} },
): Grid => {
  const down = downOf(piece, view.down);
  return {
    rows: lines(
      traitsOf(piece).filter((t) => down.has(t.id)),
      view.hidden,
    ),
    columns: lines(
      traitsOf(piece).filter((t) => !down.has(t.id)),
      view.hidden,
    ),
  };
};

export const variantOf = (row: GridLine, column: GridLine): Variant =>
  Object.fromEntries([...row.values, ...column.values].map((v) => [v.trait.id, v.value]));

/** All variants, in the order of the stage, filtered or not. */
export const stageOrder = (piece: Varying, down: GridView["down"]): Variant[] => {
  const grid = gridOf(piece, { down, hidden: {} });
  return grid.rows.flatMap((r) => grid.columns.map((c) => variantOf(r, c)));
};

/** The headings of a line that differ from the line before it. */
export const headings = (lines: readonly GridLine[], at: number): GridLine["values"] => {
  const line = lines[at];
  const before = lines[at - 1];
  const from = before ? line?.values.findIndex((v, i) => before.values[i]?.value !== v.value) : 0;
  return line?.values.slice(Math.max(0, from ?? 0)) ?? [];
};

/**
 * The variants shown in the order of the stage: pinned ones first, each once, unused ones left out.
 */
export const shownVariants = (piece: Varying, view: GridView): Variant[] => {
  const grid = gridOf(piece, view);
  const keys = new Set<string>();
  return [
    ...view.pinned,
    ...grid.rows.flatMap((r) => grid.columns.map((c) => variantOf(r, c))),
  ].filter((v) => {
    const key = variantKey(piece, v);
    return !isUnused(piece, v) && !keys.has(key) && keys.add(key);
  });
};
