import { useId } from "react";
import type { KeyboardEvent, ReactNode } from "react";
import { ToggleButton, ToggleButtonGroup } from "react-bootstrap";

interface Choice<T extends string> {
  readonly value: T;
  readonly words: ReactNode;
  readonly title?: string;
  readonly disabled?: boolean;
}

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly Choice<T>[];
  readonly onChoose: (value: T) => void;
  /** how each is drawn: side by side in one strip, or as chips with room between */
  readonly variant?: "strip" | "chip";
  readonly className?: string;
}

/** The arrow keys belong to the group: nothing around it moves along. */
const keepArrows = (e: KeyboardEvent) => {
  if (e.key.startsWith("Arrow")) e.stopPropagation();
};

/** One of a few, all in sight; one stop for Tab, the arrow keys go on. */
export const Choices = <T extends string>({
  label,
  value,
  choices,
  onChoose,
  variant = "strip",
  className = "",
}: Props<T>) => {
  const id = useId();
  return (
    <ToggleButtonGroup
      type="radio"
      role="radiogroup"
      aria-label={label}
      name={id}
      value={value}
      onChange={(next: T) => onChoose(next)}
      bsPrefix={`${variant}s`}
      className={className}
      onKeyDown={keepArrows}
    >
      {choices.map((c) => (
        <ToggleButton
          key={c.value}
          id={`${id} ${c.value}`}
          value={c.value}
          variant={variant}
          title={c.title}
          role={undefined}
          tabIndex={-1}
          disabled={c.disabled ?? false}
        >
          {c.words}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
};
