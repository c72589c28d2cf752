import { tokenTypeOfPart, withPart } from "#core/edit";
import type { Timed, TimedPart } from "#core/edit";
import { useDisplayedProject } from "../../session/displayed";
import { TokenPick } from "../TokenPick";

interface Props<T extends Timed> {
  readonly timed: T;
  readonly part: TimedPart;
  readonly label: string;
  readonly onChange: (timed: T) => void;
}

/** Which token a duration, a delay or a curve follows; nothing where there is none to follow. */
export const TimeToken = <T extends Timed>({ timed, part, label, onChange }: Props<T>) => {
  const tokens = useDisplayedProject((p) => p.tokens);
  return (
    <TokenPick
      label={label}
      types={[tokenTypeOfPart[part]]}
      followed={timed.parts?.[part]}
      onPick={(token) => onChange(withPart(tokens, timed, part, token))}
    />
  );
};
