import { useMemo, useState } from "react";
import { Button, Modal, Table } from "react-bootstrap";
import { changeRows } from "#core/edit";
import type { Project } from "#core/project";
import type { Aside } from "../pending";
import { useAside, useSession } from "../context";
import { useDisplayedProject } from "../displayed";
import { Ago } from "../../ui/time/Ago";
import { saveText } from "../../services/download";
import { sessionWords } from "../words";

const whyWords = ({ why }: Aside): string => {
  if (why.kind === "refused") return sessionWords.rejected(why.reason);
  const labels = [...new Set(why.clashes.map((c) => `“${c.label}”`))];
  const first = labels.slice(0, 3).join(", ");
  return sessionWords.othersChangedSince(first, labels.length, labels.length - 3);
};

/** Most places that are shown of one change. */
const MOST_ROWS = 12;

const Rows = ({ item, project }: { item: Aside; project: Project }) => {
  const rows = useMemo(() => changeRows(project, item.change), [project, item.change]);
  if (rows.length === 0) return <p className="quiet">{sessionWords.wouldNotChangeAnything}</p>;
  return (
    <Table size="sm" className="aside-table">
      <thead>
        <tr>
          <th scope="col">{sessionWords.where}</th>
          <th scope="col">{sessionWords.now}</th>
          <th scope="col">{sessionWords.yours}</th>
        </tr>
      </thead>
      <tbody>
        {rows.slice(0, MOST_ROWS).map((row) => (
          <tr key={row.path.join("/")}>
            <td>{row.place}</td>
            <td>{row.now}</td>
            <td>{row.then}</td>
          </tr>
        ))}
        {rows.length > MOST_ROWS && (
          <tr>
            <td colSpan={3} className="quiet">
              {sessionWords.morePlaces(rows.length - MOST_ROWS)}
            </td>
          </tr>
        )}
      </tbody>
    </Table>
  );
};

const AsideItem = ({ item }: { item: Aside }) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [opened] = useState(() => Date.now());
  const conflict = item.why.kind === "conflict";
  const { label } = item.change;
  const download = () =>
    saveText(`${label}.json`, "application/json", JSON.stringify(item, null, 2));
  return (
    <li className="aside-item">
      <h3>{label}</h3>
      <p className="small-text">
        {sessionWords.edited}{" "}
        {item.madeAt === 0 ? sessionWords.earlier : <Ago at={item.madeAt} from={opened} />}.{" "}
        {whyWords(item)}
      </p>
      <Rows item={item} project={project} />
      <div className="aside-buttons">
        <Button
          size="sm"
          onClick={() => session.useAside(item.changeId)}
          aria-label={`${conflict ? sessionWords.useMine : sessionWords.tryAgain}: ${label}`}
        >
          {conflict ? sessionWords.useMine : sessionWords.tryAgain}
        </Button>
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => session.dropAside(item.changeId)}
          aria-label={`${conflict ? sessionWords.keepCurrent : sessionWords.discard}: ${label}`}
        >
          {conflict ? sessionWords.keepCurrent : sessionWords.discard}
        </Button>
        <Button
          size="sm"
          variant="outline-secondary"
          onClick={download}
          aria-label={sessionWords.download(label)}
        >
          {sessionWords.downloadInSetAside}
        </Button>
      </div>
    </li>
  );
};

/** Changes that could not just be saved: what each would do, and what shall become of it. */
export const SetAside = ({ onClose }: { onClose: () => void }) => {
  const aside = useAside();
  return (
    <Modal show onHide={onClose} size="lg" aria-labelledby="aside-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="aside-title">
          {sessionWords.editsSetAside}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {aside.length === 0 ? (
          <p className="quiet">{sessionWords.noEditsAreSet}</p>
        ) : (
          <p>{sessionWords.theseEditsAreNot}</p>
        )}
        <ul className="aside-list">
          {aside.map((item) => (
            <AsideItem key={item.changeId} item={item} />
          ))}
        </ul>
      </Modal.Body>
    </Modal>
  );
};
