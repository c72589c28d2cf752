import { useState } from "react";
import { Button, Modal } from "react-bootstrap";
import { Link } from "react-router";
import type { Binned } from "#server";
import { Notice } from "../ui/floating/Notice";
import { ToastPlace } from "../ui/floating/ToastPlace";
import { Ago } from "../ui/time/Ago";
import { ProjectsBar } from "./ProjectsBar";
import { useProjectsAction } from "./useProjectsAction";
import { projectsWords } from "./words";

interface DeleteProps {
  readonly project: Binned;
  readonly onDelete: () => void;
  readonly onClose: () => void;
}

const Delete = ({ project, onDelete, onClose }: DeleteProps) => (
  <Modal show onHide={onClose} aria-labelledby="delete-title">
    <Modal.Header closeButton>
      <Modal.Title as="h2" id="delete-title">
        {projectsWords.deleteTitle(project.name)}
      </Modal.Title>
    </Modal.Header>
    <Modal.Body>{projectsWords.deleteMeans}</Modal.Body>
    <Modal.Footer>
      <Button variant="outline-primary" autoFocus onClick={onClose}>
        {projectsWords.cancel}
      </Button>
      <Button variant="danger" onClick={onDelete}>
        {projectsWords.delete}
      </Button>
    </Modal.Footer>
  </Modal>
);

interface Props {
  readonly binned: readonly Binned[];
  /** how long projects stay */
  readonly days: number;
  /** when the page was made, ms since 1970 */
  readonly now: number;
}

/** Projects that were moved to the bin: brought back, or deleted for good. */
export const Bin = ({ binned, days, now }: Props) => {
  const [asked, setAsked] = useState<Binned | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const { ask } = useProjectsAction(setRefusal);
  return (
    <ToastPlace>
      <ProjectsBar />
      <main className="page" id="content">
        <div className="page-head">
          <h1 tabIndex={-1}>{projectsWords.binTitle}</h1>
          <Link to="/">{projectsWords.allProjects}</Link>
        </div>
        <p className="quiet">
          {binned.length === 0 ? projectsWords.binEmpty : projectsWords.binMeans(days)}
        </p>
        <ul className="bin-list">
          {binned.map((project) => (
            <li key={project.id}>
              <span className="bin-name">{project.name}</span>
              <span className="quiet small-text">
                {project.components !== null &&
                  project.screens !== null &&
                  projectsWords.counts(project.components, project.screens)}
                {projectsWords.binned} <Ago at={project.binnedAt} from={now} />
              </span>
              <span className="bin-actions">
                <Button
                  size="sm"
                  variant="outline-primary"
                  aria-label={projectsWords.restoreOf(project.name)}
                  onClick={() => ask({ intent: "restore", id: project.id })}
                >
                  {projectsWords.restore}
                </Button>
                <Button
                  size="sm"
                  variant="link"
                  aria-label={projectsWords.deleteOf(project.name)}
                  onClick={() => setAsked(project)}
                >
                  {projectsWords.deleteForGood}
                </Button>
              </span>
            </li>
          ))}
        </ul>
      </main>
      {asked && (
        <Delete
          project={asked}
          onClose={() => setAsked(null)}
          onDelete={() => {
            ask({ intent: "destroy", id: asked.id });
            setAsked(null);
          }}
        />
      )}
      {refusal !== null && <Notice text={refusal} bad onClose={() => setRefusal(null)} />}
    </ToastPlace>
  );
};
