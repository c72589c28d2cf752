import { useEffect, useRef, useState } from "react";
import { Button } from "react-bootstrap";
import { NameField } from "./NameField";
import { uiWords } from "../words";

interface Props {
  readonly name: string;
  /** what the field is called */
  readonly label: string;
  readonly onName: (name: string) => void;
  readonly className?: string;
  /** it is typed from the start: what it is of has just been made */
  readonly begins?: boolean;
  readonly onEnd?: () => void;
}

/** A name that a click lets one type anew; the focus comes back to it then. */
export const EditableName = (props: Props) => {
  const { name, label, onName, className = "", begins = false, onEnd } = props;
  const [renaming, setRenaming] = useState(begins);
  const button = useRef<HTMLButtonElement>(null);
  const back = useRef(false);
  useEffect(() => {
    if (renaming || !back.current) return;
    back.current = false;
    button.current?.focus();
  }, [renaming]);
  const named = (text: string | null, byKey: boolean) => {
    back.current = byKey;
    setRenaming(false);
    onEnd?.();
    if (text !== null) onName(text);
  };
  return renaming ? (
    <NameField value={name} label={label} onDone={named} />
  ) : (
    <Button
      ref={button}
      variant="name"
      className={className}
      title={uiWords.rename}
      onClick={() => setRenaming(true)}
    >
      {name}
    </Button>
  );
};
