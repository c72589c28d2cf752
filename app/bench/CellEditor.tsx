import { useEffect, useLayoutEffect, useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import { HexAlphaColorPicker } from "react-colorful";
import { parseColour, parseNumber } from "#core/properties";
import type { Cell, Row } from "./rows";

/** Where one goes after a cell: on in the sheet, or away with the pointer to something else. */
export type Way = "stay" | "down" | "right" | "left" | "away";

interface Props { row: Row; cell: Cell; start: string; onCommit: (text: string, by: Way) => boolean; /** shows a value at once while it is still being chosen */ onLive: (text: string) => void; onCancel: (by?: Way) => void }

const PICKER_HEIGHT = 214;

/** A colour field over or under its cell, wherever there is room. */
const Picker = ({ colour, onPick, onKeep, onKeyDown }: { colour: string; onPick: (c: string) => void; onKeep: (c: string | null) => void; onKeyDown: (e: KeyboardEvent) => void }) => {
  const panel = useRef<HTMLSpanElement>(null);
  const [at, setAt] = useState({ left: 0, top: 0 });
  // the field also reports colours it was given; only those picked by hand count
  const picking = useRef(false);
  const pick = () => { picking.current = true; };
  useLayoutEffect(() => {
    const cell = panel.current?.parentElement?.getBoundingClientRect();
    if (cell) setAt({ left: cell.left, top: cell.top > PICKER_HEIGHT + 8 ? cell.top - PICKER_HEIGHT - 4 : cell.bottom + 4 });
  }, []);
  return (
    <span ref={panel} className="picker" style={at} tabIndex={-1} onPointerDownCapture={pick} onKeyDownCapture={pick} onKeyDown={onKeyDown}>
      <HexAlphaColorPicker color={colour === "none" ? "#ffffff00" : colour} onChange={(c) => { if (picking.current) onPick(c); }} />
      <span className="picker-foot">
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => onKeep("none")}>none</button>
        <button type="button" className="btn btn-sm btn-primary" onClick={() => onKeep(null)}>Set</button>
      </span>
    </span>
  );
};

/** Editing one cell of the sheet: typing, choosing, or picking a colour. Enter keeps and goes down, Tab goes on, Esc leaves it. */
export const CellEditor = ({ row, cell, start, onCommit, onLive, onCancel }: Props) => {
  const field = useRef<HTMLInputElement & HTMLSelectElement>(null);
  const [text, setText] = useState(start);
  const finished = useRef(false);
  const [whole] = useState(start === cell.text);
  useEffect(() => {
    field.current?.focus();
    if (whole) field.current?.select?.();
  }, [whole]);
  const commit = (value: string, by: Way) => {
    finished.current = true;
    if (!onCommit(value, by)) finished.current = false;
  };
  const live = (value: string) => {
    setText(value);
    onLive(value);
  };
  // going elsewhere keeps what can be read, and drops what cannot
  const leave = () => {
    finished.current = true;
    if (text === cell.text || !onCommit(text, "away")) onCancel("away");
  };
  const onKeyDown = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === "Enter") commit(text, "down");
    else if (e.key === "Tab") commit(text, e.shiftKey ? "left" : "right");
    else if (e.key === "Escape") {
      finished.current = true;
      onCancel();
    } else if (row.type.is === "number" && (e.key === "ArrowUp" || e.key === "ArrowDown")) {
      const now = parseNumber(text, typeof cell.value === "number" ? cell.value : 0) ?? 0;
      const by = row.type.step * (e.shiftKey ? 10 : 1) * (e.key === "ArrowUp" ? 1 : -1);
      live(String(Math.round((now + by) * 1e4) / 1e4));
    } else return;
    e.preventDefault();
  };
  if (row.choices) {
    return (
      <select ref={field} className="cell-field" value={String(cell.value ?? "")} aria-label={row.label} onKeyDown={onKeyDown} onBlur={() => { if (!finished.current) onCancel("away"); }}
        onChange={(e) => {
          const words = row.choices?.find((c) => String(c.value) === e.target.value)?.words;
          if (words !== undefined) commit(words, "stay");
        }}>
        {!row.choices.some((c) => c.value === cell.value) && <option value={String(cell.value ?? "")}>–</option>}
        {row.choices.map((c) => <option key={String(c.value)} value={String(c.value)}>{c.words}</option>)}
      </select>
    );
  }
  const colour = row.type.is === "colour" ? (parseColour(text) ?? String(cell.value)) : null;
  return (
    <span className="cell-edit" onBlur={(e) => { if (!finished.current && !e.currentTarget.contains(e.relatedTarget)) leave(); }}>
      <input ref={field} className="cell-field" value={text} aria-label={row.label} spellCheck={row.type.is === "text"} onChange={(e) => setText(e.target.value)} onKeyDown={onKeyDown} />
      {colour !== null && <Picker colour={colour} onPick={(c) => live(parseColour(c) ?? text)} onKeep={(c) => commit(c ?? text, "stay")} onKeyDown={onKeyDown} />}
    </span>
  );
};
