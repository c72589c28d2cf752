import { traitsOf, valuesOf } from "#core/looks";
import type { Piece, Trait, Variant } from "#core/project";

/** One line of the stage: the trait values all its cards share, outermost trait first. */
export interface GridLine { readonly key: string; readonly values: readonly { trait: Trait; value: string; name: string }[] }

/** The variants of a piece as rows × columns along its traits. */
export interface Grid { readonly rows: readonly GridLine[]; readonly columns: readonly GridLine[] }

const lines = (traits: readonly Trait[]): GridLine[] => {
  let out: GridLine[] = [{ key: "", values: [] }];
  for (const trait of traits) {
    out = out.flatMap((line) => valuesOf(trait).map((v) => ({ key: `${line.key}.${v.id}`, values: [...line.values, { trait, value: v.id, name: v.name }] })));
  }
  return out;
};

/** The first half of the traits goes down, the others across; a single trait goes across. */
export const gridOf = (piece: Piece): Grid => {
  const traits = traitsOf(piece);
  const down = Math.floor(traits.length / 2);
  return { rows: lines(traits.slice(0, down)), columns: lines(traits.slice(down)) };
};

export const variantOf = (row: GridLine, column: GridLine): Variant => Object.fromEntries([...row.values, ...column.values].map((v) => [v.trait.id, v.value]));

/** The headings of a line that differ from the line before it. */
export const headings = (lines: readonly GridLine[], at: number): GridLine["values"] => {
  const line = lines[at], before = lines[at - 1];
  const from = before ? line?.values.findIndex((v, i) => before.values[i]?.value !== v.value) : 0;
  return line?.values.slice(Math.max(0, from ?? 0)) ?? [];
};
