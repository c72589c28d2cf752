import { present } from "#core/basics";
import { isSpring, namedCurves, springFrom } from "#core/motion";
import { BASE, ROOT, orderAfter } from "#core/project";
import type {
  Acceptance,
  AriaState,
  Condition,
  Easing,
  Effect,
  Lane,
  Layer,
  LayerChanges,
  Look,
  Motion,
  Option,
  Piece,
  Pose,
  Rule,
  Sample,
  Spring,
  Step,
  Trait,
  TraitAria,
  VariantNote,
} from "#core/project";
import { namedPoses } from "#core/properties";
import type { AwayPose, LayerKind, SpecifiedValue } from "#core/properties";

/** A layer of the demo source, with its values for all variants. */
export interface Drawn {
  readonly id: string;
  readonly kind: LayerKind;
  readonly name: string;
  readonly values: Record<string, SpecifiedValue>;
  readonly inside: readonly Drawn[];
}

const drawn =
  (kind: LayerKind) =>
  (
    id: string,
    name: string,
    values: Record<string, SpecifiedValue>,
    inside: readonly Drawn[] = [],
  ): Drawn => ({ id, kind, name, values, inside });
export const box = drawn("box");
export const ellipse = drawn("ellipse");
export const shape = drawn("path");
export const text = drawn("text");
export const line = drawn("line");
export const polygon = drawn("polygon");
export const compound = drawn("compound");
export const icon = drawn("icon");
export const picture = drawn("picture");
/** A placed copy of a component. */
export const copy = drawn("instance");

/** Numbers every item of a list in order. */
const ordered = <T extends object>(items: readonly T[]): (T & { order: string })[] => {
  const out: (T & { order: string; id: string })[] = [];
  for (const [i, item] of items.entries())
    out.push({ ...item, id: String(i), order: orderAfter(out) });
  return out.map((o, i) => ({ ...(items[i] as T), order: o.order }));
};
const table = <T extends { id: string }>(items: readonly T[]): Record<string, T> =>
  Object.fromEntries(items.map((i) => [i.id, i]));

/** "checked-yes" for the value yes of the trait checked: ids of demo values can be read. */
export const valueId = (trait: string, value: string): string =>
  `${trait}-${value.toLowerCase().replaceAll(" ", "-")}`;
const condition = (when: Readonly<Record<string, string | readonly string[]>>): Condition =>
  Object.fromEntries(
    Object.entries(when).map(([t, v]) => [
      t,
      (typeof v === "string" ? [v] : v).map((x) => valueId(t, x)),
    ]),
  );

/** A trait as it is written down: its name, its values, and the state it stands for, if any. */
interface TraitSource {
  readonly id: string;
  readonly name: string;
  readonly values: readonly string[];
  readonly aria: TraitAria | undefined;
}

/** A trait by id: its name and its values. */
export const trait = (id: string, name: string, values: readonly string[]): TraitSource => ({
  id,
  name,
  values,
  aria: undefined,
});

/** A trait that is a state to assistive technology, in the values named last. */
export const stateTrait = (
  id: string,
  name: string,
  values: readonly string[],
  state: AriaState,
  ...on: readonly string[]
): TraitSource => ({
  ...trait(id, name, values),
  aria: { state, on: on.map((value) => valueId(id, value)) },
});

export interface Source {
  readonly id: string;
  readonly kind: Piece["kind"];
  readonly name: string;
  readonly values: Record<string, SpecifiedValue>;
  readonly inside: readonly Drawn[];
  readonly traits?: readonly TraitSource[];
  readonly looks?: readonly {
    when: Readonly<Record<string, string | readonly string[]>>;
    changes: Readonly<Record<string, LayerChanges>>;
  }[];
  readonly rules?: readonly (Pick<Rule, "id" | "trigger" | "effects"> & {
    source?: string;
    when?: Readonly<Record<string, string>>;
    undo?: boolean;
    motion: Motion;
    back?: Motion;
  })[];
  readonly options?: readonly Omit<Option, "order">[];
  readonly signals?: readonly { id: string; name: string }[];
  /** combinations that are not used */
  /** what someone does with it and what must come of it */
  readonly rehearsals?: readonly { readonly name: string; readonly steps: readonly Step[] }[];
  /** shown on its page of the library */
  readonly samples?: readonly Omit<Sample, "order">[];
  /** findings that are as they should be */
  readonly accepted?: readonly Acceptance[];
  /** how a screen lies over others */
  readonly overlay?: Piece["overlay"];
  readonly unused?: readonly Readonly<Record<string, string | readonly string[]>>[];
  /** names of variants, by all their values */
  readonly named?: readonly {
    readonly name: string;
    readonly when: Readonly<Record<string, string>>;
  }[];
}

const flatten = (
  list: readonly Drawn[],
  parent: string,
  layers: Layer[],
  base: Record<string, LayerChanges>,
): void => {
  for (const item of ordered(list)) {
    layers.push({ id: item.id, kind: item.kind, name: item.name, parent, order: item.order });
    base[item.id] = item.values;
    flatten(item.inside, item.id, layers, base);
  }
};

const traitsOf = (source: Source): Trait[] =>
  ordered(source.traits ?? []).map((t, pattern): Trait => ({
    id: t.id,
    name: t.name,
    order: t.order,
    pattern,
    rest: null,
    values: table(ordered(t.values.map((name) => ({ id: valueId(t.id, name), name })))),
    ...(t.aria ? { aria: t.aria } : {}),
  }));

