import type { Id } from "#core/basics";
import { valuesOf } from "#core/looks";
import type { Trait } from "#core/project";
import { Choices } from "../ui/fields/Choices";
import { Pick } from "../ui/fields/Pick";

/** More letters than this do not stand side by side. */
const LETTERS = 18;

interface Props {
  readonly label: string;
  readonly trait: Trait;
  readonly value: Id | undefined;
  readonly onChoose: (value: Id) => void;
}

/** The values of a trait to choose from: side by side, or as a list where they are long. */
export const TraitChoice = ({ label, trait, value, onChoose }: Props) => {
  const options = valuesOf(trait).map((v) => ({ value: v.id, words: v.name }));
  const now = value ?? options[0]?.value ?? "";
  const isShort = options.reduce((n, o) => n + o.words.length + 2, 0) <= LETTERS;
  return isShort ? (
    <Choices label={label} value={now} choices={options} onChoose={onChoose} />
  ) : (
    <Pick label={label} value={now} options={options} onPick={onChoose} />
  );
};
