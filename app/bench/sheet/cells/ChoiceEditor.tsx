import { useEffect, useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import type { SpecifiedValue } from "#core/properties";
import type { Way } from "../hand";
import { sameSaid } from "../rows";
import type { Row } from "../rows";

interface Props {
  readonly row: Row;
  readonly said: SpecifiedValue | undefined;
  /** what was typed to open it */
  readonly start: string;
  readonly onCommit: (text: string, by: Way) => boolean;
  readonly onCancel: (by?: Way) => void;
}

/** Whether a key stands for a letter, and not for a command. */
const isLetter = (e: KeyboardEvent): boolean =>
  e.key.length === 1 && e.key !== " " && !e.ctrlKey && !e.metaKey && !e.altKey;

/**
 * Choosing one of several words: letters that are typed look for them, Enter keeps, a click keeps
 * at once. The select fills its cell, without the frame of a form.
 */
export const ChoiceEditor = ({ row, said, start, onCommit, onCancel }: Props) => {
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
  const find = (letter: string) => {
    const next = typed.current + letter;
    const found = beginning(next);
    typed.current = found >= 0 ? next : letter;
    setAt(found >= 0 ? found : Math.max(-1, beginning(letter)));
  };
  const onKeyDown = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === "Enter") commit(at, "down");
    else if (e.key === "Tab") commit(at, e.shiftKey ? "left" : "right");
    else if (e.key === "Escape") {
      finished.current = true;
      onCancel();
    } else if (isLetter(e)) find(e.key.toLowerCase());
    else return;
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
