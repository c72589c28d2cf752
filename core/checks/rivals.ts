import { entryOf } from "../basics";
import type { Id } from "../basics";
import { ruleText, triggerText } from "../describe";
import { oppositeOf, removeRule, setRule } from "../edit";
import { meets, specificity, traitsOf, valuesOf } from "../looks";
import { ancestry, brokenRule, isPressed, rulesOf, troubleText } from "../machine";
import { lengthOf } from "../motion";
import { ROOT, inOrder } from "../project";
import type { Piece, Rule, Trait, TraitValue } from "../project";
import { wayTo } from "./walk/way";
import { findingId } from "./types";
import type { Finding, Inspected } from "./types";
import { checksWords } from "./words";

const quoted = ({ project, piece }: Inspected, rule: Rule): string =>
  `“${ruleText(project, piece, rule)}”`;
const name = ({ piece }: Inspected, id: Id | null): string =>
  id === null || id === ROOT
    ? checksWords.wholePiece
    : (piece.layers[id]?.name ?? checksWords.deletedLayer);

/** Rules that name what is no longer there. */
export const broken = (subject: Inspected): Finding[] =>
  inOrder(subject.piece.rules)
    .filter((r) => r.on)
    .flatMap((rule): Finding[] => {
      const reason = brokenRule(subject.project, subject.piece, rule);
      return reason === null
        ? []
        : [
            {
              id: findingId("broken", rule.id),
              kind: "broken",
              severity: "error",
              layers: rule.source && subject.piece.layers[rule.source] ? [rule.source] : [],
              rules: [rule.id],
              text: checksWords.doesNotWork(quoted(subject, rule), troubleText(reason)),
              fix: { label: checksWords.deleteRule, change: removeRule(subject.piece, rule.id) },
            },
          ];
    });

const rivalId = (a: Rule, b: Rule): string => findingId("rivals", ...[a.id, b.id].sort());

const rivalry = (piece: Piece, wins: Rule, loses: Rule, text: string): Finding => ({
  id: rivalId(wins, loses),
  kind: "rivals",
  severity: "warning",
  layers: [wins, loses].flatMap((r) => (r.source ? [r.source] : [])),
  rules: [wins.id, loses.id],
  text,
  fix: { label: checksWords.turnOffLosingRule, change: setRule(piece, loses.id, { on: false }) },
});

/** Of two rules that were seen to compete only the order decided. */
const byOrderAlone = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  return space.edges.flatMap((e) =>
    e.happened.flatMap((event): Finding[] => {
      if (event.type !== "lost" || event.path !== piece.id) return [];
      const loses = piece.rules[event.rule];
      const wins = piece.rules[event.to];
      if (!loses || !wins || specificity(loses.when) !== specificity(wins.when)) return [];
      const text = checksWords.twoRulesCompeteWins(quoted(subject, wins), quoted(subject, loses));
      const way = wayTo(project, piece, e.from, e.does);
      return [{ ...rivalry(piece, wins, loses, text), variant: e.from.variant, way }];
    }),
  );
};

/** Whether a rule of a layer takes the event that a rule of a layer around it waits for. */
const takesFrom = (piece: Piece, inner: Rule, outer: Rule): boolean => {
  const around = outer.source ?? ROOT;
  if (inner === outer || inner.source === null || around === inner.source) return false;
  const isSame =
    inner.trigger.type === outer.trigger.type &&
    inner.trigger.direction === outer.trigger.direction;
  return isSame && ancestry(piece, inner.source).includes(around) && doSame(inner, outer);
};

const doSame = (a: Rule, b: Rule): boolean =>
  a.effects.length > 0 && JSON.stringify(a.effects) === JSON.stringify(b.effects);

/**
 * The inner layer takes the event, as a control inside something that can be clicked shall. Where
 * both do the same, one was copied along.
 */
const byPlaceAlone = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  const rules = rulesOf(project, piece).filter(isPressed);
  return rules.flatMap((inner) =>
    rules
      .filter((outer) => takesFrom(piece, inner, outer))
      .flatMap((outer): Finding[] => {
        const node = space.nodes.find(
          (n) => meets(inner.when, n.variant) && meets(outer.when, n.variant),
        );
        if (!node) return [];
        const text = checksWords.runsInsteadWhichDoes(
          name(subject, inner.source),
          quoted(subject, inner),
          quoted(subject, outer),
        );
        const fix = { label: checksWords.deleteInnerRule, change: removeRule(piece, inner.id) };
        const found = rivalry(piece, inner, outer, text);
        return [{ ...found, severity: "note", fix, variant: node.variant }];
      }),
  );
};

/**
 * Rules that want the same trait at the same event and are equally specific: only their order
 * decides, or which layer is inside which.
 */
export const rivals = (subject: Inspected): Finding[] => {
  const out = new Map<string, Finding>();
  for (const finding of [...byOrderAlone(subject), ...byPlaceAlone(subject)]) {
    if (!out.has(finding.id)) out.set(finding.id, finding);
  }
  return [...out.values()];
};

/** Rules that send each other round without any time passing. */
export const loops = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  const out = new Map<string, Finding>();
  for (const e of space.edges)
    for (const event of e.happened) {
      if (event.type !== "loop") continue;
      const rules = event.rules.filter((r) => r.path === piece.id).map((r) => r.rule);
      const id = findingId("loop", ...[...rules].sort());
      if (rules.length && !out.has(id))
        out.set(id, {
          id,
          kind: "loop",
          severity: "error",
          layers: [],
          rules,
          variant: e.from.variant,
          way: wayTo(project, piece, e.from, e.does),
          text: checksWords.endlessLoopTheseRules(
            rules
              .flatMap((r) => (piece.rules[r] ? [quoted(subject, piece.rules[r])] : []))
              .join("; "),
          ),
        });
    }
  return [...out.values()];
};

