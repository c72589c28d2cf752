import { useMemo } from "react";
import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import {
  mergeTokens,
  repeatedValues,
  tokenFindings,
  tokenFrom,
  tokenSaying,
  bindToToken,
} from "#core/edit";
import type { Repeated } from "#core/edit";
import { baseProject } from "#core/looks";
import type { Project } from "#core/project";
import { showValue } from "#core/properties";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { tokenKinds } from "./kinds";
import { systemWords } from "./words";

const oftenRepeated = (project: Project) =>
  repeatedValues(project)
    .filter((r) => r.places.length > 2)
    .slice(0, 8);

interface Props {
  /** a token was made, which gets its name now */
  readonly onMade: (token: Id) => void;
}

/** What could be tidied: values that repeat, tokens that nobody uses, tokens that are the same. */
export const Findings = ({ onMade }: Props) => {
  const session = useSession();
  // tokens that are the same in one theme alone are not
  const project = useDisplayedProject(baseProject);
  const repeated = useMemo(() => oftenRepeated(project), [project]);
  const { unused, equal } = useMemo(() => tokenFindings(project), [project]);
  const make = (r: Repeated, value: string) => {
    const name = r.type === "colour" ? value : tokenKinds[r.type].one;
    const made = session.make((now) => tokenFrom(now, r, name));
    if (made) onMade(made.id);
  };
  if (repeated.length + unused.length + equal.length === 0)
    return <p className="quiet small-text">{systemWords.noSuggestionsNoRepeated}</p>;
  return (
    <ul className="findings">
      {repeated.map((r) => {
        const value = showValue(r.value as never);
        const known = tokenSaying(project, r);
        return (
          <li key={`${r.type} ${value}`}>
            <span
              className="sample tiny"
              style={r.type === "colour" ? { background: value } : {}}
            />
            <span>
              <span className="mono">{value}</span> {systemWords.usedPlaces(r.places.length)}
            </span>
            <Button
              variant="link"
              size="sm"
              onClick={() => (known ? session.run(() => bindToToken(r, known)) : make(r, value))}
            >
              {known ? systemWords.useToken(known.name) : systemWords.createToken}
            </Button>
          </li>
        );
      })}
      {equal.map((group) => (
        <li key={group[0]?.id}>
          <span>{systemWords.haveSameValue(group.map((t) => t.name).join(", "))}</span>
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              session.run((now) => mergeTokens(now, group));
            }}
          >
            {systemWords.mergeTokens}
          </Button>
        </li>
      ))}
      {unused.length > 0 && (
        <li>
          <span>{systemWords.notUsed(unused.map((t) => t.name).join(", "))}</span>
        </li>
      )}
    </ul>
  );
};
