import { ancestry, brokenRule, rulesOf } from "../behaviour/piece";
import { ruleText, triggerText } from "../behaviour/words";
import { removeRule, setRule } from "../edit/rules";
import { meets, specificity, traitsOf, valuesOf } from "../looks/variants";
import { lengthOf } from "../motion/timing";
import { inOrder } from "../project/ids";
import { ROOT } from "../project/types";
import type { Id, Rule } from "../project/types";
import { wayTo } from "./explore";
import { findingId } from "./types";
import type { Finding, Subject } from "./types";

const quoted = ({ project, piece }: Subject, rule: Rule): string =>
  `“${ruleText(project, piece, rule)}”`;
const name = ({ piece }: Subject, id: Id | null): string =>
  id === null || id === ROOT ? "the whole piece" : (piece.layers[id]?.name ?? "a removed layer");

/** Rules that name what is no longer there. */
export const broken = (subject: Subject): Finding[] =>
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
              text: `${quoted(subject, rule)} does nothing: ${reason}.`,
              fix: { label: "Remove the rule", change: removeRule(subject.piece, rule.id) },
            },
          ];
    });

/** Rules that want the same trait at the same event and are equally specific: only their order decides, or which layer is inside which. */
export const rivals = (subject: Subject): Finding[] => {
  const { project, piece, space } = subject;
  const out = new Map<string, Finding>();
  const add = (a: Rule, b: Rule, text: string, extra: Partial<Finding>) => {
    const id = findingId("rivals", ...[a.id, b.id].sort());
    if (!out.has(id))
      out.set(id, {
        id,
        kind: "rivals",
        severity: "warning",
        layers: [a, b].flatMap((r) => (r.source ? [r.source] : [])),
        rules: [a.id, b.id],
        text,
        fix: { label: "Switch the losing one off", change: setRule(piece, b.id, { on: false }) },
        ...extra,
      });
  };
  for (const e of space.edges)
    for (const h of e.happenings) {
      if (h.type !== "lost" || h.path !== piece.id) continue;
      const loses = piece.rules[h.rule];
      const wins = piece.rules[h.to];
      if (loses && wins && specificity(loses.when) === specificity(wins.when))
        add(
          wins,
          loses,
          `Two rules want the same: ${quoted(subject, wins)} wins over ${quoted(subject, loses)} only because it stands first.`,
          { variant: e.from.variant, way: wayTo(project, piece, e.from, e.does) },
        );
    }
  // the inner layer takes the event: the same on a layer around it seems dead there
  const rules = rulesOf(project, piece).filter((r) =>
    ["click", "double", "press", "release", "hold", "drag"].includes(r.trigger.type),
  );
  for (const inner of rules)
    for (const outer of rules) {
      if (
        inner === outer ||
        inner.trigger.type !== outer.trigger.type ||
        inner.trigger.direction !== outer.trigger.direction ||
        inner.source === null ||
        (outer.source ?? ROOT) === inner.source
      )
        continue;
      if (!ancestry(piece, inner.source).includes(outer.source ?? ROOT)) continue;
      const same = inner.effects.some(
        (a) =>
          a.type === "set" && outer.effects.some((b) => b.type === "set" && b.trait === a.trait),
      );
      const node =
        same &&
        space.nodes.find((n) => meets(inner.when, n.variant) && meets(outer.when, n.variant));
      if (node)
        add(
          inner,
          outer,
          `On ${name(subject, inner.source)}, ${quoted(subject, inner)} takes what ${quoted(subject, outer)} waits for: there, the second seems dead.`,
          { variant: node.variant },
        );
    }
  return [...out.values()];
};

/** Rules that send each other round without any time passing. */
export const loops = (subject: Subject): Finding[] => {
  const { project, piece, space } = subject;
  const out = new Map<string, Finding>();
  for (const e of space.edges)
    for (const h of e.happenings) {
      if (h.type !== "loop") continue;
      const rules = h.rules.filter((r) => r.path === piece.id).map((r) => r.rule);
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
          text: `These rules send one another round without any time passing, and are stopped: ${rules.flatMap((r) => (piece.rules[r] ? [quoted(subject, piece.rules[r])] : [])).join("; ")}.`,
        });
    }
  return [...out.values()];
};

const counterpart: Readonly<Record<string, string>> = {
  enter: "leave",
  leave: "enter",
  press: "release",
  release: "press",
  focus: "blur",
  blur: "focus",
};

