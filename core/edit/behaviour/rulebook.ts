import { z } from "zod";
import type { Id } from "../../basics";
import { componentsAt } from "../../machine";
import {
  FORMAT,
  inOrder,
  newId,
  orderAfter,
  remove,
  set,
  tables,
  upgradeValue,
} from "../../project";
import type {
  Change,
  Condition,
  Effect,
  EffectOf,
  EffectType,
  Motion,
  Op,
  Piece,
  Project,
  Rule,
} from "../../project";
import { editWords } from "../words";

/**
 * Copied rules; names stand beside the ids so that another piece with layers and traits of the same
 * names can take them.
 */
export interface RuleClip {
  readonly kind: "nubble-rules";
  /** the format its rules are written in; without it the first one */
  readonly format?: number | undefined;
  readonly piece: Id;
  readonly rules: readonly Rule[];
  readonly names: Readonly<Record<Id, string>>;
}

const clipSchema = z.strictObject({
  kind: z.literal("nubble-rules"),
  format: z.int().max(FORMAT, editWords.wasCopiedNewerVersion).optional(),
  piece: z.string().max(60),
  rules: z.array(tables.rules).min(1).max(500),
  names: z.record(z.string(), z.string()),
});

/** What rules may name of their piece: layers, traits, values and signals. */
const namesIn = (piece: Piece): Record<Id, string> => ({
  ...Object.fromEntries(Object.values(piece.layers).map((l) => [l.id, l.name])),
  ...Object.fromEntries(Object.values(piece.signals).map((s) => [s.id, s.name])),
  ...Object.fromEntries(
    Object.values(piece.traits).flatMap((t) => [
      [t.id, t.name] as const,
      ...Object.values(t.values).map((v) => [v.id, v.name] as const),
    ]),
  ),
});

export const copyRules = (piece: Piece, ids: readonly Id[]): RuleClip => ({
  kind: "nubble-rules",
  format: FORMAT,
  piece: piece.id,
  rules: inOrder(piece.rules).filter((r) => ids.includes(r.id)),
  names: namesIn(piece),
});

const ruleToday = (rule: Rule, format: number | undefined): Rule[] => {
  const made = upgradeValue(["pieces", "clip", "rules", rule.id], rule, format);
  // an upgrade makes a rule of a rule: it is looked at when it is put in
  return made === undefined ? [] : [made as Rule];
};

/** Reads copied rules from text; null when it holds none. */
export const readRules = (text: string): RuleClip | null => {
  try {
    const read = clipSchema.safeParse(JSON.parse(text));
    if (!read.success) return null;
    const { format } = read.data;
    return {
      ...read.data,
      format: FORMAT,
      rules: read.data.rules.flatMap((r) => ruleToday(r, format)),
    };
  } catch {
    return null;
  }
};

type Twin = (id: Id) => Id;

const conditionFor = (when: Condition, twin: Twin): Condition =>
  Object.fromEntries(Object.entries(when).map(([t, values]) => [twin(t), values.map(twin)]));

type Translation<K extends EffectType> = (effect: EffectOf<K>, twin: Twin) => EffectOf<K>;

const same = <E>(effect: E): E => effect;
const withLayer = <E extends { readonly layer: Id }>(effect: E, twin: Twin): E => ({
  ...effect,
  layer: twin(effect.layer),
});

/** What an effect says about copies inside keeps the copies' own traits and options. */
const translations: { readonly [K in EffectType]: Translation<K> } = {
  set: (effect, twin) => ({
    ...effect,
    trait: twin(effect.trait),
    to: "value" in effect.to ? { value: twin(effect.to.value) } : effect.to,
  }),
  nested: withLayer,
  option: withLayer,
  go: same,
  back: same,
  open: same,
  close: same,
  clip: withLayer,
  seek: withLayer,
  stir: same,
  scroll: withLayer,
  empty: same,
  raise: (effect, twin) => ({ ...effect, signal: twin(effect.signal) }),
  address: same,
};

const translationFor = <K extends EffectType>(effect: EffectOf<K>): Translation<K> =>
  translations[effect.type];

/** An effect of the piece itself with its ids exchanged. */
const effectFor = (effect: Effect, twin: Twin): Effect => translationFor(effect)(effect, twin);

/** A rule with the layers, traits and values it names exchanged for others. */
const translated = (rule: Rule, twin: Twin): Rule => ({
  ...rule,
  source: rule.source === null ? null : twin(rule.source),
  when: conditionFor(rule.when, twin),
  motion: motionFor(rule.motion, twin),
  ...(rule.back ? { back: motionFor(rule.back, twin) } : {}),
  effects: rule.effects.map((e) => {
    const made = effectFor(e, twin);
    return made.motion ? { ...made, motion: motionFor(made.motion, twin) } : made;
  }),
});

const motionFor = (motion: Motion, twin: Twin): Motion =>
  motion.lanes
    ? { ...motion, lanes: motion.lanes.map((l) => ({ ...l, layer: twin(l.layer) })) }
    : motion;

const numbered = (piece: Piece, rules: readonly Rule[]): Rule[] => {
  const all: { id: Id; order: string }[] = Object.values(piece.rules);
  return rules.map((r) => {
    const made: Rule = { ...r, id: newId(), order: orderAfter(all) };
    all.push(made);
    return made;
  });
};

