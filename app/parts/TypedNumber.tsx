import { useState } from "react";
import type { ComponentProps, FocusEvent } from "react";
import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import { nearNumber } from "#core/edit";
import { useDisplayedProject } from "../session/displayed";
import { NumberField } from "../ui/fields/NumberField";
import { partsWords } from "./words";

interface Props extends Omit<ComponentProps<typeof NumberField>, "onTyped"> {
  readonly type: "duration" | "length" | "number";
  /** how many of the typed number make one of the token's; 1 where not said */
  readonly scale?: number;
  readonly onToken: (token: Id) => void;
}

/** A number that could follow a token, and says while it is typed which one it nearly is. */
export const TypedNumber = ({ type, scale = 1, onToken, ...field }: Props) => {
  const [typed, setTyped] = useState<number | null>(null);
  const near = useDisplayedProject((project) => {
    const found = typed === null ? null : nearNumber(project, type, typed / scale);
    return found && `${found.isSame ? "=" : "≈"}${found.token.id}`;
  });
  const name = useDisplayedProject((p) => p.tokens[near?.slice(1) ?? ""]?.name);
  const leave = (e: FocusEvent<HTMLElement>) => {
    if (!e.currentTarget.contains(e.relatedTarget)) setTyped(null);
  };
  return (
    <span className="typed-number" onBlur={leave}>
      <NumberField {...field} onTyped={setTyped} />
      {near !== null && name !== undefined && (
        <Button
          variant="outline-primary"
          size="sm"
          className="near-number"
          // the field is left for it, which must not end what is typed
          onMouseDown={(e) => e.preventDefault()}
          onClick={() => {
            setTyped(null);
            onToken(near.slice(1));
          }}
        >
          {near.startsWith("=") ? partsWords.isToken(name) : partsWords.nearlyToken(name)}
        </Button>
      )}
    </span>
  );
};
