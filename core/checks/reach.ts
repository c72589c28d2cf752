import { means } from "./means";
import type { Means } from "./means";
import type { Id } from "../basics";
import { ruleText, triggerText } from "../describe";
import { markUnused, removeRule } from "../edit";
import {
  MOST_VARIANTS,
  isUnused,
  meets,
  restOf,
  traitsOf,
  valuesOf,
  variantKey,
  variantsOf,
} from "../looks";
import { rulesOf } from "../machine";
import { ROOT, inOrder } from "../project";
import type { Condition, Rule } from "../project";
import type { Explored } from "./walk/explore";
import type { Edge, Mode, Node } from "./walk/types";
import { wayTo } from "./walk/way";
import { findingId } from "./types";
import type { Finding, Inspected } from "./types";
import { checksWords } from "./words";

/** A set of situations. */
class Within {
  private readonly isIn: Uint8Array;

  constructor(size: number) {
    this.isIn = new Uint8Array(size);
  }

  has({ number }: Node): boolean {
    return this.isIn[number] === 1;
  }

  /** Whether it was not there yet. */
  add(number: number): boolean {
    const isNew = this.isIn[number] !== 1;
    this.isIn[number] = 1;
    return isNew;
  }
}

/** Everything within reach from some situations by some edges. */
const reachable = (from: readonly Node[], edges: readonly Edge[], back = false): Within => {
  const count = edges.reduce((most, e) => Math.max(most, e.from.number, e.to.number), -1) + 1;
  // the edges by where they begin: those of i are next[start[i]] … next[start[i + 1] - 1]
  const start = new Int32Array(count + 1);
  const next = new Int32Array(edges.length);
  const begins = (e: Edge) => (back ? e.to : e.from).number;
  for (const e of edges) start[begins(e) + 1] = (start[begins(e) + 1] ?? 0) + 1;
  for (let i = 0; i < count; i++) start[i + 1] = (start[i + 1] ?? 0) + (start[i] ?? 0);
  const fill = start.slice();
  for (const e of edges) {
    const at = fill[begins(e)] ?? 0;
    next[at] = (back ? e.from : e.to).number;
    fill[begins(e)] = at + 1;
  }
  const within = new Within(Math.max(count, ...from.map((n) => n.number + 1)));
  const queue = from.map((n) => n.number).filter((n) => within.add(n));
  for (let at = queue.pop(); at !== undefined; at = queue.pop())
    for (let k = start[at] ?? 0; k < (start[at + 1] ?? 0); k++) {
      const to = next[k] ?? 0;
      if (within.add(to)) queue.push(to);
    }
  return within;
};

/** The rules of the piece itself that fire somewhere, with where first. */
const firings = (
  { edges }: Explored,
  path: string,
  allowed: (e: Edge) => boolean = () => true,
): Map<Id, Edge> => {
  const out = new Map<Id, Edge>();
  for (const e of edges)
    if (allowed(e))
      for (const event of e.happened)
        if (event.type === "fired" && event.path === path && !out.has(event.rule))
          out.set(event.rule, e);
  return out;
};

/** Whether a condition lets through all that another does, for the traits the other names. */
const meetsAll = (when: Condition, other: Condition): boolean =>
  Object.entries(other).every(([t, values]) => values.every((v) => when[t]?.includes(v)));

/**
 * Variants that nothing leads to: values of a trait, and pairs of values that were drawn for
 * themselves.
 */
export const unreachable = ({ piece, space }: Inspected): Finding[] => {
  if (!space.whole || Object.keys(piece.rules).length === 0) return [];
  const traits = traitsOf(piece);
  const all = variantsOf(piece);
  if (all.length === 0 || all.length >= MOST_VARIANTS) return [];
  const seen = new Set(space.nodes.map((n) => variantKey(piece, n.variant)));
  const lost = all.filter((v) => !isUnused(piece, v) && !seen.has(variantKey(piece, v)));
  const singles: Condition[] = traits.flatMap((t) =>
    valuesOf(t).map((v): Condition => ({ [t.id]: [v.id] })),
  );
  const pairs = singles.flatMap((a, i) =>
    singles
      .slice(i + 1)
      .filter((b) => Object.keys(a)[0] !== Object.keys(b)[0])
      .map((b): Condition => ({ ...a, ...b })),
  );
  const out: Condition[] = [];
  const told = (v: (typeof lost)[number]) => out.some((c) => meets(c, v));
  // a combination that nothing was drawn for comes about by itself, or not: nobody asked for it
  const isDrawn = (when: Condition) =>
    Object.values(piece.looks).some(
      (look) => Object.keys(when).every((t) => look.when[t]) && meetsAll(look.when, when),
    );
  for (const when of [...singles, ...pairs.filter(isDrawn)]) {
    const covered = all.filter((v) => meets(when, v) && !isUnused(piece, v));
    if (covered.length && covered.every((v) => lost.includes(v)) && !covered.every(told))
      out.push(when);
  }
  return out.map((when): Finding => {
    const variant = lost.find((v) => meets(when, v));
    const names = Object.entries(when)
      .map(
        ([t, [v]]) =>
          `${piece.traits[t]?.name ?? ""} ${piece.traits[t]?.values[v ?? ""]?.name ?? ""}`,
      )
      .join(" with ");
    return {
      id: findingId("unreachable", names),
      kind: "unreachable",
      severity: "warning",
      text: checksWords.noRuleLeads(names),
      layers: [],
      rules: [],
      ...(variant ? { variant } : {}),
      fix: { label: checksWords.markAsUnused, change: markUnused(piece, when) },
    };
  });
};

