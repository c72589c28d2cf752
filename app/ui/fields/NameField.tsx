import { useLayoutEffect, useRef, useState } from "react";
import { Form } from "react-bootstrap";

/**
 * A name being edited in place: Enter or leaving keeps it, Esc does not. An empty name is not kept.
 */
export const NameField = ({
  value,
  label,
  onDone,
  className = "",
}: {
  value: string;
  label: string;
  /** null when it stays what it was; `byKey` when a key ended it, and the focus is free */
  onDone: (name: string | null, byKey: boolean) => void;
  className?: string;
}) => {
  const field = useRef<HTMLInputElement>(null);
  const done = useRef(false);
  const [text, setText] = useState(value);
  useLayoutEffect(() => {
    // a field that was hidden while its page was still coming has not been left
    done.current = false;
    field.current?.focus();
    field.current?.select();
  }, []);
  const finish = (keep: boolean, byKey: boolean) => {
    if (done.current) return;
    done.current = true;
    const name = text.trim();
    onDone(keep && name !== "" && name !== value ? name : null, byKey);
  };
  return (
    <Form.Control
      ref={field}
      size="sm"
      className={`name-field ${className}`}
      value={text}
      aria-label={label}
      maxLength={120}
      onChange={(e) => setText(e.target.value)}
      onBlur={() => finish(true, false)}
      onClick={(e) => e.stopPropagation()}
      onDoubleClick={(e) => e.stopPropagation()}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key !== "Enter" && e.key !== "Escape") return;
        // the same press must not press what gets the focus now
        e.preventDefault();
        finish(e.key === "Enter", true);
      }}
    />
  );
};
