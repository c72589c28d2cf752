import { useState } from "react";
import { Button, Modal, Spinner } from "react-bootstrap";
import { useNavigate, useRevalidator } from "react-router";
import { ENDING, LARGEST_FILE, projectFileWords } from "#core/formats/project";
import type { Imported } from "#server";
import { FileButton } from "../ui/fields/FileButton";
import { Notice } from "../ui/floating/Notice";
import { LinkButton } from "../ui/LinkButton";
import { projectsWords } from "./words";

/** A large file takes long; after this it is given up, ms. */
const PATIENCE = 180_000;

const send = async (file: File): Promise<Imported> => {
  const answer = await fetch("/import", {
    method: "POST",
    headers: { "Content-Type": "application/octet-stream" },
    body: file,
    signal: AbortSignal.timeout(PATIENCE),
  });
  // whatever stands between may answer in another way
  const result = (await answer.json()) as Partial<Imported>;
  if (result.kind === undefined) throw new Error("no answer that is understood");
  return result as Imported;
};

type State =
  | { readonly kind: "idle" }
  | { readonly kind: "busy"; readonly name: string }
  | { readonly kind: "failed"; readonly text: string }
  | { readonly kind: "done"; readonly imported: Extract<Imported, { kind: "imported" }> };

interface ReportProps {
  readonly imported: Extract<Imported, { kind: "imported" }>;
  readonly onClose: () => void;
}

/** What of an imported file is otherwise than in it. */
const Report = ({ imported, onClose }: ReportProps) => (
  <Modal show onHide={onClose} aria-labelledby="import-title">
    <Modal.Header closeButton>
      <Modal.Title as="h2" id="import-title">
        {projectsWords.importTitle(imported.name)}
      </Modal.Title>
    </Modal.Header>
    <Modal.Body>
      <p>{projectsWords.importSays(imported.summary)}</p>
      <ul>
        {imported.notes.map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
    </Modal.Body>
    <Modal.Footer>
      <Button variant="outline-primary" onClick={onClose}>
        {projectsWords.close}
      </Button>
      <LinkButton to={`/projects/${imported.id}`}>{projectsWords.openProject}</LinkButton>
    </Modal.Footer>
  </Modal>
);

/** Makes a project of a project file, and says what became of it. */
export const ImportProject = () => {
  const [state, setState] = useState<State>({ kind: "idle" });
  const { revalidate } = useRevalidator();
  const navigate = useNavigate();
  const close = () => setState({ kind: "idle" });
  const take = async (file: File): Promise<void> => {
    if (file.size > LARGEST_FILE) {
      const reason = projectFileWords.tooLarge(LARGEST_FILE / 1e6);
      setState({ kind: "failed", text: projectsWords.notImported(file.name, reason) });
      return;
    }
    setState({ kind: "busy", name: file.name });
    const result = await send(file).catch((): Imported => ({
      kind: "refused",
      reason: projectsWords.serverAway,
    }));
    if (result.kind === "refused") {
      setState({ kind: "failed", text: projectsWords.notImported(file.name, result.reason) });
      return;
    }
    setState({ kind: "done", imported: result });
    await revalidate();
  };
  return (
    <>
      {state.kind === "busy" ? (
        <span className="quiet" role="status">
          <Spinner size="sm" aria-hidden="true" /> {projectsWords.importing(state.name)}
        </span>
      ) : (
        <FileButton
          label={projectsWords.importFile}
          accept={ENDING}
          onFiles={([file]) => file && void take(file)}
        >
          {projectsWords.importFile}
        </FileButton>
      )}
      {state.kind === "failed" && <Notice text={state.text} bad onClose={close} />}
      {state.kind === "done" && state.imported.notes.length > 0 && (
        <Report imported={state.imported} onClose={close} />
      )}
      {state.kind === "done" && state.imported.notes.length === 0 && (
        <Notice
          text={projectsWords.imported(state.imported.name, state.imported.summary)}
          action={{
            label: projectsWords.openImported,
            run: () => void navigate(`/projects/${state.imported.id}`),
          }}
          onClose={close}
        />
      )}
    </>
  );
};
