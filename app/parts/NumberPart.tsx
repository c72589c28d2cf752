import type { Id } from "#core/basics";
import { nearNumber, withNumberToken } from "#core/edit";
import { resolveNumbers } from "#core/machine";
import { followingNumbers } from "#core/project";
import type { FollowingNumber, Numbered } from "#core/project";
import { useDisplayedProject } from "../session/displayed";
import { TokenPick } from "./TokenPick";
import { TypedNumber } from "./TypedNumber";

interface Props<T extends Numbered> {
  readonly said: T;
  readonly name: FollowingNumber;
  readonly label: string;
  readonly title?: string;
  /** what is said where nothing is, as `said` has it */
  readonly usual?: number;
  /** of the number as it is typed */
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly unit: string;
  /** how many of the typed number make one; 1 where not said */
  readonly scale?: number;
  readonly onChange: (said: T) => void;
}

/** A number of a trigger or an effect: said here, or by a token it follows. */
export const NumberPart = <T extends Numbered>({
  said,
  name,
  usual = 0,
  scale = 1,
  onChange,
  ...field
}: Props<T>) => {
  const project = useDisplayedProject();
  const type = followingNumbers[name];
  const follow = (token: Id | null) => onChange(withNumberToken(project, said, name, token));
  const followed = said.tokens?.[name];
  const typed = Math.round((resolveNumbers(project, said)[name] ?? usual) * scale * 1000) / 1000;
  const pick = <TokenPick label={field.label} types={[type]} followed={followed} onPick={follow} />;
  if (followed === undefined)
    return (
      <TypedNumber
        {...field}
        near={(now, n) => nearNumber(now, type, n / scale)}
        value={typed}
        beside={pick}
        onChange={(n) => onChange({ ...said, [name]: n / scale })}
        onToken={follow}
      />
    );
  return (
    <span className="measured">
      {pick}
      <span className="quiet">
        {typed} {field.unit}
      </span>
    </span>
  );
};
