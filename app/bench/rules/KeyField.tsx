import { useState } from "react";
import type { KeyboardEvent } from "react";
import { Button } from "react-bootstrap";
import { keyName } from "#core/describe";
import { rulesWords } from "./words";

const modifiers = ["Shift", "Control", "Alt", "Meta"];

/** Waits for the key that shall be listened for. */
export const KeyField = ({ value, onPick }: { value: string; onPick: (key: string) => void }) => {
  const [asking, setAsking] = useState(value === "");
  const onKeyDown = (e: KeyboardEvent) => {
    // Tab still leaves, and Esc gives up
    if (!asking || e.key === "Tab" || modifiers.includes(e.key)) return;
    e.preventDefault();
    e.stopPropagation();
    setAsking(false);
    if (e.key !== "Escape") onPick(e.key);
  };
  return (
    <Button
      variant="word"
      active={asking}
      className={`mono${value === "" && !asking ? " broken" : ""}`}
      aria-label={rulesWords.key}
      autoFocus={value === ""}
      onClick={() => setAsking(true)}
      onBlur={() => setAsking(false)}
      onKeyDown={onKeyDown}
    >
      {asking ? rulesWords.pressKey : keyName(value || rulesWords.chooseKey)}
    </Button>
  );
};
