import { useLayoutEffect, useMemo, useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import { addOption, contains, piecesOf, removeOption } from "#core/edit";
import { conditionShort, conditionText, meets, restingVariant, variantKey, variantName, variantsOf } from "#core/looks";
import { newId } from "#core/project";
import type { Id, Layer, Piece, Variant } from "#core/project";
import type { Value } from "#core/properties";
import { useProject, useSession } from "../store/session-context";
import { cellOf, differs, groupNames, readCell, rowsFor } from "./rows";
import type { Cell, Row } from "./rows";
import { CellEditor } from "./CellEditor";
import type { Way } from "./CellEditor";
import { gridOf, variantOf } from "./grid";
import { useEdits } from "./edits";
import { useActive, useBench, useChosen } from "./state";

/** The variants in the order of the stage. */
const stageOrder = (piece: Piece): Variant[] => {
  const grid = gridOf(piece);
  return grid.rows.flatMap((r) => grid.columns.map((c) => variantOf(r, c)));
};

interface Place { readonly row: number; readonly column: number }

const OptionMark = ({ piece, layer, row }: { piece: Piece; layer: Layer; row: Row }) => {
  const session = useSession();
  if (row.key !== "text" && row.key !== "visible") return null;
  const key = row.key;
  const option = Object.values(piece.options).find((o) => o.layer === layer.id && o.key === key);
  return (
    <button type="button" className={`option-mark${option ? " on" : ""}`} aria-pressed={option !== undefined}
      title={option ? `Each copy may set this (option “${option.name}”). Click to take that back.` : "Let each copy set this for itself"}
      onClick={() => { session.edit(option ? removeOption(piece, option.id) : addOption(piece, layer.id, key).change); }}>
      {option ? "option" : "+ option"}
    </button>
  );
};

/** For the chosen layers: rows are properties, columns are variants; what a variant says for itself is solid. */
export const Sheet = () => {
  const project = useProject();
  const { piece, variant, when } = useActive();
  const chosen = useChosen();
  const onlyDifferences = useBench((s) => s.onlyDifferences);
  const look = useBench((s) => s.look);
  const put = useBench((s) => s.put);
  const edits = useEdits();
  const session = useSession();
  const [row, setRow] = useState(0);
  const [open, setOpen] = useState<{ text: string; live: string | null } | null>(null);
  const [focusing, setFocusing] = useState(0);
  const table = useRef<HTMLTableElement>(null);
  const variants = useMemo(() => stageOrder(piece), [piece]);
  const layer = chosen[0] === undefined ? undefined : piece.layers[chosen[0]];
  const rows = useMemo(() => {
    if (!layer) return [];
    const candidates = piecesOf(project, "component").filter((c) => !contains(project, c.id, piece.id));
    const all = rowsFor(project, piece, layer, variantsOf(piece), candidates);
    return onlyDifferences ? all.filter((r) => differs(piece, layer, r)) : all;
  }, [project, piece, layer, onlyDifferences]);
  useLayoutEffect(() => {
    if (focusing > 0) table.current?.querySelector<HTMLElement>("td.here")?.focus();
  }, [focusing]);
  if (!layer) return <p className="drawer-empty">Choose a layer, on a card or in the tree, to see and set its values in every variant.</p>;
  if (rows.length === 0) return <p className="drawer-empty">{layer.name} looks the same in all variants. Untick “only differences” to see its values.</p>;

  // the column is that of the card one looks at: there is one place one is at, on the stage and in the sheet
  const place: Place = { row: Math.min(row, rows.length - 1), column: Math.max(0, variants.findIndex((v) => variantKey(piece, v) === variantKey(piece, variant))) };
  const focus = () => setFocusing((n) => n + 1);
  const setProblem = (problem: string | null) => put({ problem });
  const go = (p: Place) => {
    setRow(p.row);
    setProblem(null);
    const v = variants[p.column];
    if (v) look(v);
    focus();
  };
  /** What a text means for every chosen layer; null, with the reason shown, when it cannot be read. */
  const read = (row: Row, cell: Cell, text: string): Record<Id, Record<string, Value>> | null => {
    const next: Record<Id, Record<string, Value>> = {};
    for (const id of chosen) {
      const other = piece.layers[id];
      if (!other) continue;
      const current = id === layer.id ? cell.value : cellOf(piece, other, row, variants[place.column] ?? {}).value;
      const parsed = readCell(row, text, current);
      if (!parsed.ok) {
        setProblem(`${row.label}: ${parsed.error}`);
        return null;
      }
      next[id] = parsed.values;
    }
    return next;
  };
  const commit = (row: Row, cell: Cell, text: string, then: Place | null): boolean => {
    const next = read(row, cell, text);
    if (!next) return false;
    setOpen(null);
    edits.set(next, open?.live ?? null);
    session.settle();
    put({ editing: false, problem: null });
    if (then) go(then);
    return true;
  };
  /** Each further choice of one cell is part of the same step of undo. */
  const show = (row: Row, cell: Cell, text: string) => {
    const next = read(row, cell, text);
    if (!next) return;
    const live = open?.live ?? `choose ${newId()}`;
    if (!open?.live) setOpen({ text: open?.text ?? "", live });
    edits.set(next, live);
  };
  const close = (by?: Way) => {
    if (open?.live && by !== "away") session.cancel(open.live);
    session.settle();
    setOpen(null);
    put({ editing: false });
    if (by === "away") return;
    setProblem(null);
    focus();
  };
  const begin = (text: string) => {
    setOpen({ text, live: null });
    put({ editing: true });
  };
  const bound = (p: Place): Place => ({ row: Math.max(0, Math.min(rows.length - 1, p.row)), column: Math.max(0, Math.min(variants.length - 1, p.column)) });

  const onKey = (e: KeyboardEvent, row: Row, cell: Cell) => {
    if (open) return;
    const moves: Record<string, Place> = { ArrowUp: { row: -1, column: 0 }, ArrowDown: { row: 1, column: 0 }, ArrowLeft: { row: 0, column: -1 }, ArrowRight: { row: 0, column: 1 } };
    const move = moves[e.key];
    if (move) go(bound({ row: place.row + move.row, column: place.column + move.column }));
    else if (e.key === "Enter" || e.key === "F2") {
      if (row.type.is === "flag") commit(row, cell, cell.value === true ? "no" : "yes", place);
      else begin(cell.text);
    } else if (e.key === "Delete" || e.key === "Backspace") {
      if (cell.origin.own) edits.clear(chosen, row.mode ? [row.key, row.mode] : [row.key], cell.origin.from);
      else setProblem(`${row.label} is inherited here already: there is nothing to clear.`);
    } else if (e.key.length === 1 && !e.ctrlKey && !e.metaKey && !e.altKey) begin(e.key);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };

  const shown: { group: string; rows: { row: Row; index: number }[] }[] = [];
  rows.forEach((row, index) => {
    const name = groupNames[row.group];
    const last = shown.at(-1);
    if (last?.group === name) last.rows.push({ row, index }); else shown.push({ group: name, rows: [{ row, index }] });
  });

  return (
    <div className="sheet">
      <table ref={table} role="grid" aria-label={`Values of ${layer.name} by variant`}>
        <thead>
          <tr>
            <th scope="col" className="sheet-layer">{chosen.length > 1 ? `${chosen.length} layers` : layer.name}</th>
            {variants.map((v) => {
              const resting = variantKey(piece, v) === variantKey(piece, restingVariant(piece));
              const active = variantKey(piece, v) === variantKey(piece, variant);
              return <th key={variantKey(piece, v)} scope="col" className={`${meets(when, v) ? "reached" : ""}${active ? " active" : ""}`}><button type="button" onClick={() => look(v)}>{variantName(piece, v)}</button>{resting && variants.length > 1 && variantName(piece, v) !== "at rest" && <span className="quiet"> resting</span>}</th>;
            })}
          </tr>
        </thead>
        {shown.map((section) => (
          <tbody key={section.group}>
            <tr><th colSpan={variants.length + 1} className="sheet-group caption" scope="rowgroup">{section.group}</th></tr>
            {section.rows.map(({ row, index }) => (
              <tr key={row.key}>
                <th scope="row"><span className="row-label">{row.label}<OptionMark piece={piece} layer={layer} row={row} /></span></th>
                {variants.map((v, column) => {
                  const cell = cellOf(piece, layer, row, v);
                  const here = index === place.row && column === place.column;
                  const winner = cell.origin.from === null ? undefined : piece.looks[cell.origin.from];
                  const source = winner ? conditionShort(piece, winner.when) : row.inherent !== undefined ? "component" : null;
                  const classes = ["cell", cell.origin.own ? "own" : "inherited", here ? "here" : "", index === place.row && meets(when, v) ? "reached" : ""].filter(Boolean).join(" ");
                  return (
                    <td key={variantKey(piece, v)} role="gridcell" className={classes} tabIndex={here ? 0 : -1} data-cell={`${index}.${column}`} data-key={row.key}
                      title={winner ? `Said ${Object.keys(winner.when).length ? `where ${conditionText(piece, winner.when)}` : "for all variants"}` : undefined}
                      onClick={() => { if (!here || !open) go({ row: index, column }); }}
                      onDoubleClick={() => { if (row.type.is === "flag") commit(row, cell, cell.value === true ? "no" : "yes", place); else begin(cell.text); }}
                      onKeyDown={(e) => onKey(e, row, cell)}>
                      {here && open
                        ? <CellEditor row={row} cell={cell} start={open.text} onCommit={(text, by) => commit(row, cell, text, by === "away" ? null : bound({ row: index + (by === "down" ? 1 : 0), column: column + (by === "right" ? 1 : by === "left" ? -1 : 0) }))} onLive={(text) => show(row, cell, text)} onCancel={close} />
                        : <span className="cell-line">
                            {row.type.is === "colour" && <span className={`chip${cell.value === "none" ? " none" : ""}`} style={{ background: cell.value === "none" ? undefined : String(cell.value) }} />}
                            <span className="cell-text">{cell.text || "–"}</span>
                            {!cell.origin.own && source !== null && <span className="from">← {source}</span>}
                          </span>}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        ))}
      </table>
    </div>
  );
};
