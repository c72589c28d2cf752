import { restingVariant, traitsOf, valuesOf } from "#core/looks";
import type { Varying } from "#core/project";
import { Choices } from "../../ui/fields/Choices";
import { Swatch } from "../../ui/Icon";
import { useWatched } from "../../ui/watched";
import type { TryRun } from "./run";
import { tryWords } from "./words";

interface Props {
  readonly run: TryRun;
  readonly piece: Varying;
}

/** The traits of what is tried, as switches. */
export const TryTraits = ({ run: made, piece }: Props) => {
  const run = useWatched(made);
  const traits = traitsOf(piece);
  const rest = restingVariant(piece);
  if (traits.length === 0) return null;
  return (
    <div className="try-traits">
      {traits.map((t) => (
        <div key={t.id} className="try-trait">
          <span className="line-name">
            <Swatch pattern={t.pattern} />
            {t.name}
          </span>
          <Choices
            label={tryWords.tryName(t.name)}
            value={run.variant[t.id] ?? rest[t.id] ?? ""}
            choices={valuesOf(t).map((v) => ({ value: v.id, words: v.name }))}
            onChoose={(value) => run.set(t.id, value)}
          />
        </div>
      ))}
    </div>
  );
};
