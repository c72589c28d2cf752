import { Choices } from "../ui/fields/Choices";
import { partsWords } from "./words";

interface Props {
  /** whether they succeed */
  readonly well: boolean;
  readonly onChange: (well: boolean) => void;
}

/** How forms that are sent are answered: the stand-in of whatever takes them. */
export const FormAnswer = ({ well, onChange }: Props) => (
  <Choices
    label={partsWords.submittedForms}
    value={well ? "succeed" : "fail"}
    choices={[
      { value: "succeed", words: partsWords.succeed },
      { value: "fail", words: partsWords.fail },
    ]}
    onChoose={(answer) => onChange(answer === "succeed")}
  />
);