/** Values one gets into and never out of again, and situations where nothing can be done at all. */
export const oneWay = ({ project, piece, space }: Inspected): Finding[] => {
  if (!space.whole || Object.keys(piece.rules).length === 0) return [];
  const out: Finding[] = [];
  const first = space.nodes[0];
  const own = space.edges.filter((e) => e.does.do !== "show");
  // what becomes of it on another screen is looked at there
  const here = space.nodes.filter((n) => n.isHere);
  for (const trait of traitsOf(piece)) {
    const rest = restOf(trait);
    const home = space.nodes.filter((n) => n.variant[trait.id] === rest);
    if (first?.variant[trait.id] !== rest) continue;
    // only what the piece's own rules change can be expected to come back
    if (!own.some((e) => e.from.variant[trait.id] === rest && e.to.variant[trait.id] !== rest))
      continue;
    const back = reachable(home, own, true);
    for (const value of valuesOf(trait)) {
      const lost = here.filter((n) => n.variant[trait.id] === value.id && !back.has(n));
      const stuck = lost.find((n) => n.mode === "rest") ?? lost[0];
      if (!stuck) continue;
      const onward = reachable([stuck], own);
      const ends = !own.some(
        (e) =>
          onward.has(e.from) &&
          e.happened.some((event) => event.type === "fired" || event.type === "undone"),
      );
      const kind = ends ? "dead-end" : "no-way-back";
      const restName = trait.values[rest]?.name ?? "";
      // on the way to another value that is told of, it need not be told twice
      if (
        !ends &&
        own.some(
          (e) =>
            e.from.variant[trait.id] === value.id &&
            e.to.variant[trait.id] !== value.id &&
            !back.has(e.to) &&
            e.by === "rest",
        )
      )
        continue;
      out.push({
        id: findingId(kind, trait.id, value.id),
        kind,
        severity: "note",
        layers: [],
        rules: [],
        variant: stuck.variant,
        way: wayTo(project, piece, stuck),
        text: ends
          ? checksWords.deadEndOnceNothing(trait.name, value.name)
          : checksWords.onceNothingLeadsBack(trait.name, value.name, restName),
      });
    }
  }
  return out;
};

const layerName = (subject: Inspected, id: Id | null): string =>
  id === null || id === ROOT
    ? checksWords.wholePiece
    : (subject.piece.layers[id]?.name ?? checksWords.deletedLayer);

/** Why a rule never fires, in words. */
const whyNever = (subject: Inspected, rule: Rule): string => {
  const { piece, space } = subject;
  const source = rule.source ?? ROOT;
  if (!space.nodes.some((n) => meets(rule.when, n.variant))) return checksWords.conditionNeverTrue;
  for (const e of space.edges)
    for (const event of e.happened)
      if (event.type === "lost" && event.path === piece.id && event.rule === rule.id) {
        const winner = piece.rules[event.to];
        return checksWords.alwaysWinsOver(winner ? ruleText(subject.project, piece, winner) : null);
      }
  const looked = new Set<number>();
  for (const n of space.nodes) {
    if (looked.has(n.shown)) continue;
    looked.add(n.shown);
    const covered = space.grounds.at(n.shown)?.places.covered;
    if (!covered?.has(source) || !meets(rule.when, n.variant)) continue;
    const instead = covered.get(source)?.split("/")[0];
    return instead && instead !== source && piece.layers[instead]
      ? checksWords.completelyCovered(layerName(subject, source), layerName(subject, instead))
      : checksWords.hasNoAreaCan(layerName(subject, source));
  }
  return checksWords.noRuleLeads2;
};

export const neverFires = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  if (!space.whole) return [];
  const fired = firings(space, piece.id);
  return rulesOf(project, piece)
    .filter((r) => !fired.has(r.id))
    .map((rule): Finding => ({
      id: findingId("never-fires", rule.id),
      kind: "never-fires",
      severity: "warning",
      layers: rule.source ? [rule.source] : [],
      rules: [rule.id],
      text: checksWords.neverRuns(ruleText(project, piece, rule), whyNever(subject, rule)),
      fix: { label: checksWords.deleteRule, change: removeRule(piece, rule.id) },
    }));
};

