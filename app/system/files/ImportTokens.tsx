import { useEffect, useMemo, useState } from "react";
import { Button, Modal } from "react-bootstrap";
import { planTokens, takeTokens } from "#core/edit";
import type { ReadTokens, TokenFile } from "#core/formats/tokens";
import { readTokenFiles } from "../../services/tokens";
import { useSession } from "../../session/context";
import { Check } from "../../ui/fields/Check";
import { FileThemes } from "./FileThemes";
import { ImportEffects } from "./ImportEffects";
import { ImportProblems } from "./ImportProblems";
import { ImportTable } from "./ImportTable";
import { filesWords } from "./words";

interface Props {
  readonly files: readonly TokenFile[];
  readonly onClose: () => void;
  readonly onDone: (text: string) => void;
}

interface Found {
  readonly files: readonly TokenFile[];
  readonly read: ReadTokens;
}

/** What the files say, read anew in a worker whenever one of them is for another theme. */
const useRead = (files: readonly TokenFile[]) => {
  const [found, setFound] = useState<Found | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  useEffect(() => {
    let isStale = false;
    readTokenFiles(files).then(
      (read) => {
        if (!isStale) setFound({ files, read });
      },
      () => {
        if (!isStale) setFailure(filesWords.readFailed);
      },
    );
    return () => {
      isStale = true;
    };
  }, [files]);
  // what other files said stays in sight meanwhile, but is not taken for what these say
  return { read: found?.read ?? null, isCurrent: found?.files === files, failure };
};

/** Shows what importing token files would do, and does it. */
export const ImportTokens = ({ files: chosen, onClose, onDone }: Props) => {
  const session = useSession();
  const [files, setFiles] = useState(chosen);
  const [removesGone, setRemovesGone] = useState(false);
  const { read, isCurrent, failure } = useRead(files);
  const project = session.project;
  const plan = useMemo(() => (read ? planTokens(project, read) : null), [project, read]);
  const taken = plan?.rows.filter((r) => r.state === "new" || r.state === "changed").length ?? 0;
  const gone = plan?.rows.filter((r) => r.state === "gone").length ?? 0;
  const run = () => {
    if (!read) return;
    const made = session.run((now) => takeTokens(now, planTokens(now, read), removesGone));
    if (made) onDone(filesWords.imported(taken));
    onClose();
  };
  const isIdle = taken === 0 && !(removesGone && gone > 0);
  return (
    <Modal show onHide={onClose} size="xl" scrollable aria-labelledby="import-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="import-title">
          {filesWords.importTokens}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="import-body">
        <FileThemes files={files} onFiles={setFiles} />
        {failure !== null && <p className="refusal">{failure}</p>}
        {!plan && failure === null && (
          <p className="quiet" role="status">
            {filesWords.reading}
          </p>
        )}
        {plan && read && (
          <>
            <ImportProblems problems={read.problems} notes={read.notes} />
            <ImportTable plan={plan} />
            {gone > 0 && (
              <Check
                words={filesWords.removeGone(gone)}
                checked={removesGone}
                onSwitch={setRemovesGone}
              />
            )}
            <ImportEffects project={project} plan={plan} removesGone={removesGone} />
          </>
        )}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          {filesWords.cancel}
        </Button>
        <Button disabled={!plan || !isCurrent || isIdle} onClick={run}>
          {filesWords.importCount(taken)}
        </Button>
      </Modal.Footer>
    </Modal>
  );
};
