import { nearToken } from "#core/edit";
import type { NearToken as Near } from "#core/edit";
import type { Project } from "#core/project";
import { isBound } from "#core/properties";
import type { SpecifiedValue, Value } from "#core/properties";
import { NearOffer } from "../../../parts/NearOffer";
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
  const find = (project: Project): Near | null => {
    const read = readCell(project, row, text, current);
    const said = read.ok ? read.values[row.key] : undefined;
    return said === undefined || isBound(said) ? null : nearToken(project, row.key, said);
  };
  return <NearOffer className="near-token" find={find} onPick={(token) => onPick({ token })} />;
};
