import { proxy } from "comlink";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { baseProject } from "#core/looks";
import { inOrder } from "#core/project";
import type { Piece } from "#core/project";
import { useBenchMemory } from "../../bench/state/memory";
import { useEnv } from "../../services/env";
import { inspector } from "../../services/inspector";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { ResultMark } from "../../parts/ResultMark";
import type { Inspection } from "../../../workers/inspector";
import { FindingLink } from "../FindingLink";
import { libraryWords } from "../words";

/** What looking through a component came to; null until it is known. */
const useInspection = (id: string): Inspection | null => {
  // all themes are looked at: those of the project as it is, not those of one as it is shown
  const project = useDisplayedProject(baseProject);
  const env = useEnv(project.assets);
  const [inspection, setInspection] = useState<Inspection | null>(null);
  useEffect(() => {
    if (!env) return;
    let isOver = false;
    // of a component with many situations, what the first came to is shown until all are looked at
    const take = (found: Inspection | null) => {
      if (!isOver && found) setInspection(found);
    };
    void inspector(env)
      .then((it) => it.inspect(project, id, proxy(take)))
      .then(take);
    return () => {
      isOver = true;
    };
  }, [project, env, id]);
  return inspection;
};

/** What checks find in a component, and how its rehearsals go. */
export const Found = ({ piece }: { readonly piece: Piece }) => {
  const session = useSession();
  const memory = useBenchMemory();
  const inspection = useInspection(piece.id);
  const bench = `/projects/${session.id}/pieces/${piece.id}`;
  if (!inspection) return <p className="quiet coming">{libraryWords.lookingThrough}</p>;
  const findings = inspection.findings.filter((f) => !(f.id in piece.accepted));
  const accepted = inspection.findings.length - findings.length;
  const rehearsals = inOrder(piece.rehearsals);
  return (
    <div className="found">
      <div>
        <h3>{libraryWords.findingsTitle}</h3>
        {findings.length === 0 && <p className="quiet">{libraryWords.noFindings}</p>}
        <ul className="findings">
          {findings.map((finding) => (
            <li key={finding.id}>
              <FindingLink piece={piece.id} finding={finding} />
            </li>
          ))}
        </ul>
        {accepted > 0 && <p className="quiet">{libraryWords.accepted(accepted)}</p>}
      </div>
      <div>
        <h3>{libraryWords.rehearsals}</h3>
        {rehearsals.length === 0 && <p className="quiet">{libraryWords.noRehearsals}</p>}
        <ul className="used-list">
          {rehearsals.map((r) => {
            const failure = inspection.rehearsals[r.id];
            return (
              <li key={r.id}>
                <ResultMark result={failure ? "failed" : "passed"} />
                <Link to={bench} onClick={() => memory.open(piece.id, r.id)}>
                  {r.name}
                </Link>
                {failure && <span className="trouble">{libraryWords.failed(failure.why)}</span>}
              </li>
            );
          })}
        </ul>
      </div>
    </div>
  );
};
