import type { Id } from "#core/basics";
import {
  boundValue,
  originOf,
  scopesFor,
  specificity,
  suggestedScope,
  variantKey,
} from "#core/looks";
import { BASE, newId } from "#core/project";
import type { Layer, Piece, Variant } from "#core/project";
import type { SpecifiedValue } from "#core/properties";
import { keyStep } from "../../ui/keys";
import type { BenchEdits } from "../commands/edits";
import { chooseCard, shownLayers } from "../state/active";
import { Watched } from "../../ui/watched";
import type { Workpiece } from "../state/workpiece";
import { fromText, toText } from "./clipboard";
import { cellOf, readCell } from "./rows";
import type { Cell, Row } from "./rows";
import { sheetWords } from "./words";

export interface CellPlace {
  readonly row: number;
  readonly column: number;
}

/** Where one goes after a cell: on in the sheet, or away with the pointer to something else. */
export type Way = "stay" | "down" | "right" | "left" | "away";

/** A cell being edited: with what was typed (null: all that it says), and what is shown already. */
interface Open {
  readonly typed: string | null;
  /** the gesture of values that are shown while they are being chosen */
  readonly live: string | null;
}

/** What edits say of layers. */
type Said = Record<Id, Record<string, SpecifiedValue>>;

const between = (n: number, from: number, to: number): number => Math.max(from, Math.min(to, n));

/** The properties a row stands for: its own, and how its number is meant. */
const keysOf = (row: Row): string[] => (row.mode ? [row.key, row.mode] : [row.key]);

/** A value in a row; a number of a size is a fixed one. */
const saying = (row: Row, said: SpecifiedValue): Record<string, SpecifiedValue> => ({
  [row.key]: said,
  ...(row.mode ? { [row.mode]: "fixed" } : {}),
});

/** What one does in the sheet: going about, choosing ranges, editing cells, copying, filling. */
export class SheetHand extends Watched {
  private rows: readonly Row[] = [];
  private variants: readonly Variant[] = [];
  private row = 0;
  private farRow = 0;
  open: Open | null = null;
  /** goes up whenever the cell one is at shall have the focus */
  focusing = 0;
  /** how far a fill reaches while it is drawn; null otherwise */
  filling: number | null = null;

  constructor(
    private readonly workpiece: Workpiece,
    private readonly edits: BenchEdits,
  ) {
    super();
  }

  /** Takes what the sheet shows. */
  show(rows: readonly Row[], variants: readonly Variant[]): void {
    this.rows = rows;
    this.variants = variants;
  }

  get pieceId(): Id {
    return this.state.pieceId;
  }

  private get state() {
    return this.workpiece.state;
  }

  /** The chosen layers that are there, the first one leads. */
  private get layers(): Layer[] {
    const { piece, state } = this.workpiece;
    return shownLayers(state.chosen).flatMap((id) => piece?.layers[id] ?? []);
  }

  private columnOf(piece: Piece, variant: Variant): number {
    const key = variantKey(piece, variant);
    return this.variants.findIndex((v) => variantKey(piece, v) === key);
  }

  /** The cell one is at. */
  get place(): CellPlace {
    const { piece, active } = this.workpiece;
    const column = piece && active ? this.columnOf(piece, active.variant) : 0;
    return { row: between(this.row, 0, this.rows.length - 1), column: Math.max(0, column) };
  }

  /** The last row of the range, from the one one is at. */
  private get far(): number {
    return between(this.farRow, 0, this.rows.length - 1);
  }

  /** Whether a row is in the chosen range. */
  inRows(i: number): boolean {
    const { row } = this.place;
    return i >= Math.min(row, this.far) && i <= Math.max(row, this.far);
  }

  /** The columns of the chosen cards, from left to right. */
  get columns(): readonly number[] {
    const { piece, active } = this.workpiece;
    if (!piece || !active) return [];
    return active.variants
      .map((v) => this.columnOf(piece, v))
      .filter((i) => i >= 0)
      .sort((a, b) => a - b);
  }

  /** Whether a fill being drawn reaches a column. */
  filled(column: number): boolean {
    const { filling, place } = this;
    if (filling === null) return false;
    return column >= Math.min(filling, place.column) && column <= Math.max(filling, place.column);
  }

  private bound(p: CellPlace): CellPlace {
    return {
      row: between(p.row, 0, this.rows.length - 1),
      column: between(p.column, 0, this.variants.length - 1),
    };
  }