const adding = (
  piece: Piece,
  label: string,
  rules: readonly Rule[],
): { change: Change; ids: Id[] } => {
  const made = numbered(piece, rules);
  return {
    ids: made.map((r) => r.id),
    change: { label, ops: made.map((r) => set(["pieces", piece.id, "rules", r.id], r)) },
  };
};
const counted = (n: number, verb: string): string =>
  n === 1 ? editWords.rule(verb) : editWords.rules(verb, n);

/**
 * Adds copied rules after the others. In another piece, what they name is looked for by its name;
 * what is not there stays as it was and shows as broken, to be pointed at something by hand. With
 * `source` they all listen on that layer.
 */
export const pasteRules = (
  piece: Piece,
  clip: RuleClip,
  source?: Id | null,
): { change: Change; ids: Id[] } => {
  const here = namesIn(piece);
  const byName = new Map(
    Object.entries(here)
      .reverse()
      .map(([id, name]) => [name.toLowerCase(), id]),
  );
  const values = (from: Id, to: Id | undefined): Map<string, Id> =>
    new Map(
      Object.values(piece.traits[to ?? from]?.values ?? {}).map((v) => [
        v.name.toLowerCase(),
        v.id,
      ]),
    );
  const twin: Twin = (id) =>
    id in here ? id : (byName.get(clip.names[id]?.toLowerCase() ?? "") ?? id);
  const placed = clip.rules.map((rule) => {
    // a value is looked for within its own trait, since values of several traits share names
    const own =
      (trait: Id) =>
      (v: Id): Id =>
        v in here ? v : (values(trait, twin(trait)).get(clip.names[v]?.toLowerCase() ?? "") ?? v);
    const next = translated(rule, (id) => (piece.id === clip.piece ? id : twin(id)));
    const exact: Rule =
      piece.id === clip.piece
        ? next
        : {
            ...next,
            when: Object.fromEntries(
              Object.entries(rule.when).map(([t, vs]) => [twin(t), vs.map(own(t))]),
            ),
            effects: next.effects.map((e, i) => {
              const was = rule.effects[i];
              return e.type === "set" && was?.type === "set" && "value" in was.to
                ? { ...e, to: { value: own(was.trait)(was.to.value) } }
                : e;
            }),
          };
    return source === undefined ? exact : { ...exact, source };
  });
  return adding(piece, counted(placed.length, editWords.pasteInRulebook), placed);
};

/** Changes the same part of several rules at once, as one step of undo. */
export const setRules = (
  piece: Piece,
  ids: readonly Id[],
  parts: Partial<Pick<Rule, "on" | "motion" | "source" | "when" | "trigger">>,
): Change => {
  const ops: Op[] = ids.flatMap((id) =>
    piece.rules[id]
      ? Object.entries(parts).map(([k, v]) => set(["pieces", piece.id, "rules", id, k], v))
      : [],
  );
  return { label: counted(ids.length, editWords.change), ops };
};

export const removeRules = (piece: Piece, ids: readonly Id[]): Change => ({
  label: counted(ids.length, editWords.delete3),
  ops: ids.filter((id) => piece.rules[id]).map((id) => remove(["pieces", piece.id, "rules", id])),
});

/** The rules that listen on layers, or set something in copies among them. */
export const rulesAbout = (piece: Piece, layers: readonly Id[]): Rule[] =>
  inOrder(piece.rules).filter(
    (r) =>
      (r.source !== null && layers.includes(r.source)) ||
      r.effects.some(
        (e) => (e.type === "nested" || e.type === "option") && layers.includes(e.layer),
      ),
  );

/** The rules about some layers, for their duplicates: `twins` says which layer has become which. */
export const rulesAlong = (
  piece: Piece,
  twins: ReadonlyMap<Id, Id>,
): { change: Change; ids: Id[] } => {
  const rules = rulesAbout(piece, [...twins.keys()]).map((r) =>
    translated(r, (id) => twins.get(id) ?? id),
  );
  return adding(piece, counted(rules.length, editWords.copy), rules);
};

/** The rules that may fire in one value of a trait alone, for a value that was made from it. */
export const rulesForValue = (
  piece: Piece,
  trait: Id,
  from: Id,
  to: Id,
): { change: Change; ids: Id[] } => {
  const ops: Op[] = [];
  const rules: Rule[] = [];
  for (const rule of inOrder(piece.rules)) {
    const said = rule.when[trait];
    if (!said?.includes(from)) continue;
    const leads = rule.effects.some((e) => e.type === "set" && e.trait === trait);
    // a rule that leads somewhere else from this value gets a twin; one that says the same in
    // several values says it in one more
    if (leads) rules.push({ ...rule, when: { ...rule.when, [trait]: [to] } });
    else if (!said.includes(to))
      ops.push(set(["pieces", piece.id, "rules", rule.id, "when", trait], [...said, to]));
  }
  const added = adding(piece, "", rules);
  return {
    ids: added.ids,
    change: {
      label: counted(added.ids.length + ops.length, editWords.copy),
      ops: [...ops, ...added.change.ops],
    },
  };
};

/** Options of the copies in a piece that a rule can set. */
export const settableOptions = (project: Project, piece: Piece) =>
  Object.values(piece.layers)
    .filter((l) => l.kind === "instance")
    .flatMap((layer) =>
      componentsAt(project, piece, layer.id).flatMap((c) =>
        inOrder(c.options)
          .filter((o) =>
            ["text", "visible", "fill", "component", "icon", "picture"].includes(o.key),
          )
          .map((option) => ({ layer, component: c, option })),
      ),
    );
