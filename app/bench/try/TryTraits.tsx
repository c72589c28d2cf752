import { useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { restingVariant, traitsOf, valuesOf } from "#core/looks";
import { withinScreen } from "#core/machine";
import type { Varying } from "#core/project";
import { pathText } from "#core/rehearse";
import { TraitChoice } from "../../parts/TraitChoice";
import { useDisplayedProject } from "../../session/displayed";
import { Choices } from "../../ui/fields/Choices";
import { Swatch } from "../../ui/Icon";
import { Tool } from "../../ui/Tool";
import { useWatched } from "../../ui/watched";
import type { TryRun } from "./run";
import { tryWords } from "./words";

interface Props {
  readonly run: TryRun;
  readonly piece: Varying;
}

/** The traits of the copies on a screen, out of the way until they are asked for. */
const OfCopies = ({ run: made }: { run: TryRun }) => {
  const run = useWatched(made);
  const [isOpen, setOpen] = useState(false);
  const isScreen = useDisplayedProject((p) => p.pieces[run.screen]?.kind === "screen");
  const copies = run.copies.filter((c) => c.path !== run.screen && traitsOf(c.piece).length > 0);
  const names = useDisplayedProject(
    useShallow((p) => {
      const screen = p.pieces[run.screen];
      return copies.map((c) => (screen ? pathText(p, screen, withinScreen(c.path)) : ""));
    }),
  );
  if (!isScreen || copies.length === 0) return null;
  return (
    <>
      <Tool
        className="try-copies"
        icon={isOpen ? "down" : "right"}
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {tryWords.traitsOfCopies}
      </Tool>
      {isOpen &&
        copies.flatMap((copy, i) =>
          traitsOf(copy.piece).map((trait) => {
            const label = tryWords.copyTrait(names[i] ?? "", trait.name);
            return (
              <div key={`${copy.path} ${trait.id}`} className="try-trait">
                <span className="line-name" title={label}>
                  {label}
                </span>
                <TraitChoice
                  label={tryWords.tryName(label)}
                  trait={trait}
                  value={copy.variant[trait.id]}
                  onChoose={(value) => run.set(trait.id, value, copy.path)}
                />
              </div>
            );
          }),
        )}
    </>
  );
};

/** The traits of what is tried, as switches; on a screen also those of its copies. */
export const TryTraits = ({ run: made, piece }: Props) => {
  const run = useWatched(made);
  const traits = traitsOf(piece);
  const rest = restingVariant(piece);
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
      <OfCopies run={run} />
    </div>
  );
};
