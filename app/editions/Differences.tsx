import { useMemo, useState } from "react";
import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import { restingVariant, variantKey, variantName } from "#core/looks";
import type { Project, Variant } from "#core/project";
import { variantNow } from "#core/system";
import type { Difference } from "#core/system";
import { Choices } from "../ui/fields/Choices";
import { Pick } from "../ui/fields/Pick";
import { BeforeAfter } from "./BeforeAfter";
import { countsOf, groupsOf } from "./grouped";
import type { Group } from "./grouped";
import { sceneOf } from "./scenes";
import { WeightBadge } from "./WeightBadge";
import { editionsWords } from "./words";

/** Two editions of a system, each with what it adopts itself. */
interface Sides {
  readonly before: Project;
  readonly after: Project;
}

/** So many sentences of a component are shown at first. */
const FEW = 6;

interface Look {
  readonly variant: Variant;
  readonly theme: Variant;
}

/** The variants of a component that look otherwise, each in the theme in which it does. */
const looksOf = (differences: readonly Difference[]): readonly Look[] => {
  const found = new Map<string, Look>();
  for (const { variants = [], theme = {} } of differences)
    for (const variant of variants) {
      const key = JSON.stringify([variant, theme]);
      if (!found.has(key)) found.set(key, { variant, theme });
    }
  return [...found.values()];
};

interface PictureProps extends Sides {
  readonly env: LayoutEnv;
  readonly component: Id;
  readonly differences: readonly Difference[];
}

/** A component before and after, in any of the variants that look otherwise. */
const Pictures = ({ env, before, after, component, differences }: PictureProps) => {
  const [picked, setPicked] = useState(0);
  const looks = useMemo(() => looksOf(differences), [differences]);
  const [was, is] = [before.pieces[component], after.pieces[component]];
  const look = looks[picked] ?? looks[0];
  const scenes = useMemo(() => {
    if (!was || !is || !look) return null;
    const { variant, theme } = look;
    const now = variantNow(is, variant) ?? restingVariant(is);
    return [
      sceneOf(env, { project: before, piece: component, variant, theme }),
      sceneOf(env, { project: after, piece: component, variant: now, theme }),
    ] as const;
  }, [env, before, after, component, was, is, look]);
  // of what is on one side alone nothing can be said
  if (!was || !is) return null;
  if (!scenes || !look) return <p className="quiet small-text">{editionsWords.looksSame}</p>;
  return (
    <>
      <BeforeAfter
        before={scenes[0]}
        after={scenes[1]}
        label={editionsWords.beforeAfter(was.name, variantName(was, look.variant))}
      />
      {looks.length > 1 && (
        <Pick
          search
          label={editionsWords.changedVariant(was.name)}
          value={String(picked)}
          options={looks.map(({ variant }, i) => ({
            value: String(i),
            words: variantName(was, variant) || variantKey(was, variant),
          }))}
          onPick={(at) => setPicked(Number(at))}
        />
      )}
    </>
  );
};

/** What differs about a component, in sentences: some of them at first. */
export const Sentences = ({ differences }: { readonly differences: readonly Difference[] }) => {
  const [isWhole, setWhole] = useState(false);
  const shown = isWhole ? differences : differences.slice(0, FEW);
  const more = differences.length - shown.length;
  return (
    <ul className="difference-list">
      {shown.map((d, i) => (
        <li key={i}>{d.text}</li>
      ))}
      {more > 0 && (
        <li>
          <Button variant="link" size="sm" onClick={() => setWhole(true)}>
            {editionsWords.showMore(more)}
          </Button>
        </li>
      )}
    </ul>
  );
};

interface RowProps extends Sides {
  readonly env: LayoutEnv;
  readonly group: Group;
  readonly isPlain: boolean;
}

const Row = ({ env, group, isPlain, ...sides }: RowProps) => (
  <li className="difference-row">
    <div>
      <h3>
        {group.component === null ? editionsWords.ofValues : group.name}{" "}
        {!isPlain && <WeightBadge weight={group.weight} />}
      </h3>
      <Sentences differences={group.differences} />
    </div>
    <div>
      {group.component !== null && (
        <Pictures
          env={env}
          component={group.component}
          differences={group.differences}
          {...sides}
        />
      )}
    </div>
  </li>
);

const filters = ["all", "breaking", "feature", "patch"] as const;
type Filter = (typeof filters)[number];

interface Props extends Sides {
  readonly env: LayoutEnv;
  readonly differences: readonly Difference[];
  /** nobody adopts it: how much each asks is not said */
  readonly isPlain?: boolean;
}

/** All that differs between two editions: by component, what asks most first, with pictures. */
export const Differences = ({ env, before, after, differences, isPlain = false }: Props) => {
  const [filter, setFilter] = useState<Filter>("all");
  const groups = useMemo(() => groupsOf(differences, before, after), [differences, before, after]);
  const counts = countsOf(groups);
  const number = (f: Filter) => (f === "all" ? groups.length : counts[f]);
  const shown = groups.filter((g) => filter === "all" || g.weight === filter);
  return (
    <>
      {!isPlain && (
        <Choices
          variant="chip"
          label={editionsWords.show}
          value={filter}
          choices={filters.map((f) => ({
            value: f,
            words: editionsWords.filter(f, number(f)),
            disabled: number(f) === 0,
          }))}
          onChoose={setFilter}
        />
      )}
      <ul className="difference-rows">
        {shown.map((group) => (
          <Row
            key={group.component ?? "values"}
            env={env}
            before={before}
            after={after}
            group={group}
            isPlain={isPlain}
          />
        ))}
      </ul>
    </>
  );
};