interface Lead {
  readonly trait: Id;
  readonly to: Id;
  readonly from: readonly Id[] | undefined;
}

/** The one value a rule leads to for good; null when it does more, less, or takes it back. */
const leadOf = ({ effects: [first, more], undo, when }: Rule): Lead | null => {
  if (first?.type !== "set" || !("value" in first.to) || more || undo) return null;
  return { trait: first.trait, to: first.to.value, from: when[first.trait] };
};

const answersTo = (there: Rule, back: Rule): boolean =>
  there.source === back.source &&
  (back.trigger.type === there.trigger.type ||
    back.trigger.type === oppositeOf(there.trigger.type));

const takesOtherTime = (a: Rule, b: Rule): boolean =>
  a.motion.kind !== "cut" && b.motion.kind !== "cut" && lengthOf(a.motion) !== lengthOf(b.motion);

const wayBackTime = (piece: Piece, a: Rule, b: Rule): Finding | null => {
  const there = leadOf(a);
  const back = leadOf(b);
  if (!there || !back || there.trait !== back.trait || !answersTo(a, b)) return null;
  const isWayBack = there.from?.includes(back.to) && back.from?.includes(there.to);
  if (!isWayBack || !takesOtherTime(a, b)) return null;
  const trait = piece.traits[there.trait];
  const named = (value: Id): string => trait?.values[value]?.name ?? "";
  const ms = (r: Rule) => checksWords.ms(Math.round(lengthOf(r.motion)));
  return {
    id: findingId("way-back-time", a.id, b.id),
    kind: "way-back-time",
    severity: "note",
    layers: a.source ? [a.source] : [],
    rules: [a.id, b.id],
    text: checksWords.changesButBack(
      trait?.name ?? "",
      named(there.to),
      ms(a),
      named(back.to),
      ms(b),
    ),
    fix: { label: checksWords.useBoth(ms(a)), change: setRule(piece, b.id, { motion: a.motion }) },
  };
};

/** A way there and its way back that take different times. */
export const wayBackTimes = ({ project, piece }: Inspected): Finding[] => {
  const rules = rulesOf(project, piece);
  return rules.flatMap((a, i) => rules.slice(i + 1).flatMap((b) => wayBackTime(piece, a, b) ?? []));
};

const setsTo = (rule: Rule, trait: Id): Id[] =>
  rule.effects.flatMap((e) =>
    e.type === "set" && e.trait === trait && "value" in e.to ? [e.to.value] : [],
  );

/** Where each value of a trait goes by itself. */
const onwardOf = (rules: readonly Rule[], trait: Id): ReadonlyMap<Id, Id[]> => {
  const onward = new Map<Id, Id[]>();
  for (const rule of rules) {
    if (rule.trigger.type !== "delay" && rule.trigger.type !== "settled") continue;
    const leads = setsTo(rule, trait);
    if (leads.length === 0) continue;
    for (const from of rule.when[trait] ?? []) entryOf(onward, from, () => []).push(...leads);
  }
  return onward;
};

/** All values that follow one another from a value on, without a hand. */
const followersOf = (value: Id, onward: ReadonlyMap<Id, Id[]>): ReadonlySet<Id> => {
  const seen = new Set<Id>([value]);
  const queue = [...(onward.get(value) ?? [])];
  for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
    if (seen.has(at)) continue;
    seen.add(at);
    queue.push(...(onward.get(at) ?? []));
  }
  return seen;
};

interface Answer {
  readonly rule: Rule;
  /** the values in which it answers; null: in all */
  readonly values: ReadonlySet<Id> | null;
}

/** In which values of a trait each layer answers each kind of contact. */
const answersOf = (rules: readonly Rule[], trait: Id): Answer[] => {
  const answers = new Map<string, Answer>();
  for (const rule of rules.filter(isPressed)) {
    const key = `${rule.trigger.type} ${rule.source}`;
    const known = answers.get(key);
    const said = rule.when[trait];
    const isAlways = !said || known?.values === null;
    const values = isAlways ? null : new Set([...(known?.values ?? []), ...said]);
    answers.set(key, { rule: known?.rule ?? rule, values });
  }
  return [...answers.values()];
};

const gap = (subject: Inspected, trait: Trait, value: TraitValue, rule: Rule): Finding => ({
  id: findingId("gap", trait.id, value.id, rule.trigger.type, rule.source),
  kind: "gap",
  severity: "warning",
  layers: rule.source ? [rule.source] : [],
  rules: [rule.id],
  text: checksWords.whileNothingHappensWhen(
    trait.name,
    value.name,
    name(subject, rule.source),
    triggerText(rule.trigger.type),
  ),
  fix: {
    label: checksWords.alsoRespond(value.name),
    change: setRule(subject.piece, rule.id, {
      when: { ...rule.when, [trait.id]: [...(rule.when[trait.id] ?? []), value.id] },
    }),
  },
});

/**
 * In a timed sequence, values on the way in which what answers before and after does not answer.
 */
export const gaps = (subject: Inspected): Finding[] => {
  const { project, piece } = subject;
  const rules = rulesOf(project, piece);
  return traitsOf(piece).flatMap((trait) => {
    const onward = onwardOf(rules, trait.id);
    const isLedTo = (value: Id) => rules.some((r) => setsTo(r, trait.id).includes(value));
    return answersOf(rules, trait.id).flatMap(({ rule, values }) => {
      if (values === null) return [];
      const silent = valuesOf(trait).filter(({ id }) => !values.has(id) && onward.has(id));
      return silent
        .filter(({ id }) => [...followersOf(id, onward)].some((v) => values.has(v)) && isLedTo(id))
        .map((value) => gap(subject, trait, value, rule));
    });
  });
};
