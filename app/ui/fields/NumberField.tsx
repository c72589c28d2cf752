import { useState } from "react";
import type { ReactNode } from "react";
import { Form } from "react-bootstrap";
import { parseNumber } from "#core/properties";

interface Props {
  label: string;
  title?: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /** What stands behind it. */
  unit?: string;
  /** between the number and its unit */
  beside?: ReactNode;
  onChange: (n: number) => void;
  /** told what is being typed: the number so far, null for none */
  onTyped?: (n: number | null) => void;
}

/**
 * A small number in a sentence, with its unit: typed (arithmetic too), or stepped with the up and
 * down keys. What cannot be read is put back.
 */
export const NumberField = (props: Props) => {
  const { label, title, value, min, max, step, unit, beside, onChange, onTyped } = props;
  const [text, setText] = useState<string | null>(null);
  const type = (next: string | null) => {
    setText(next);
    onTyped?.(next === null ? null : parseNumber(next, value));
  };
  const clamp = (n: number) => Math.min(max, Math.max(min, Math.round(n * 1000) / 1000));
  const keep = () => {
    const n = text === null ? null : parseNumber(text, value);
    setText(null);
    if (n !== null && clamp(n) !== value) onChange(clamp(n));
  };
  const field = (
    <Form.Control
      className="word number mono"
      aria-label={label}
      title={title}
      inputMode="decimal"
      value={text ?? String(value)}
      htmlSize={Math.max(2, (text ?? String(value)).length)}
      onFocus={(e) => e.target.select()}
      onChange={(e) => type(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === "Enter") {
          keep();
          onTyped?.(null);
        }
        if (e.key === "Escape") type(null);
        else if (e.key === "ArrowUp" || e.key === "ArrowDown") {
          e.preventDefault();
          type(null);
          onChange(clamp(value + (e.key === "ArrowUp" ? 1 : -1) * step * (e.shiftKey ? 10 : 1)));
        }
      }}
    />
  );
  if (unit === undefined) return field;
  return (
    <span className="measured">
      {field}
      {beside}
      <span>{unit}</span>
    </span>
  );
};
