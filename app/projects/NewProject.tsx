import { Button, FormControl } from "react-bootstrap";
import { Form, useNavigation } from "react-router";
import { projectsWords } from "./words";

interface Props {
  readonly refusal: string | null;
  readonly onCancel: () => void;
}

/** A new project is made by its name. */
export const NewProject = ({ refusal, onCancel }: Props) => {
  const busy = useNavigation().state !== "idle";
  return (
    <Form method="post" className="new-line">
      <input type="hidden" name="intent" value="create" />
      <label htmlFor="project-name">{projectsWords.name}</label>
      <FormControl
        id="project-name"
        name="name"
        autoFocus
        maxLength={120}
        placeholder={projectsWords.nameHint}
        aria-invalid={refusal === null ? undefined : true}
        aria-describedby="project-error"
      />
      <Button type="submit" disabled={busy}>
        {projectsWords.create}
      </Button>
      <Button variant="outline-secondary" onClick={onCancel}>
        {projectsWords.cancel}
      </Button>
      <span id="project-error" className="refusal" role="alert">
        {refusal}
      </span>
    </Form>
  );
};