/** A way there and its way back that take different times. */
export const wayBackTimes = (subject: Subject): Finding[] => {
  const { piece } = subject;
  const rules = rulesOf(subject.project, piece);
  const out: Finding[] = [];
  const leads = (r: Rule) => {
    const [e, more] = r.effects;
    return e?.type === "set" && "value" in e.to && !more && !r.undo
      ? { trait: e.trait, to: e.to.value, from: r.when[e.trait] }
      : null;
  };
  for (const [i, a] of rules.entries())
    for (const b of rules.slice(i + 1)) {
      const there = leads(a);
      const back = leads(b);
      if (!there || !back || there.trait !== back.trait || a.source !== b.source) continue;
      if (b.trigger.type !== a.trigger.type && b.trigger.type !== counterpart[a.trigger.type])
        continue;
      if (
        !there.from?.includes(back.to) ||
        !back.from?.includes(there.to) ||
        a.motion.kind === "cut" ||
        b.motion.kind === "cut" ||
        lengthOf(a.motion) === lengthOf(b.motion)
      )
        continue;
      const trait = piece.traits[there.trait];
      const ms = (r: Rule) => `${Math.round(lengthOf(r.motion))} ms`;
      out.push({
        id: findingId("way-back-time", a.id, b.id),
        kind: "way-back-time",
        severity: "note",
        layers: a.source ? [a.source] : [],
        rules: [a.id, b.id],
        text: `${trait?.name ?? ""} becomes ${trait?.values[there.to]?.name ?? ""} in ${ms(a)}, and ${trait?.values[back.to]?.name ?? ""} again in ${ms(b)}.`,
        fix: { label: `Both in ${ms(a)}`, change: setRule(piece, b.id, { motion: a.motion }) },
      });
    }
  return out;
};

/** In a timed sequence, values on the way in which what answers before and after does not answer. */
export const gaps = (subject: Subject): Finding[] => {
  const { piece } = subject;
  const rules = rulesOf(subject.project, piece);
  const out: Finding[] = [];
  for (const trait of traitsOf(piece)) {
    /** where each value goes by itself */
    const onward = new Map<Id, Id[]>();
    for (const r of rules) {
      if (r.trigger.type !== "delay" && r.trigger.type !== "settled") continue;
      for (const e of r.effects)
        if (e.type === "set" && e.trait === trait.id && "value" in e.to)
          for (const from of r.when[trait.id] ?? [])
            onward.set(from, [...(onward.get(from) ?? []), e.to.value]);
    }
    const answers = new Map<string, { rule: Rule; values: Set<Id> | null }>();
    for (const r of rules) {
      if (!["click", "press", "release", "double", "hold", "drag"].includes(r.trigger.type))
        continue;
      const key = `${r.trigger.type} ${r.source}`;
      const known = answers.get(key);
      const said = r.when[trait.id];
      answers.set(key, {
        rule: known?.rule ?? r,
        values:
          !said || known?.values === null ? null : new Set([...(known?.values ?? []), ...said]),
      });
    }
    for (const { rule, values } of answers.values()) {
      if (values === null) continue;
      for (const value of valuesOf(trait)) {
        if (values.has(value.id) || !onward.has(value.id)) continue;
        // does it come from where it is answered, and lead to where it is again?
        const seen = new Set<Id>([value.id]);
        const queue = [...(onward.get(value.id) ?? [])];
        for (let at = queue.pop(); at !== undefined; at = queue.pop())
          if (!seen.has(at)) {
            seen.add(at);
            queue.push(...(onward.get(at) ?? []));
          }
        const after = [...seen].find((v) => values.has(v));
        const before = rules.some((r) =>
          r.effects.some(
            (e) =>
              e.type === "set" &&
              e.trait === trait.id &&
              "value" in e.to &&
              e.to.value === value.id,
          ),
        );
        if (after === undefined || !before) continue;
        out.push({
          id: findingId("gap", trait.id, value.id, rule.trigger.type, rule.source),
          kind: "gap",
          severity: "warning",
          layers: rule.source ? [rule.source] : [],
          rules: [rule.id],
          text: `While ${trait.name} is ${value.name}, nothing happens when ${name(subject, rule.source)} ${triggerText(rule.trigger.type)}, though it does before and after that.`,
          fix: {
            label: `Let it answer in ${value.name} too`,
            change: setRule(piece, rule.id, {
              when: { ...rule.when, [trait.id]: [...(rule.when[trait.id] ?? []), value.id] },
            }),
          },
        });
      }
    }
  }
  return out;
};