/** A look's id from what it holds for: the same whenever the piece is built. */
const lookId = (when: NonNullable<Source["looks"]>[number]["when"]): string => {
  const parts = Object.entries(when).map(([t, v]) =>
    valueId(t, typeof v === "string" ? v : v.join("-")),
  );
  return ["look", ...parts].join("-");
};

const looksOf = (source: Source, base: Record<string, LayerChanges>): Look[] =>
  ordered([{ when: {}, changes: base }, ...(source.looks ?? [])]).map((l, i) => ({
    id: i === 0 ? BASE : lookId(l.when),
    when: condition(l.when),
    order: l.order,
    changes: l.changes,
  }));

const rulesOf = (source: Source): Rule[] =>
  ordered(source.rules ?? []).map((r): Rule => ({
    id: r.id,
    order: r.order,
    on: true,
    trigger: r.trigger,
    source: r.source ?? null,
    when: condition(r.when ?? {}),
    effects: r.effects,
    undo: r.undo ?? false,
    motion: r.motion,
    ...(r.back ? { back: r.back } : {}),
  }));

const notesOf = ({ unused = [], named = [] }: Source): VariantNote[] =>
  ordered([
    ...unused.map((when, i) => ({
      id: `unused-${i}`,
      when: condition(when),
      name: null,
      unused: true,
    })),
    ...named.map(({ when, name }, i) => ({
      id: `name-${i}`,
      when: condition(when),
      name,
      unused: false,
    })),
  ]);

const slug = (name: string): string =>
  name
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, "-")
    .slice(0, 40);

/** A piece from its source, in the form in which every project keeps it. */
export const piece = (source: Source, order: string): Piece => {
  const layers: Layer[] = [{ id: ROOT, kind: "box", name: source.name, parent: null, order: "a0" }];
  const base: Record<string, LayerChanges> = { [ROOT]: source.values };
  flatten(source.inside, ROOT, layers, base);
  const rehearsals = (source.rehearsals ?? []).map((r) => ({ ...r, id: slug(r.name) }));
  return {
    id: source.id,
    kind: source.kind,
    name: source.name,
    order,
    traits: table(traitsOf(source)),
    layers: table(layers),
    looks: table(looksOf(source, base)),
    rules: table(rulesOf(source)),
    options: table(ordered(source.options ?? [])),
    signals: table(ordered(source.signals ?? [])),
    notes: table(notesOf(source)),
    samples: table(ordered(source.samples ?? [])),
    reference: null,
    rehearsals: table(ordered(rehearsals)),
    accepted: Object.fromEntries((source.accepted ?? []).map((a) => [a.id, a])),
    ...(source.overlay ? { overlay: source.overlay } : {}),
  };
};

/** A trait becomes a value, or steps on. */
export const becomes = (id: string, to: string): Effect => ({
  type: "set",
  trait: id,
  to: { value: valueId(id, to) },
});
export const steps = (id: string, step: "next" | "previous" | "opposite"): Effect => ({
  type: "set",
  trait: id,
  to: { step },
});

/** A layer or one of its properties with a time of its own; a spring takes the time it needs. */
export const lane = (
  layer: string,
  key: string | null,
  delay: number,
  duration: number,
  easing: Motion["easing"] = "ease-in-out",
  poses: readonly Pose[] = [],
  times?: number,
): Lane => ({
  layer,
  key,
  delay,
  duration,
  easing,
  ...(poses.length ? { poses } : {}),
  ...(times === undefined ? {} : { times }),
});
/** A spring by the time of a swing (ms) and its bounciness, in numbers one can read. */
export const spring = (swing: number, bounciness: number): Spring => {
  const s = springFrom({ swing, bounciness });
  return {
    ...s,
    stiffness: Math.round(s.stiffness * 10) / 10,
    damping: Math.round(s.damping * 100) / 100,
  };
};
/** Swings a little into place. */
export const settling = spring(300, 0.45);

/** A curve by its plain name. */
export const curve = (name: string): Easing =>
  present(namedCurves.find((c) => c.name === name)).easing;

/** A pose something comes from, by its name. */
export const namedPose = (name: string): AwayPose => present(namedPoses[name]);

/** The kit's motion tokens: what moves just so follows them. */
export const motionTokens: readonly {
  readonly id: string;
  readonly name: string;
  readonly duration: number;
  readonly easing: Motion["easing"];
}[] = [
  { id: "motion-quick", name: "Quick", duration: 120, easing: "ease-out" },
  { id: "motion-calm", name: "Calm", duration: 260, easing: "ease-in-out" },
  { id: "motion-mooring", name: "Mooring", duration: 420, easing: spring(460, 0.16) },
];

export const motion = (
  kind: Motion["kind"],
  duration: number,
  easing: Motion["easing"] = "ease-out",
): Motion => {
  const token =
    kind === "cut"
      ? undefined
      : motionTokens.find(
          (t) =>
            JSON.stringify(t.easing) === JSON.stringify(easing) &&
            (isSpring(easing) || t.duration === duration),
        );
  return { kind, duration, delay: 0, easing, ...(token ? { token: token.id } : {}) };
};
