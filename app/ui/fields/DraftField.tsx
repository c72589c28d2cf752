import { useState } from "react";
import { Form } from "react-bootstrap";

interface Props {
  readonly label: string;
  readonly value: string;
  /** told when it is left, or Enter is pressed, with another text */
  readonly onChange: (text: string) => void;
  readonly className?: string;
  readonly placeholder?: string;
  readonly maxLength?: number;
  /** lines; one unless said, which Enter ends */
  readonly rows?: number;
}

/** A text that is taken when one is done with it; Esc gives it up. */
export const DraftField = (props: Props) => {
  const { label, value, onChange, className = "", placeholder, maxLength, rows } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const done = () => {
    setTyped(null);
    if (typed !== null && typed !== value) onChange(typed);
  };
  return (
    <Form.Control
      {...(rows === undefined ? {} : { as: "textarea", rows })}
      className={className}
      aria-label={label}
      placeholder={placeholder}
      maxLength={maxLength}
      value={typed ?? value}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={done}
      onKeyDown={(e) => {
        const isLine = rows === undefined;
        if (e.key === "Escape" && typed !== null) setTyped(null);
        if (e.key !== "Escape" || typed !== null) e.stopPropagation();
        if (e.key === "Enter" && isLine) done();
      }}
    />
  );
};
