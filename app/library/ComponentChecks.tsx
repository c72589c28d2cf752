import { useState } from "react";
import { Button } from "react-bootstrap";
import { Link } from "react-router";
import type { Id } from "#core/basics";
import type { Finding } from "#core/checks";
import { ownPiecesOf } from "#core/edit";
import { ProgressLine } from "../ui/ProgressLine";
import { useEnv } from "../services/env";
import { checkAll, stopChecking } from "../services/inspector";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { FindingLink } from "./FindingLink";
import { libraryWords } from "./words";

type Found = Readonly<Record<Id, readonly Finding[]>>;

/** What people should mend: notes are for the bench. */
const isSerious = ({ severity }: Finding): boolean => severity !== "note";

/** Every component checked in every theme, one after the other, when it is asked for. */
export const ComponentChecks = () => {
  const session = useSession();
  const project = useDisplayedProject();
  const env = useEnv(project.assets);
  const [found, setFound] = useState<Found>({});
  const [going, setGoing] = useState<"no" | "runs" | "done">("no");
  const components = ownPiecesOf(project, "component");
  const done = Object.keys(found).length;
  const run = async () => {
    if (!env) return;
    setFound({});
    setGoing("runs");
    const got: Record<Id, readonly Finding[]> = {};
    const ids = components.map((p) => p.id);
    const isWhole = await checkAll(env, session.project, ids, (piece, findings) => {
      const { accepted = {} } = session.project.pieces[piece] ?? {};
      got[piece] = findings.filter((f) => isSerious(f) && !(f.id in accepted));
      setFound({ ...got });
    });
    setGoing(isWhole ? "done" : "no");
  };
  const bad = components.filter((p) => (found[p.id] ?? []).length > 0);
  return (
    <div className="component-checks">
      <div className="check-head">
        <h3>{libraryWords.componentFindings}</h3>
        {going === "runs" ? (
          <>
            <ProgressLine
              now={done}
              max={components.length}
              label={libraryWords.checking(done, components.length)}
            />
            <span className="quiet small-text">
              {libraryWords.checking(done, components.length)}
            </span>
            <Button variant="outline-primary" size="sm" onClick={() => void stopChecking()}>
              {libraryWords.stop}
            </Button>
          </>
        ) : (
          <Button variant="outline-primary" size="sm" disabled={!env} onClick={() => void run()}>
            {libraryWords.checkComponents(components.length)}
          </Button>
        )}
      </div>
      {going === "done" && bad.length === 0 && (
        <p className="quiet" role="status">
          {libraryWords.componentsAreFine}
        </p>
      )}
      <ul className="findings">
        {bad.flatMap((piece) =>
          (found[piece.id] ?? []).map((finding) => (
            <li key={`${piece.id} ${finding.id}`}>
              <Link to={`/projects/${session.id}/system/components/${piece.id}`}>{piece.name}</Link>
              <FindingLink piece={piece.id} finding={finding} />
            </li>
          )),
        )}
      </ul>
    </div>
  );
};