  /** Gives the focus to the cell one is at. */
  focus(): void {
    this.focusing++;
    this.changed();
  }

  private stand(row: number): void {
    this.row = row;
    this.farRow = row;
  }

  /** Goes to a cell. */
  go(p: CellPlace): void {
    const to = this.bound(p);
    this.stand(to.row);
    this.state.setProblem(null);
    this.lookAt(to.column);
    this.focus();
  }

  /** Looks at a column's card; among several that are chosen, they stay chosen. */
  private lookAt(column: number): void {
    const v = this.variants[column];
    if (!v) return;
    const { columns } = this;
    const beside = columns.includes(column) ? columns.filter((c) => c !== column) : [];
    const others = beside.map((c) => this.variants[c]).filter((o) => o !== undefined);
    this.state.look(v, others);
  }

  /** Makes the range reach from where one is to another cell. */
  extend(p: CellPlace): void {
    const to = this.bound(p);
    const { column } = this.place;
    const lead = this.variants[column];
    this.farRow = to.row;
    const range = this.variants.slice(Math.min(column, to.column), Math.max(column, to.column) + 1);
    if (lead)
      this.state.look(
        lead,
        range.filter((v) => v !== lead),
      );
    this.focus();
  }

  /** Chooses the card of a column too, or no longer. */
  toggleColumn(column: number): void {
    const { piece } = this.workpiece;
    const v = this.variants[column];
    if (piece && v) chooseCard(piece, this.state, v, true);
  }

  /** Does what a key says about where one is; false for keys that do not. */
  walk(key: string, held: boolean, shift: boolean): boolean {
    const { place } = this;
    const move = moves[key];
    if (move && shift) {
      const far = this.farCorner();
      this.extend({ row: far.row + move[0], column: far.column + move[1] });
    } else if (move) {
      const by = held ? Infinity : 1;
      this.go({ row: place.row + step(move[0], by), column: place.column + step(move[1], by) });
    } else if (key === "Home") this.go({ row: held ? 0 : place.row, column: 0 });
    else if (key === "End")
      this.go({ row: held ? this.rows.length - 1 : place.row, column: this.variants.length - 1 });
    else return false;
    return true;
  }

  /** The corner of the range opposite to the cell one is at. */
  private farCorner(): CellPlace {
    const { place, columns } = this;
    const first = columns[0] ?? place.column;
    const last = columns.at(-1) ?? place.column;
    return { row: this.far, column: last === place.column ? first : last };
  }

  /** The row one is at, and its cell; null in an empty sheet. */
  here(): { readonly row: Row; readonly cell: Cell } | null {
    const { piece, project } = this.workpiece;
    const { place } = this;
    const row = this.rows[place.row];
    const [layer] = this.layers;
    if (!piece || !row || !layer) return null;
    const variant = this.variants[place.column] ?? {};
    return { row, cell: cellOf(project, piece, layer, row, variant) };
  }

  /** Opens the cell one is at with what was typed, or with all that it says (null). */
  begin(typed: string | null): void {
    this.open = { typed, live: null };
    this.state.setEditing(true);
    this.changed();
  }

  /** Opens the cell one is at, or turns its yes into a no. */
  press(): void {
    const here = this.here();
    if (!here || this.open) return;
    if (here.row.type.is === "flag")
      this.commit(here.row, here.cell.value === true ? "no" : "yes", "stay");
    else this.begin(null);
  }

  private close(): void {
    this.edits.endGesture();
    this.open = null;
    this.state.setEditing(false);
    this.state.setProblem(null);
    this.changed();
  }

  /** Leaves the cell as it is and goes on. */
  keep(by: Way): void {
    const { place } = this;
    this.close();
    if (by === "away") return;
    if (by === "stay") {
      this.focus();
      return;
    }
    const row = place.row + (by === "down" ? 1 : 0);
    const column = place.column + keyStep(by, "left", "right");
    // several cards stay chosen, so that one writes down their columns
    if (this.columns.length > 1) {
      this.stand(this.bound({ row, column }).row);
      this.focus();
    } else this.go({ row, column });
  }

  /** Takes what was typed; false, with the reason told, when it cannot be read. */
  commit(row: Row, text: string, by: Way): boolean {
    const next = this.read(row, this.variants[this.place.column] ?? {}, text);
    if (!next) return false;
    this.edits.set(next, this.open?.live ?? null);
    this.keep(by);
    return true;
  }

