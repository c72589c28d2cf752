import { useState } from "react";
import type { ComponentProps, FocusEvent } from "react";
import type { Id } from "#core/basics";
import type { NearToken } from "#core/edit";
import type { Project } from "#core/project";
import { NumberField } from "../ui/fields/NumberField";
import { NearOffer } from "./NearOffer";

interface Props extends Omit<ComponentProps<typeof NumberField>, "onTyped"> {
  /** the token that a typed number is, or nearly is */
  readonly near: (project: Project, typed: number) => NearToken | null;
  readonly onToken: (token: Id) => void;
}

/** A number that could follow a token, and says while it is typed which one it nearly is. */
export const TypedNumber = ({ near, onToken, ...field }: Props) => {
  const [typed, setTyped] = useState<number | null>(null);
  const leave = (e: FocusEvent<HTMLElement>) => {
    if (!e.currentTarget.contains(e.relatedTarget)) setTyped(null);
  };
  return (
    <span className="typed-number" onBlur={leave}>
      <NumberField {...field} onTyped={setTyped} />
      {typed !== null && (
        <NearOffer
          className="near-number"
          find={(project) => near(project, typed)}
          onPick={(token) => {
            setTyped(null);
            onToken(token);
          }}
        />
      )}
    </span>
  );
};
