import { tokenTypeOfPart, withPart } from "#core/edit";
import type { Timed, TimedPart } from "#core/edit";
import { inOrder } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { Pick } from "../../ui/fields/Pick";
import { partsWords } from "../words";

const own = "";

interface Props<T extends Timed> {
  readonly timed: T;
  readonly part: TimedPart;
  readonly label: string;
  readonly onChange: (timed: T) => void;
}

/** Which token a duration, a delay or a curve follows; nothing where there is none to follow. */
export const TimeToken = <T extends Timed>({ timed, part, label, onChange }: Props<T>) => {
  const { tokens } = useDisplayedProject();
  const type = tokenTypeOfPart[part];
  const offered = inOrder(tokens).filter((t) => t.type === type);
  const followed = timed.parts?.[part];
  if (offered.length === 0 && followed === undefined) return null;
  return (
    <Pick
      label={partsWords.tokenFor(label)}
      value={followed ?? own}
      broken={followed !== undefined && !offered.some((t) => t.id === followed)}
      options={[
        { value: own, words: partsWords.custom },
        ...offered.map((t) => ({ value: t.id, words: t.name })),
      ]}
      onPick={(id) => onChange(withPart(tokens, timed, part, id === own ? null : id))}
    />
  );
};