  /**
   * Shows a value while it is being chosen; each further choice of one cell is part of the same
   * step of undo.
   */
  live(row: Row, said: SpecifiedValue): void {
    const live = this.open?.live ?? `choose ${newId()}`;
    this.open = { typed: this.open?.typed ?? null, live };
    this.edits.set(Object.fromEntries(this.layers.map((l) => [l.id, saying(row, said)])), live);
    this.changed();
  }

  /** Leaves the cell without what was done in it, unless one has gone away from it. */
  cancel(by?: Way): void {
    if (this.open?.live && by !== "away") this.workpiece.session.cancel(this.open.live);
    this.close();
    if (by !== "away") this.focus();
  }

  /**
   * What a text means for every chosen layer; null, with the reason told, when it cannot be read.
   */
  private read(row: Row, variant: Variant, text: string): Said | null {
    const { piece, project } = this.workpiece;
    const next: Said = {};
    for (const layer of piece ? this.layers : []) {
      const current = piece ? cellOf(project, piece, layer, row, variant).value : undefined;
      const parsed = readCell(project, row, text, current);
      if (!parsed.ok) {
        this.state.setProblem(`${row.label}: ${parsed.error}`);
        return null;
      }
      next[layer.id] = parsed.values;
    }
    return next;
  }

  /** Changes a number of all chosen layers by steps, as one gesture. */
  scrub(row: Row, steps: number, gesture: string): void {
    const { piece, project, active } = this.workpiece;
    const { type } = row;
    if (type.is !== "number" || !piece || !active) return;
    const next: Said = {};
    for (const layer of this.layers) {
      const { value: said } = originOf(project, piece, active.variant, layer, row.key);
      const value = boundValue(project.tokens, row, said ?? 0);
      if (typeof value !== "number") continue;
      const to = Math.round((value + steps * type.step) * 1e4) / 1e4;
      next[layer.id] = saying(row, between(to, type.min, type.max));
    }
    this.state.setEditing(true);
    this.edits.set(next, gesture);
  }

  /** Ends a change by steps. */
  settle(): void {
    this.edits.endGesture();
    this.state.setEditing(false);
  }

  /**
   * Takes back what the chosen cards say for themselves in the chosen rows. What is said for all
   * variants stays, unless that is asked for by name.
   */
  clear(forAll = false): void {
    const { piece, project, active } = this.workpiece;
    if (!piece || !active) return;
    const keys = this.rows.filter((_, i) => this.inRows(i)).flatMap(keysOf);
    const said = active.variants.flatMap((v) =>
      this.layers.flatMap((layer) =>
        keys.flatMap((key) => {
          const { from, own, styled } = originOf(project, piece, v, layer, key);
          return own && from !== null && !styled ? [{ look: from, layer: layer.id, key }] : [];
        }),
      ),
    );
    const list = said.filter((s) => forAll || s.look !== BASE);
    if (list.length) this.edits.clearAll(list);
    else
      this.state.setProblem(
        said.length ? sheetWords.theseValuesAreSet : sheetWords.nothingClearTheseValues,
      );
  }

  /** The chosen range as text for spreadsheets. */
  copy(): string {
    const { piece, project } = this.workpiece;
    const [layer] = this.layers;
    if (!piece || !layer) return "";
    const text = (row: Row, column: number) =>
      cellOf(project, piece, layer, row, this.variants[column] ?? {}).text;
    const rows = this.rows.filter((_, i) => this.inRows(i));
    return toText(rows.map((r) => this.columns.map((c) => text(r, c))));
  }

  /**
   * Writes cells from where one is; a single one into all that is chosen. What cannot be read is
   * told, and nothing is changed then.
   */
  paste(text: string): void {
    const cells = fromText(text);
    const [first] = cells[0] ?? [];
    const single = cells.length === 1 && cells[0]?.length === 1;
    const gesture = `paste ${newId()}`;
    if (single) this.pasteOne(first ?? "", gesture);
    else this.pasteAll(cells, gesture);
    this.edits.endGesture();
  }

  private pasteOne(text: string, gesture: string): void {
    const chosen = this.columns.map((at) => ({ at, variant: this.variants[at] }));
    const [widest] = this.widestFirst(chosen);
    const rows = this.rows.filter((_, i) => this.inRows(i));
    const next = widest && this.readRows(rows, widest.variant, () => text);
    if (next) this.edits.set(next, gesture);
  }

