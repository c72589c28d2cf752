import { Button } from "react-bootstrap";
import { nearToken } from "#core/edit";
import { isBound } from "#core/properties";
import type { SpecifiedValue, Value } from "#core/properties";
import { useDisplayedProject } from "../../../session/displayed";
import { partsWords } from "../../../parts/words";
import { readCell } from "../rows";
import type { Row } from "../rows";

interface Props {
  readonly row: Row;
  /** what the cell came to before */
  readonly current: Value | undefined;
  /** what is typed so far */
  readonly text: string;
  readonly onPick: (said: SpecifiedValue) => void;
}

/** Says, while a value is typed, that it is or nearly is a token, and offers that. */
export const NearToken = ({ row, current, text, onPick }: Props) => {
  const near = useDisplayedProject((project) => {
    const read = readCell(project, row, text, current);
    const said = read.ok ? read.values[row.key] : undefined;
    const found = said === undefined || isBound(said) ? null : nearToken(project, row.key, said);
    return found && `${found.isSame ? "=" : "≈"}${found.token.id}`;
  });
  const name = useDisplayedProject((p) => p.tokens[near?.slice(1) ?? ""]?.name);
  if (near === null || name === undefined) return null;
  return (
    <Button
      variant="outline-primary"
      size="sm"
      className="near-token"
      // the field is left for it, which must not end the editing
      onMouseDown={(e) => e.preventDefault()}
      onClick={() => onPick({ token: near.slice(1) })}
    >
      {near.startsWith("=") ? partsWords.isToken(name) : partsWords.nearlyToken(name)}
    </Button>
  );
};
