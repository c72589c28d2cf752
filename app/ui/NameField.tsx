import { useLayoutEffect, useRef, useState } from "react";

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
  onDone: (name: string | null) => void;
  className?: string;
}) => {
  const field = useRef<HTMLInputElement>(null);
  const done = useRef(false);
  const [text, setText] = useState(value);
  useLayoutEffect(() => {
    field.current?.focus();
    field.current?.select();
  }, []);
  const finish = (keep: boolean) => {
    if (done.current) return;
    done.current = true;
    const name = text.trim();
    onDone(keep && name !== "" && name !== value ? name : null);
  };
  return (
    <input
      ref={field}
      className={`name-field ${className}`}
      value={text}
      aria-label={label}
      maxLength={120}
      onChange={(e) => setText(e.target.value)}
      onBlur={() => finish(true)}
      onClick={(e) => e.stopPropagation()}
      onDoubleClick={(e) => e.stopPropagation()}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === "Enter") finish(true);
        if (e.key === "Escape") finish(false);
      }}
    />
  );
};
