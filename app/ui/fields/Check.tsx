import { Form } from "react-bootstrap";

interface Props {
  readonly words: string;
  readonly checked: boolean;
  readonly onSwitch: (on: boolean) => void;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** Something to tick, with its words beside it. */
export const Check = ({ words, checked, onSwitch, disabled = false, className = "" }: Props) => (
  <Form.Label className={`check ${className}`}>
    <Form.Check.Input
      checked={checked}
      disabled={disabled}
      onChange={(e) => onSwitch(e.target.checked)}
    />
    {words}
  </Form.Label>
);
