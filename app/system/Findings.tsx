import { useMemo } from "react";
import { Button } from "react-bootstrap";
import {
  mergeTokens,
  repeatedValues,
  tokenFindings,
  tokenFrom,
  tokenSaying,
  bindToToken,
} from "#core/edit";
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

/** What could be tidied: values that repeat, tokens that nobody uses, tokens that are the same. */
export const Findings = () => {
  const session = useSession();
  // tokens that are the same in one theme alone are not
  const project = useDisplayedProject(baseProject);
  const repeated = useMemo(() => oftenRepeated(project), [project]);
  const { unused, equal } = useMemo(() => tokenFindings(project), [project]);
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
              onClick={() => {
                const name = r.type === "colour" ? value : tokenKinds[r.type].one;
                session.run((now) =>
                  known ? bindToToken(r, known) : tokenFrom(now, r, name).change,
                );
              }}
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
