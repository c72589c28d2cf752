import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import type { NearToken } from "#core/edit";
import type { Project } from "#core/project";
import { useDisplayedProject } from "../session/displayed";
import { partsWords } from "./words";

interface Props {
  /** the token that what is being said is, or nearly is */
  readonly find: (project: Project) => NearToken | null;
  readonly className: string;
  readonly onPick: (token: Id) => void;
}

/** Says that a value is or nearly is a token, and offers that. */
export const NearOffer = ({ find, className, onPick }: Props) => {
  const near = useDisplayedProject((project) => {
    const found = find(project);
    return found && `${found.isSame ? "=" : "≈"}${found.token.id}`;
  });
  const name = useDisplayedProject((p) => p.tokens[near?.slice(1) ?? ""]?.name);
  if (near === null || name === undefined) return null;
  return (
    <Button
      variant="outline-primary"
      size="sm"
      className={className}
      // the field is left for it, which must not end what is typed
      onMouseDown={(e) => e.preventDefault()}
      onClick={() => onPick(near.slice(1))}
    >
      {near.startsWith("=") ? partsWords.isToken(name) : partsWords.nearlyToken(name)}
    </Button>
  );
};