/** Values that are seen with a mouse and never with a finger. */
export const unseenByTouch = ({ piece, space }: Inspected): { trait: Id; value: Id }[] => {
  const [first] = space.nodes;
  if (!space.whole || !first) return [];
  const touched = reachable(
    [first],
    space.edges.filter((e) => e.by === "touch" || e.by === "rest"),
  );
  const moused = reachable(
    [first],
    space.edges.filter((e) => e.by === "mouse" || e.by === "rest"),
  );
  const has = (within: Within, trait: Id, value: Id) =>
    space.nodes.some((n) => within.has(n) && n.variant[trait] === value);
  return traitsOf(piece).flatMap((t) =>
    valuesOf(t)
      .filter((v) => has(moused, t.id, v.id) && !has(touched, t.id, v.id))
      .map((v) => ({ trait: t.id, value: v.id })),
  );
};

/** What only happens with a pointer that hovers, and what the keyboard cannot do. */
export const leftOut = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  const [first] = space.nodes;
  if (!space.whole || !first) return [];
  const by = (...modes: readonly Mode[]) => {
    const edges = space.edges.filter((e) => modes.includes(e.by));
    const seen = reachable([first], edges);
    return firings(space, piece.id, (e) => modes.includes(e.by) && seen.has(e.from));
  };
  const fired = firings(space, piece.id);
  const mouse = by("mouse", "rest");
  const touch = by("touch", "rest");
  const keys = by("keys", "rest");
  const missing = (by: keyof Means, done: ReadonlyMap<Id, Edge>) =>
    inOrder(piece.rules).flatMap((rule) => {
      const edge = fired.get(rule.id);
      // where a mouse fails, too, it is no matter of fingers or keys
      const isMissing = means[rule.trigger.type][by] && mouse.has(rule.id) && !done.has(rule.id);
      return edge && isMissing ? [{ rule, edge }] : [];
    });
  // rules of one layer and trigger are one thing that cannot be done
  const once = (list: { rule: Rule; edge: Edge }[]) =>
    list.filter(
      (a, i) =>
        list.findIndex(
          (b) => b.rule.source === a.rule.source && b.rule.trigger.type === a.rule.trigger.type,
        ) === i,
    );
  const finding =
    (kind: "hover-only" | "no-keyboard", text: string) =>
    ({ rule, edge }: { rule: Rule; edge: Edge }): Finding => ({
      id: findingId(kind, rule.source, rule.trigger.type, rule.id),
      kind,
      severity: "warning",
      layers: rule.source ? [rule.source] : [],
      rules: [rule.id],
      variant: edge.from.variant,
      way: wayTo(project, piece, edge.from, edge.does),
      text: checksWords.that(layerName(subject, rule.source), triggerText(rule.trigger.type), text),
    });
  return [
    ...once(missing("finger", touch)).map(
      finding("hover-only", checksWords.cannotHappenTouchBecause),
    ),
    ...once(missing("keys", keys)).map(finding("no-keyboard", checksWords.cannotBeDoneWith)),
  ];
};

/**
 * What is done by dragging alone: some cannot drag, and the keyboard never can (WCAG 2.2 §2.5.7,
 * §2.1.1).
 */
export const dragOnly = (subject: Inspected): Finding[] => {
  const { project, piece, space } = subject;
  if (!space.whole) return [];
  const drags = (e: Edge) =>
    e.happened.some(
      (event) => event.type === "fired" && event.path === piece.id && event.trigger === "drag",
    );
  const others = space.edges.filter((e) => !drags(e));
  const pressed = firings(space, piece.id, (e) => !drags(e));
  const told = new Set<Id | null>();
  return [...firings(space, piece.id, drags)].flatMap(([id, edge]): Finding[] => {
    const rule = piece.rules[id];
    if (rule?.trigger.type !== "drag" || told.has(rule.source)) return [];
    const traits = rule.effects.flatMap((e) => (e.type === "set" ? [e.trait] : []));
    const within = reachable([edge.from], others);
    const alike =
      traits.length > 0
        ? space.nodes.some(
            (n) => within.has(n) && traits.every((t) => n.variant[t] === edge.to.variant[t]),
          )
        : inOrder(piece.rules).some(
            (r) =>
              r.id !== id &&
              pressed.has(r.id) &&
              JSON.stringify(r.effects) === JSON.stringify(rule.effects),
          );
    if (alike) return [];
    told.add(rule.source);
    return [
      {
        id: findingId("drag-only", rule.source),
        kind: "drag-only",
        severity: "warning",
        layers: rule.source ? [rule.source] : [],
        rules: [id],
        variant: edge.from.variant,
        way: wayTo(project, piece, edge.from, edge.does),
        text: checksWords.draggingHasNoAlternative(layerName(subject, rule.source)),
      },
    ];
  });
};
