import { useState } from "react";
import { Button } from "react-bootstrap";
import { Link } from "react-router";
import { fixAll, fixOf, namesIn, systemChecks } from "#core/library";
import type { SystemCheck, SystemFinding } from "#core/library";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { ComponentChecks } from "./ComponentChecks";
import { libraryWords } from "./words";

/** So many findings of a kind are shown at first. */
const FEW = 4;

interface LineProps {
  readonly finding: SystemFinding;
}

/** What a finding says; each component it names is a link to its page. */
const FindingText = ({ finding: { text, pieces } }: LineProps) => {
  const session = useSession();
  const project = useDisplayedProject();
  const named = pieces.map((id) => ({ id, name: project.pieces[id]?.name ?? "" }));
  return (
    <span className="finding-text">
      {namesIn(text, named).map(({ words, id }, i) =>
        id === null ? (
          words
        ) : (
          <Link key={i} to={`/projects/${session.id}/system/components/${id}`}>
            {words}
          </Link>
        ),
      )}
    </span>
  );
};

const Line = ({ finding }: LineProps) => {
  const session = useSession();
  const [fix] = finding.fixes;
  return (
    <li>
      <FindingText finding={finding} />
      {fix && (
        <Button
          variant="link"
          size="sm"
          onClick={() => session.run((now) => fixOf(now, finding.id))}
        >
          {fix.label}
        </Button>
      )}
    </li>
  );
};

interface OfKindProps {
  readonly check: SystemCheck;
  readonly findings: readonly SystemFinding[];
  readonly onNote: (text: string) => void;
}

/** What one check has found, a few of it at first. */
const OfKind = ({ check, findings, onNote }: OfKindProps) => {
  const session = useSession();
  const [isWhole, setWhole] = useState(false);
  const fixable = findings.filter((f) => f.fixes.length > 0).length;
  const shown = isWhole ? findings : findings.slice(0, FEW);
  const mend = () => {
    if (session.run((now) => fixAll(now, check))) onNote(libraryWords.fixedAll(fixable));
  };
  return (
    <section aria-label={libraryWords.checkNames[check]} className="check-kind">
      <div className="check-head">
        <h3>{libraryWords.checkNames[check]}</h3>
        <span className="quiet small-text">{findings.length}</span>
        {fixable > 1 && (
          <Button variant="link" size="sm" onClick={mend}>
            {libraryWords.fixAll(fixable)}
          </Button>
        )}
      </div>
      <ul className="findings">
        {shown.map((finding) => (
          <Line key={finding.id} finding={finding} />
        ))}
      </ul>
      {shown.length < findings.length && (
        <Button variant="link" size="sm" onClick={() => setWhole(true)}>
          {libraryWords.showAll(findings.length)}
        </Button>
      )}
    </section>
  );
};

interface Props {
  /** null until they are known */
  readonly findings: readonly SystemFinding[] | null;
  readonly onNote: (text: string) => void;
}

/** How the components go together, and what could be better about that. */
export const Checks = ({ findings, onNote }: Props) => (
  <section aria-labelledby="checks" className="system-checks">
    <h2 id="checks">{libraryWords.checks}</h2>
    {/* above what comes later, so that its button does not move under the pointer */}
    <ComponentChecks />
    {findings === null && <p className="quiet">{libraryWords.lookingThrough}</p>}
    {findings?.length === 0 && <p className="quiet">{libraryWords.nothingFound}</p>}
    <div className="check-kinds">
      {systemChecks.map((check) => {
        const own = (findings ?? []).filter((f) => f.check === check);
        return own.length === 0 ? null : (
          <OfKind key={check} check={check} findings={own} onNote={onNote} />
        );
      })}
    </div>
  </section>
);
