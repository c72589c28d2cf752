import { useEffect, useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import { tokensFor } from "#core/looks";
import { parseNumber } from "#core/properties";
import type { Fill, Shadow, SpecifiedValue } from "#core/properties";
import { useProject } from "../../session/context";
import { AssetPart } from "../../parts/AssetPart";
import { FillPanel } from "../../parts/FillPanel";
import { Panel } from "../../ui/Panel";
import { ShadowPanel } from "../../parts/ShadowPanel";
import { TokenPart } from "../../parts/TokenPart";
import { sameSaid, wordsFor } from "./rows";
import type { Cell, Row } from "./rows";

/** Where one goes after a cell: on in the sheet, or away with the pointer to something else. */
export type Way = "stay" | "down" | "right" | "left" | "away";

interface Props {
  row: Row;
  cell: Cell;
  /** what was typed to open the cell; null when it was opened with all that it says */
  start: string | null;
  onCommit: (text: string, by: Way) => boolean;
  /** sets a value at once while it is still being chosen */
  onLive: (said: SpecifiedValue) => void;
  /** leaves what was set as it is */
  onKeep: (by: Way) => void;
  onCancel: (by?: Way) => void;
}

const hasPanel = (row: Row): boolean =>
  row.choices === null && ["colour", "fill", "shadows", "asset"].includes(row.type.is);

/**
 * Choosing one of several words: letters that are typed look for them, Enter keeps, a click keeps
 * at once.
 */
const ChoiceEditor = ({
  row,
  said,
  start,
  onCommit,
  onCancel,
}: {
  row: Row;
  said: SpecifiedValue | undefined;
  start: string;
  onCommit: Props["onCommit"];
  onCancel: Props["onCancel"];
}) => {
  const choices = row.choices ?? [];
  const field = useRef<HTMLSelectElement>(null);
  const finished = useRef(false);
  const typed = useRef(start.toLowerCase());
  const beginning = (text: string) =>
    choices.findIndex((c) => c.words.toLowerCase().startsWith(text));
  const [at, setAt] = useState(() =>
    start === ""
      ? choices.findIndex((c) => sameSaid(c.value, said))
      : beginning(start.toLowerCase()),
  );
  useEffect(() => field.current?.focus(), []);
  const commit = (index: number, by: Way) => {
    const words = choices[index]?.words;
    finished.current = true;
    if (words === undefined || !onCommit(words, by)) onCancel(by);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === "Enter") commit(at, "down");
    else if (e.key === "Tab") commit(at, e.shiftKey ? "left" : "right");
    else if (e.key === "Escape") {
      finished.current = true;
      onCancel();
    } else if (e.key.length === 1 && e.key !== " " && !e.ctrlKey && !e.metaKey && !e.altKey) {
      const next = typed.current + e.key.toLowerCase();
      const found = beginning(next);
      typed.current = found >= 0 ? next : e.key.toLowerCase();
      setAt(found >= 0 ? found : Math.max(-1, beginning(typed.current)));
    } else return;
    e.preventDefault();
  };
  return (
    <select
      ref={field}
      className="cell-field"
      value={at}
      aria-label={row.label}
      onKeyDown={onKeyDown}
      onBlur={() => {
        if (!finished.current) onCancel("away");
      }}
      onChange={(e) => commit(Number(e.target.value), "stay")}
    >
      {at < 0 && <option value={-1}>–</option>}
      {choices.map((c, i) => (
        <option key={i} value={i}>
          {c.words}
        </option>
      ))}
    </select>
  );
};

/**
 * Editing one cell of the sheet: typing, choosing, or picking in a panel. Enter keeps and goes
 * down, Tab goes on, Esc takes it back.
 */
export const CellEditor = ({ row, cell, start, onCommit, onLive, onKeep, onCancel }: Props) => {
  const project = useProject();
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState<string | null>(start);
  const finished = useRef(false);
  // what was chosen in the panel shows as text, until one types
  const text = typed ?? wordsFor(project, row, cell.said);
  const [whole] = useState(start === null);
  useEffect(() => {
    field.current?.focus();
    if (whole) field.current?.select();
  }, [whole]);
  const commit = (by: Way) => {
    finished.current = true;
    if (typed === null) onKeep(by);
    else if (!onCommit(typed, by)) finished.current = false;
  };
  const live = (said: SpecifiedValue) => {
    setTyped(null);
    onLive(said);
  };
  // going elsewhere keeps what can be read, and drops what cannot
  const leave = () => {
    finished.current = true;
    if (typed === null) onKeep("away");
    else if (!onCommit(typed, "away")) onCancel("away");
  };
  const onKeyDown = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === "Enter" && !(e.target instanceof HTMLButtonElement)) commit("down");
    else if (e.key === "Tab" && e.target === field.current && !hasPanel(row))
      commit(e.shiftKey ? "left" : "right");
    else if (e.key === "Escape") {
      finished.current = true;
      onCancel();
    } else if (row.type.is === "number" && (e.key === "ArrowUp" || e.key === "ArrowDown")) {
      const now = parseNumber(text, typeof cell.value === "number" ? cell.value : 0) ?? 0;
      const by = row.type.step * (e.shiftKey ? 10 : 1) * (e.key === "ArrowUp" ? 1 : -1);
      live(Math.min(row.type.max, Math.max(row.type.min, Math.round((now + by) * 1e4) / 1e4)));
    } else return;
    e.preventDefault();
  };
  if (row.choices)
    return (
      <ChoiceEditor
        row={row}
        said={cell.said}
        start={start ?? ""}
        onCommit={onCommit}
        onCancel={onCancel}
      />
    );
  const done = () => commit("stay");
  const panel = () => {
    switch (row.type.is) {
      case "colour":
      case "fill":
        return (
          <FillPanel
            type={row.type}
            said={cell.said}
            fill={(cell.value ?? "none") as Fill}
            onLive={live}
            onDone={done}
            onKeyDown={onKeyDown}
          />
        );
      case "shadows":
        return (
          <ShadowPanel
            type={row.type}
            said={cell.said}
            shadows={(cell.value ?? []) as readonly Shadow[]}
            onLive={live}
            onDone={done}
            onKeyDown={onKeyDown}
          />
        );
      case "asset":
        return (
          <Panel label={row.label} width={292} height={356} onKeyDown={onKeyDown}>
            <div className="panel-body">
              <AssetPart
                of={row.type.of}
                chosen={typeof cell.said === "string" ? cell.said : ""}
                onPick={(id) => live(id)}
              />
            </div>
            <div className="panel-foot">
              <button type="button" className="btn btn-sm btn-link p-0" onClick={() => live("")}>
                None
              </button>
              <button type="button" className="btn btn-sm btn-primary" onClick={done}>
                Done
              </button>
            </div>
          </Panel>
        );
      default: {
        const any = Object.values(project.tokens).some((t) => tokensFor(row.type).includes(t.type));
        return (
          any && (
            <Panel label="Tokens" width={210} height={150} onKeyDown={onKeyDown}>
              <div className="panel-body">
                <TokenPart
                  type={row.type}
                  said={cell.said}
                  onPick={(said) => {
                    finished.current = true;
                    onLive(said);
                    onKeep("stay");
                  }}
                />
              </div>
            </Panel>
          )
        );
      }
    }
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
      {panel()}
    </span>
  );
};