  private pasteAll(cells: readonly (readonly string[])[], gesture: string): void {
    const from = Math.min(this.place.row, this.far);
    const left = this.columns[0] ?? 0;
    const rows = this.rows.slice(from, from + cells.length);
    const columns = (cells[0] ?? []).map((_, at) => ({ at, variant: this.variants[left + at] }));
    const all: { readonly v: Variant; readonly next: Said }[] = [];
    for (const { at, variant } of this.widestFirst(columns)) {
      const next = this.readRows(rows, variant, (i) => cells[i]?.[at]);
      if (!next) return;
      all.push({ v: variant, next });
    }
    for (const { v, next } of all)
      if (Object.keys(next).length) this.edits.setIn([v], next, gesture);
  }

  /** Wide scopes first, so that a narrower one is not hidden by what is set after it. */
  private widestFirst(columns: readonly { at: number; variant: Variant | undefined }[]) {
    const { piece } = this.workpiece;
    const how = (v: Variant) => (piece ? specificity(suggestedScope(piece, v)) : 0);
    return columns
      .flatMap(({ at, variant }) => (variant ? [{ at, variant }] : []))
      .sort((a, b) => how(a.variant) - how(b.variant));
  }

  private readRows(
    rows: readonly Row[],
    variant: Variant,
    textOf: (row: number) => string | undefined,
  ): Said | null {
    const next: Said = {};
    for (const [i, row] of rows.entries()) {
      const text = textOf(i);
      if (text === undefined || text === "–") continue;
      const got = this.read(row, variant, text);
      if (!got) return null;
      for (const [id, values] of Object.entries(got)) next[id] = { ...next[id], ...values };
    }
    return next;
  }

  /** Draws a fill from the cell one is at to a column. */
  fillTo(column: number | null): void {
    this.filling = column === null ? null : between(column, 0, this.variants.length - 1);
    this.changed();
  }

  /** Gives the columns a fill was drawn over the value of the cell one is at. */
  endFill(): void {
    const { filling, place } = this;
    this.fillTo(null);
    if (filling === null || filling === place.column) return;
    const from = Math.min(filling, place.column);
    const columns = Array.from(
      { length: Math.abs(filling - place.column) + 1 },
      (_, i) => from + i,
    );
    this.fill(columns.filter((c) => c !== place.column));
  }

  /** Gives the other chosen columns the value of the cell one is at. */
  fillChosen(): void {
    this.fill(this.columns.filter((c) => c !== this.place.column));
  }

  private fill(columns: readonly number[]): void {
    const { piece, project, active } = this.workpiece;
    const row = this.rows[this.place.row];
    const targets = this.variants.filter((_, i) => columns.includes(i));
    if (!row || !piece || !active || targets.length === 0) return;
    const next: Said = {};
    for (const layer of this.layers)
      for (const key of keysOf(row)) {
        const { value } = originOf(project, piece, active.variant, layer, key);
        if (value !== undefined) next[layer.id] = { ...next[layer.id], [key]: value };
      }
    this.edits.setIn(targets, next);
    this.edits.endGesture();
  }

  /** Scopes in which what a cell says could be said instead. */
  scopes(cell: Cell) {
    const { piece, active } = this.workpiece;
    const winner = piece && cell.origin.from !== null ? piece.looks[cell.origin.from] : undefined;
    if (!piece || !active || !winner || cell.origin.styled) return null;
    return { winner, all: scopesFor(piece, active.variant) };
  }

  /** What one look says about the properties of a row, of the chosen layers. */
  saidBy(look: Id, row: Row): Said {
    const changes = this.workpiece.piece?.looks[look]?.changes;
    return Object.fromEntries(
      this.layers.map(({ id }) => [
        id,
        Object.fromEntries(
          keysOf(row).flatMap((key) => {
            const said = changes?.[id]?.[key];
            return said === undefined ? [] : [[key, said]];
          }),
        ),
      ]),
    );
  }

  /** Says what a look says about a row elsewhere: in a wider scope or a narrower one. */
  move(row: Row, look: Id, to: Readonly<Record<Id, readonly Id[]>>): void {
    this.edits.move(
      this.layers.map((l) => l.id),
      keysOf(row),
      look,
      to,
    );
  }
}

const moves: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageDown: [10, 0],
  PageUp: [-10, 0],
};

/** A step `by` times as long; none stays none. */
const step = (one: number, by: number): number => (one === 0 ? 0 : one * by);
