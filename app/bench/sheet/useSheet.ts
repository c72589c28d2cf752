import { useMemo, useState } from "react";
import type { Id } from "#core/basics";
import {
  boundValue,
  conditionText,
  originOf,
  sameCondition,
  scopesFor,
  specificity,
  suggestedScope,
  variantKey,
} from "#core/looks";
import { newId } from "#core/project";
import type { Layer, Piece, Variant } from "#core/project";
import type { SpecifiedValue } from "#core/properties";
import type { MenuItem } from "../../ui/ContextMenu";
import { keyStep } from "../../ui/keys";
import { useProject, useSession } from "../../session/context";
import { useEdits } from "../state/edits";
import { chooseCard, useActive, useBench, useBenchStore, useChosen } from "../state/state";
import { fromText, toText } from "./clipboard";
import { cellOf, readCell } from "./rows";
import type { Cell, Row } from "./rows";
import type { Way } from "./CellEditor";
import { tokenItems } from "./tokenItems";

export interface CellPlace {
  readonly row: number;
  readonly column: number;
}

/** What one does in the sheet: going about, choosing ranges, editing cells, copying, filling. */
export const useSheet = (
  layer: Layer | undefined,
  rows: readonly Row[],
  variants: readonly Variant[],
) => {
  const project = useProject();
  const session = useSession();
  const store = useBenchStore();
  const edits = useEdits();
  const { piece, variant, variants: cards } = useActive();
  const chosen = useChosen();
  const put = useBench((s) => s.put);
  const look = useBench((s) => s.look);
  const [row, setRow] = useState(0);
  const [farRow, setFarRow] = useState(0);
  const [open, setOpen] = useState<{ typed: string | null; live: string | null } | null>(null);
  const [focusing, setFocusing] = useState(0);

  const keys = useMemo(() => variants.map((v) => variantKey(piece, v)), [piece, variants]);
  const column = Math.max(0, keys.indexOf(variantKey(piece, variant)));
  const place: CellPlace = { row: Math.max(0, Math.min(row, rows.length - 1)), column };
  const far = Math.max(0, Math.min(farRow, rows.length - 1));
  const inRows = (i: number) => i >= Math.min(place.row, far) && i <= Math.max(place.row, far);
  const chosenColumns = useMemo(
    () =>
      cards
        .map((v) => keys.indexOf(variantKey(piece, v)))
        .filter((i) => i >= 0)
        .sort((a, b) => a - b),
    [cards, keys, piece],
  );

  const setProblem = (problem: string | null) => put({ problem });
  const focus = () => setFocusing((n) => n + 1);
  const bound = (p: CellPlace): CellPlace => ({
    row: Math.max(0, Math.min(rows.length - 1, p.row)),
    column: Math.max(0, Math.min(variants.length - 1, p.column)),
  });

  const go = (p: CellPlace) => {
    setRow(p.row);
    setFarRow(p.row);
    setProblem(null);
    const v = variants[p.column];
    if (v) look(v);
    focus();
  };
  /** Makes the range reach from where one is to another cell. */
  const extend = (p: CellPlace) => {
    setFarRow(p.row);
    const [from, to] = [Math.min(place.column, p.column), Math.max(place.column, p.column)];
    const lead = variants[place.column];
    if (lead)
      look(
        lead,
        variants.slice(from, to + 1).filter((v) => v !== lead),
      );
    focus();
  };
  const toggleColumn = (p: CellPlace) => {
    const v = variants[p.column];
    if (v) chooseCard(piece, store.getState(), v, true);
  };

  /**
   * What a text means for every chosen layer; null, with the reason shown, when it cannot be read.
   */
  const read = (
    r: Row,
    v: Variant,
    text: string,
  ): Record<Id, Record<string, SpecifiedValue>> | null => {
    const next: Record<Id, Record<string, SpecifiedValue>> = {};
    for (const id of chosen) {
      const other = piece.layers[id];
      if (!other) continue;
      const parsed = readCell(project, r, text, cellOf(project, piece, other, r, v).value);
      if (!parsed.ok) {
        setProblem(`${r.label}: ${parsed.error}`);
        return null;
      }
      next[id] = parsed.values;
    }
    return next;
  };
  const close = () => {
    session.endGesture();
    setOpen(null);
    put({ editing: false, problem: null });
  };
  const after = (by: Way): CellPlace =>
    bound({
      row: place.row + (by === "down" ? 1 : 0),
      column: place.column + keyStep(by, "left", "right"),
    });
  const keep = (by: Way) => {
    close();
    if (by === "stay") focus();
    else if (by !== "away") {
      if (cards.length > 1) {
        setRow(after(by).row);
        setFarRow(after(by).row);
        focus();
      } else go(after(by));
    }
  };
  const commit = (r: Row, text: string, by: Way): boolean => {
    const next = read(r, variants[place.column] ?? {}, text);
    if (!next) return false;
    edits.set(next, open?.live ?? null);
    keep(by);
    return true;
  };
  /** Each further choice of one cell is part of the same step of undo. */
  const show = (r: Row, said: SpecifiedValue) => {
    const live = open?.live ?? `choose ${newId()}`;
    if (!open?.live) setOpen({ typed: open?.typed ?? null, live });
    edits.set(
      Object.fromEntries(
        chosen.map((id) => [id, { [r.key]: said, ...(r.mode ? { [r.mode]: "fixed" } : {}) }]),
      ),
      live,
    );
  };
  const cancel = (by?: Way) => {
    if (open?.live && by !== "away") session.cancel(open.live);
    close();
    if (by !== "away") focus();
  };
  /** Changes a number of all chosen layers by steps, as one gesture. */
  const scrub = (r: Row, steps: number, gesture: string) => {
    if (r.type.is !== "number") return;
    const next: Record<Id, Record<string, SpecifiedValue>> = {};
    for (const id of chosen) {
      const other = session.project.pieces[piece.id]?.layers[id];
      const now = session.project.pieces[piece.id];
      const value =
        other &&
        now &&
        boundValue(
          session.project.tokens,
          r.type,
          originOf(session.project, now, variant, other, r.key).value ?? 0,
        );
      if (typeof value !== "number") continue;
      const to = Math.min(
        r.type.max,
        Math.max(r.type.min, Math.round((value + steps * r.type.step) * 1e4) / 1e4),
      );
      next[id] = { [r.key]: to, ...(r.mode ? { [r.mode]: "fixed" } : {}) };
    }
    put({ editing: true });
    edits.set(next, gesture);
  };
  const settle = () => {
    session.endGesture();
    put({ editing: false });
  };
  /** Opens a cell with what was typed, or with all that it says (null). */
  const begin = (typed: string | null) => {
    setOpen({ typed, live: null });
    put({ editing: true });
  };
  const flip = (r: Row, cell: Cell) => commit(r, cell.value === true ? "no" : "yes", "stay");

  /** Takes back what the chosen cards say for themselves in the chosen rows. */
  const clear = () => {
    const list: { look: Id; layer: Id; key: string }[] = [];
    for (const r of rows.filter((_, i) => inRows(i)))
      for (const v of cards)
        for (const id of chosen) {
          const other = piece.layers[id];
          for (const key of other ? keysOf(r) : []) {
            const origin = originOf(project, piece, v, other as Layer, key);
            if (origin.own && origin.from !== null && !origin.styled)
              list.push({ look: origin.from, layer: id, key });
          }
        }
    if (list.length) edits.clearAll(list);
    else setProblem("These values are inherited here already: there is nothing to clear.");
  };

  const copy = (): string =>
    layer
      ? toText(
          rows
            .filter((_, i) => inRows(i))
            .map((r) =>
              chosenColumns.map((c) => cellOf(project, piece, layer, r, variants[c] ?? {}).text),
            ),
        )
      : "";

  /**
   * Writes cells from where one is; a single one into all that is chosen. What cannot be read is
   * told, and nothing is changed then.
   */
  const paste = (text: string) => {
    const cells = fromText(text);
    const single = cells.length === 1 && cells[0]?.length === 1;
    const from = Math.min(place.row, far);
    const firstColumn = chosenColumns[0] ?? 0;
    const columns = single
      ? chosenColumns
      : (cells[0] ?? []).map((_, i) => firstColumn + i).filter((c) => c < variants.length);
    const targets = rows
      .map((r, i) => ({ r, i }))
      .filter(({ i }) => (single ? inRows(i) : i >= from && i < from + cells.length));
    // wide scopes first, so that a narrower one is not hidden by what is set after it
    const order = columns
      .map((c) => ({ v: variants[c] as Variant, at: c - (single ? c : firstColumn) }))
      .sort(
        (a, b) => specificity(suggestedScope(piece, a.v)) - specificity(suggestedScope(piece, b.v)),
      );
    const all: { v: Variant; next: Record<Id, Record<string, SpecifiedValue>> }[] = [];
    for (const { v, at } of order) {
      const next: Record<Id, Record<string, SpecifiedValue>> = {};
      for (const { r, i } of targets) {
        const cell = single ? cells[0]?.[0] : cells[i - from]?.[at];
        const got = cell === undefined || cell === "–" ? {} : read(r, v, cell);
        if (!got) return;
        for (const [id, values] of Object.entries(got)) next[id] = { ...next[id], ...values };
      }
      if (Object.keys(next).length) all.push({ v, next });
    }
    const gesture = `paste ${newId()}`;
    if (single) {
      const first = all[0];
      if (first) edits.set(first.next, gesture);
    } else for (const { v, next } of all) edits.setIn([v], next, gesture);
    session.endGesture();
  };

  /** Gives other columns the value of the cell one is at. */
  const fill = (columns: readonly number[]) => {
    const r = rows[place.row];
    const targets = columns.map((c) => variants[c]).filter((v): v is Variant => v !== undefined);
    if (!r || targets.length === 0) return;
    const next: Record<Id, Record<string, SpecifiedValue>> = {};
    for (const id of chosen) {
      const other = piece.layers[id];
      for (const key of other ? keysOf(r) : []) {
        const { value } = originOf(project, piece, variant, other as Layer, key);
        if (value !== undefined) next[id] = { ...next[id], [key]: value };
      }
    }
    edits.setIn(targets, next);
    session.endGesture();
  };

  /** What can be done with a cell, for its menu. */
  const menuFor = (r: Row, cell: Cell): MenuItem[] => {
    const from = cell.origin.from;
    const winner = from === null ? undefined : piece.looks[from];
    const own = r.mode ? [r.key, r.mode] : [r.key];
    const moves =
      winner && !cell.origin.styled
        ? scopesFor(piece, variant).filter((s) => !sameCondition(s.when, winner.when))
        : [];
    const count = scopesFor(piece, variant)[0]?.reach ?? 1;
    const words = (s: (typeof moves)[number]) => {
      if (s.reach === count) {
        return "Say it for all variants";
      }
      return s.reach === 1 ? "Say it only here" : `Say it where ${conditionText(piece, s.when)}`;
    };
    return [
      {
        label: "Inherit again",
        keys: "Delete",
        disabled: !cell.origin.own || cell.origin.styled,
        onPick: clear,
      },
      ...moves.map((s): MenuItem => ({
        label: words(s),
        onPick: () => {
          if (winner && s.reach === 1 && winner.id === "base")
            edits.setIn([variant], valuesOf(piece, winner.id, chosen, own));
          else edits.move(chosen, own, winner?.id ?? "", s.when);
        },
      })),
      "line",
      { label: "Copy", keys: "Ctrl+C", onPick: () => void navigator.clipboard?.writeText(copy()) },
      {
        label: "Paste",
        keys: "Ctrl+V",
        onPick: () =>
          void navigator.clipboard
            ?.readText()
            .then(paste, () =>
              setProblem(
                "The browser does not let Nubble read the clipboard here: press Ctrl+V instead.",
              ),
            ),
      },
      ...tokenItems({ project, session, piece, chosen, row: r, cell, edits }),
    ];
  };

  return {
    place,
    inRows,
    chosenColumns,
    open,
    focusing,
    bound,
    go,
    extend,
    toggleColumn,
    commit,
    keep,
    show,
    cancel,
    begin,
    flip,
    clear,
    copy,
    paste,
    fill,
    menuFor,
    setProblem,
    scrub,
    settle,
  };
};

/** The properties a row stands for: its own, and how its number is meant. */
const keysOf = (row: Row): string[] => (row.mode ? [row.key, row.mode] : [row.key]);

/** What one look says about properties of layers. */
const valuesOf = (
  piece: Piece,
  look: Id,
  layers: readonly Id[],
  keys: readonly string[],
): Record<Id, Record<string, SpecifiedValue>> =>
  Object.fromEntries(
    layers.map((id) => [
      id,
      Object.fromEntries(
        keys.flatMap((k) => {
          const said = piece.looks[look]?.changes[id]?.[k];
          return said === undefined ? [] : [[k, said] as const];
        }),
      ),
    ]),
  );
