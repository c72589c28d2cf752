import { useEffect, useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import { parseNumber } from "#core/properties";
import type { SpecifiedValue } from "#core/properties";
import { useDisplayedProject } from "../../../session/displayed";
import { CellPanel, hasPanel } from "./CellPanel";
import { ChoiceEditor } from "./ChoiceEditor";
import { NearToken } from "./NearToken";
import type { Way } from "../hand";
import { wordsFor } from "../rows";
import type { Cell, Row } from "../rows";

interface Props {
  readonly row: Row;
  readonly cell: Cell;
  /** what was typed to open the cell; null when it was opened with all that it says */
  readonly start: string | null;
  readonly onCommit: (text: string, by: Way) => boolean;
  /** sets a value at once while it is still being chosen */
  readonly onLive: (said: SpecifiedValue) => void;
  /** leaves what was set as it is */
  readonly onKeep: (by: Way) => void;
  readonly onCancel: (by?: Way) => void;
}

/** A number one step up or down, ten with Shift; null for other keys and rows. */
const stepped = (row: Row, cell: Cell, text: string, e: KeyboardEvent): number | null => {
  const { type } = row;
  if (type.is !== "number" || (e.key !== "ArrowUp" && e.key !== "ArrowDown")) return null;
  const now = parseNumber(text, typeof cell.value === "number" ? cell.value : 0) ?? 0;
  const by = type.step * (e.shiftKey ? 10 : 1) * (e.key === "ArrowUp" ? 1 : -1);
  return Math.min(type.max, Math.max(type.min, Math.round((now + by) * 1e4) / 1e4));
};

/** Typing into a cell, or picking in a panel beside it. */
const FieldEditor = ({ row, cell, start, onCommit, onLive, onKeep, onCancel }: Props) => {
  const whole = useDisplayedProject((p) => wordsFor(p, row, cell.said));
  const field = useRef<HTMLInputElement>(null);
  const isAsset = row.type.is === "asset";
  // icons are looked for in the panel's own field
  const isSearched = row.type.is === "asset" && row.type.of === "icon";
  const [typed, setTyped] = useState<string | null>(isSearched ? null : start);
  const [selected] = useState(start === null);
  const finished = useRef(false);
  // what was chosen in the panel shows as text, until one types
  const text = typed ?? whole;
  useEffect(() => {
    if (isSearched) return;
    field.current?.focus();
    if (selected) field.current?.select();
  }, [selected, isSearched]);
  const commit = (by: Way) => {
    finished.current = true;
    if (typed === null) onKeep(by);
    else if (!onCommit(typed, by)) finished.current = false;
  };
  const picked = useRef(false);
  const live = (said: SpecifiedValue) => {
    picked.current = true;
    setTyped(null);
    onLive(said);
  };
  const pick = (said: SpecifiedValue) => {
    finished.current = true;
    onLive(said);
    onKeep("stay");
  };
  // going elsewhere keeps what can be read, and drops what cannot
  const leave = () => {
    finished.current = true;
    if (typed === null) onKeep("away");
    else if (!onCommit(typed, "away")) onCancel("away");
  };
  const onKeyDown = (e: KeyboardEvent) => {
    e.stopPropagation();
    const step = stepped(row, cell, text, e);
    if (step !== null) live(step);
    else if (e.key === "Enter" && !(e.target instanceof HTMLButtonElement)) commit("down");
    else if (e.key === "Tab" && e.target === field.current && !hasPanel(row))
      commit(e.shiftKey ? "left" : "right");
    else if (e.key === "Escape") {
      finished.current = true;
      // an icon or a picture that was picked stays: Esc only puts the panel away
      if (isAsset && picked.current) onKeep("stay");
      else onCancel();
    } else return;
    e.preventDefault();
  };
  return (
    <span
      className="cell-edit"
      onBlur={(e) => {
        if (!finished.current && !e.currentTarget.contains(e.relatedTarget)) leave();
      }}
    >
      <input
        ref={field}
        className="cell-field"
        value={text}
        aria-label={row.label}
        spellCheck={row.type.is === "text"}
        onChange={(e) => setTyped(e.target.value)}
        onKeyDown={onKeyDown}
      />
      <CellPanel
        row={row}
        cell={cell}
        start={start}
        onLive={live}
        onPick={pick}
        onDone={() => commit("stay")}
        onKeyDown={onKeyDown}
        hint={
          typed !== null &&
          typed.trim() !== "" && (
            <NearToken row={row} current={cell.value} text={typed} onPick={pick} />
          )
        }
      />
    </span>
  );
};

/**
 * Editing one cell of the sheet: typing, choosing, or picking in a panel. Enter keeps and goes
 * down, Tab goes on, Esc takes it back. Its field fills the cell, without the frame of a form.
 */
export const CellEditor = (props: Props) =>
  props.row.choices ? (
    <ChoiceEditor
      row={props.row}
      said={props.cell.said}
      start={props.start ?? ""}
      onCommit={props.onCommit}
      onCancel={props.onCancel}
    />
  ) : (
    <FieldEditor {...props} />
  );
