import { useState } from "react";
import { Button } from "react-bootstrap";
import { Link } from "react-router";
import { inOrder } from "#core/project";
import type { Adoption } from "#core/project";
import { endAdoption, isAdoptionUsed, usageOf } from "#core/system";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { UndoNotice } from "../../session/parts/UndoNotice";
import { LinkButton } from "../../ui/LinkButton";
import { useEditionWorld } from "../contents";
import { lackText } from "../lack";
import { editionsWords } from "../words";
import { Adopt } from "./Adopt";
import { newerThan } from "./systems";
import type { System } from "./systems";

interface RowProps {
  readonly adoption: Adoption;
  readonly system: System | undefined;
  readonly onNote: (text: string) => void;
}

/** What is newer than the edition that is used, and what was said of it. */
const Newer = ({ adoption, system }: Omit<RowProps, "onNote">) => {
  const session = useSession();
  const [newest] = newerThan(adoption, system);
  if (!newest) return <p className="quiet">{editionsWords.isNewest}</p>;
  const declined = adoption.declined?.[newest.number];
  const report = `/projects/${session.id}/system/adopted/${adoption.id}?to=${newest.number}`;
  return (
    <p className="adopted-newer">
      <span>
        {editionsWords.newerThere(newest.number, newest.name)}
        {declined !== undefined && (
          <span className="quiet small-text"> {editionsWords.declinedBecause(declined)}</span>
        )}
      </span>
      <LinkButton size="sm" to={report}>
        {editionsWords.seeReport}
      </LinkButton>
    </p>
  );
};

const Row = ({ adoption, system, onNote }: RowProps) => {
  const session = useSession();
  const project = useDisplayedProject();
  const shown = useEditionWorld(adoption.edition);
  const uses = usageOf(project, adoption.id);
  const copies = uses.reduce((sum, use) => sum + use.copies, 0);
  const used = system?.editions.find(({ number }) => number === adoption.number);
  const end = () => {
    if (session.run((now) => endAdoption(now, adoption.id)))
      onNote(editionsWords.endedAdoption(adoption.name, adoption.number));
  };
  return (
    <li className="adopted-row">
      <div className="page-head">
        <h2>{editionsWords.numberName(`${adoption.name} ${adoption.number}`, used?.name ?? "")}</h2>
        <Button
          size="sm"
          variant="outline-primary"
          disabled={isAdoptionUsed(project, adoption.id)}
          title={editionsWords.endMeans}
          onClick={end}
        >
          {editionsWords.end}
        </Button>
      </div>
      <p>
        {editionsWords.usesOfIt(uses.length, copies)}{" "}
        <Link to={`/projects/${session.id}/system`}>{editionsWords.inLibrary}</Link>
      </p>
      {shown.kind === "lacking" && <p className="refusal">{lackText(shown.lack)}</p>}
      {used?.withdrawn && (
        <p className="withdrawn">{editionsWords.withdrawnBecause(used.withdrawn)}</p>
      )}
      {system?.isGone && <p className="withdrawn">{editionsWords.systemGone}</p>}
      <Newer adoption={adoption} system={system} />
    </li>
  );
};

interface Props {
  readonly systems: readonly System[];
}

/** The systems a project uses, and what is newer of each. */
export const Adopted = ({ systems }: Props) => {
  const name = useDisplayedProject((p) => p.name);
  const adoptions = useDisplayedProject((p) => p.adoptions);
  const [isAdopting, setAdopting] = useState(false);
  const [note, setNote] = useState<string | null>(null);
  const all = inOrder(adoptions);
  return (
    <>
      <div className="page-head">
        <h1 tabIndex={-1}>{editionsWords.adoptedBy(name)}</h1>
        <Button size="sm" onClick={() => setAdopting(true)}>
          {editionsWords.adoptMore}
        </Button>
      </div>
      {all.length === 0 && <p className="quiet page-empty">{editionsWords.noneAdopted}</p>}
      <ul className="adopted-rows">
        {all.map((adoption) => (
          <Row
            key={adoption.id}
            adoption={adoption}
            system={systems.find(({ id }) => id === adoption.system)}
            onNote={setNote}
          />
        ))}
      </ul>
      {isAdopting && (
        <Adopt systems={systems} onAdopted={setNote} onClose={() => setAdopting(false)} />
      )}
      {note !== null && <UndoNotice key={note} text={note} onClose={() => setNote(null)} />}
    </>
  );
};
