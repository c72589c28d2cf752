import { useMemo, useState } from "react";
import type { Id } from "#core/basics";
import { ruleText } from "#core/describe";
import {
  lastWiring,
  setEffectMotion,
  setMotions,
  untied,
  wire,
  wireEffects,
  wireScopes,
} from "#core/edit";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver, restingVariant, variantFrom, variantKey, variantName } from "#core/looks";
import { backOf, between, endsOf, resolveMotion, rulesOf, startsOf } from "#core/machine";
import { Change, lastsFor, movingLayers, restacks } from "#core/motion";
import type { ChangeStep, LaneName, Moving } from "#core/motion";
import { ROOT, inOrder } from "#core/project";
import type { Motion, Piece, Project, Rule, Variant } from "#core/project";
import { firing } from "#core/runtime";
import type { Shown } from "#core/runtime";
import { useActive, useBench, useChosen, usePiece, useWorkpiece } from "../state/context";
import type { Trial } from "../state/timing";
import type { Workpiece } from "../state/workpiece";
import { PATIENCE } from "../../session/session";
import { useDisplayedProject } from "../../session/displayed";
import { timingWords } from "./words";

/** The shortest stretch of time that is shown, ms. */
const SHORTEST = 300;
const MOST_PAST = 100;

/**
 * What is timed: a rule, one of its effects that has a motion of its own, or the way between two
 * variants that no rule need lead.
 */
type TimingSubject =
  | { readonly kind: "rule"; readonly rule: Id; readonly effect: number | null }
  | { readonly kind: "pair" };

/** All one needs to look at and change the timing of one change. */
export interface Timed {
  readonly piece: Piece;
  readonly rules: readonly Rule[];
  /** what it is called, shortly and in a sentence */
  readonly title: string;
  readonly words: string;
  /** null where two variants are looked at without a rule */
  readonly rule: Rule | null;
  readonly effect: number | null;
  /** as it is said, and with what its token says */
  readonly said: Motion;
  readonly motion: Motion;
  readonly from: Variant;
  readonly to: Variant;
  readonly starts: readonly Variant[];
  readonly change: Change;
  /** before and after what this motion shows */
  readonly scenes: { readonly from: LayoutBox; readonly to: LayoutBox };
  readonly moving: readonly Moving[];
  readonly restacks: boolean;
  /** it leads to another screen, or over this one */
  readonly away: boolean;
  /** the way back from here; "same" where the rule itself leads back */
  readonly back: { readonly rule: Rule; readonly motion: Motion } | "same" | null;
  /** the rules that lead the way of a pair */
  readonly leading: readonly Rule[];
  /** ms from its begin until all has come to rest, and how much is shown */
  readonly length: number;
  readonly shown: number;
  readonly choose: (subject: TimingSubject) => void;
  readonly setFrom: (v: Variant) => void;
  readonly setTo: (v: Variant) => void;
  readonly setPair: (from: Variant, to: Variant) => void;
  readonly set: (motion: Motion, gesture?: string) => void;
  /** takes back the last change of a motion that is only tried; null where there is none */
  readonly takeBack: (() => void) | null;
  /** makes the way of a pair a rule */
  readonly make: () => void;
}

const moves = (r: Rule): boolean => r.motion.kind !== "cut";

interface Looked {
  readonly from: LayoutBox;
  readonly moves: readonly ChangeStep[];
  readonly scenes: { readonly from: LayoutBox; readonly to: LayoutBox };
  readonly motion: Motion;
  readonly subject: string;
}

const lookAt = (
  env: LayoutEnv,
  project: Project,
  piece: Piece,
  rule: Rule,
  effect: number | null,
  from: Variant,
  resolver: Resolver,
): Looked | null => {
  const fired = firing(env, project, piece, rule, from, resolver);
  if (!fired) return null;
  const own = effect === null ? undefined : fired.rule.effects[effect]?.motion;
  const motion = own ?? fired.rule.motion;
  const at = fired.moves.findIndex((m: Shown) => m.said === motion);
  const before = fired.moves[at - 1]?.to ?? fired.from;
  const to = fired.moves[at]?.to ?? before;
  return {
    from: fired.from,
    moves: fired.moves,
    scenes: { from: before, to },
    motion,
    subject: piece.id,
  };
};

/**
 * What is timed: the pair one looks at, else the rule chosen, else one of the chosen layer, else
 * the first that moves something.
 */
const useSubject = () => {
  const piece = usePiece();
  const [picked] = useBench((s) => s.chosenRules);
  const effectOf = useBench((s) => s.timedEffect);
  const trial = useBench((s) => s.trial);
  const chosen = useChosen().find((id) => id !== ROOT);
  return useMemo(() => {
    const rules = inOrder(piece.rules);
    const named =
      piece.rules[picked ?? ""] ??
      rules.find((r) => moves(r) && chosen !== undefined && r.source === chosen) ??
      rules.find(moves) ??
      rules[0];
    const pair = trial && (trial.beside === picked || !named) ? trial : null;
    const rule = pair ? null : (named ?? null);
    const effect =
      rule && effectOf?.rule === rule.id && rule.effects[effectOf.effect]?.motion
        ? effectOf.effect
        : null;
    return { rules, picked, pair, rule, effect, number: rule ? rules.indexOf(rule) + 1 : 0 };
  }, [piece, picked, effectOf, trial, chosen]);
};

/**
 * What the chosen change is in this project: its two ends, its scenes, and how it goes on between
 * them.
 */
const useLooked = (
  env: LayoutEnv,
  { pair, rule, effect }: Pick<ReturnType<typeof useSubject>, "pair" | "rule" | "effect">,
  start: Variant | null,
) => {
  const project = useDisplayedProject();
  const piece = usePiece();
  const { variant } = useActive();
  const [resolver] = useState(() => new Resolver());
  const ends = useMemo(() => {
    if (pair) return { from: variantFrom(piece, pair.from), to: variantFrom(piece, pair.to) };
    return rule && endsOf(piece, rule, start ?? variant);
  }, [piece, rule, pair, start, variant]);
  const said = pair?.motion ?? (rule && (rule.effects[effect ?? -1]?.motion ?? rule.motion));
  const looked = useMemo((): Looked | null => {
    if (!ends || !said) return null;
    const motion = resolveMotion(project, said);
    const fired = rule && lookAt(env, project, piece, rule, effect, ends.from, resolver);
    if (fired) return fired;
    const [from, to] = [ends.from, ends.to].map((v) => {
      const tree = resolver.tree(project, piece.id, v);
      return tree && layout(env, tree);
    });
    return from && to
      ? { from, moves: [{ to, motion }], scenes: { from, to }, motion, subject: "" }
      : null;
  }, [ends, said, project, rule, effect, resolver, piece, env]);
  const change = useMemo(
    () => looked && new Change(looked.from, looked.moves, looked.subject),
    [looked],
  );
  const away =
    looked?.moves.some(
      (m) => m.motion === looked.motion && m.subject !== undefined && m.subject !== piece.id,
    ) ?? false;
  const moving = useMemo(
    () =>
      looked && !away
        ? movingLayers(looked.scenes.from, looked.scenes.to, looked.motion).filter(
            (m) => piece.layers[m.layer],
          )
        : [],
    [looked, away, piece],
  );
  const back = useMemo((): Timed["back"] => {
    if (!ends) return null;
    const working = rulesOf(project, piece);
    const [direct] = rule
      ? [backOf(piece, working, rule, ends)]
      : between(piece, working, ends.to, ends.from);
    if (!direct) {
      return null;
    }
    return direct.id === rule?.id ? "same" : { rule: direct, motion: direct.motion };
  }, [ends, project, piece, rule]);
  return said && ends && looked && change
    ? { said, ends, looked, change, away, moving, back }
    : null;
};

type Actions = Pick<
  Timed,
  "choose" | "setFrom" | "setTo" | "setPair" | "set" | "takeBack" | "make"
>;

/** Says from which variant the change of a rule is looked at. */
type StartFrom = (rule: Id, from: Variant) => void;

/** What is known of the timing that is looked at. */
interface Known {
  readonly piece: Piece;
  readonly subject: ReturnType<typeof useSubject>;
  readonly seen: NonNullable<ReturnType<typeof useLooked>>;
}

/** What can be done to the timing of two variants between which no rule leads yet. */
const trialActions = ({ piece, subject, seen }: Known, workpiece: Workpiece) => {
  const { setTrial, time } = workpiece.state;
  const { picked, pair } = subject;
  const { said, ends } = seen;
  const setPair: Timed["setPair"] = (from, to) =>
    setTrial({ beside: picked, from, to, motion: said, past: pair?.past ?? [], gesture: null });
  const set = (trial: Trial, motion: Motion, gesture: string | null) => {
    const goesOn = gesture !== null && gesture === trial.gesture;
    const past = goesOn ? trial.past : [...trial.past, trial.motion].slice(-MOST_PAST);
    setTrial({ ...trial, motion, gesture, past });
  };
  const takeBack = (trial: Trial) =>
    setTrial({
      ...trial,
      motion: trial.past.at(-1) ?? trial.motion,
      past: trial.past.slice(0, -1),
      gesture: null,
    });
  const make = () => {
    const { from, to } = ends;
    const scopes = wireScopes(piece, [from], { variant: to });
    const when = (scopes.find((s) => s.usual) ?? scopes[0])?.when ?? {};
    const made = workpiece.make((_, now) =>
      wire(now, [ROOT], {
        trigger: lastWiring(now).trigger,
        when,
        effects: wireEffects(now, [from], { variant: to }),
        motion: said,
        undo: false,
      }),
    );
    const [first] = made?.ids ?? [];
    if (first !== undefined) time(first, null);
  };
  return { setPair, set, takeBack, make };
};

const actionsOf = (known: Known, workpiece: Workpiece, startFrom: StartFrom): Actions => {
  const { time } = workpiece.state;
  const trial = trialActions(known, workpiece);
  const { pair, rule, effect } = known.subject;
  const { from, to } = known.seen.ends;
  const setMotion = (id: Id, motion: Motion, gesture: string | undefined) =>
    workpiece.run(
      (_, now) =>
        effect === null
          ? setMotions(now, [id], () => motion)
          : setEffectMotion(now, id, effect, motion),
      gesture ? `timing ${id} ${effect ?? ""} ${gesture}` : null,
      PATIENCE,
    );
  return {
    choose: (next) => {
      if (next.kind === "pair") trial.setPair(from, to);
      else time(next.rule, next.effect);
    },
    setFrom: (v) => {
      if (rule) startFrom(rule.id, v);
      else trial.setPair(v, to);
    },
    setTo: (v) => {
      if (pair) trial.setPair(from, v);
    },
    setPair: trial.setPair,
    set: (motion, gesture) => {
      if (pair) trial.set(pair, motion, gesture ?? null);
      else if (rule) setMotion(rule.id, untied(known.seen.said, motion), gesture);
    },
    takeBack: pair?.past.length ? () => trial.takeBack(pair) : null,
    make: trial.make,
  };
};

const timedOf = (project: Project, known: Known, actions: Actions): Timed => {
  const { piece, subject, seen } = known;
  const { rules, pair, rule, effect, number } = subject;
  const { said, ends, looked, change, away, moving, back } = seen;
  const { from, to } = ends;
  const length = Math.max(lastsFor(looked.motion), ...looked.moves.map((m) => lastsFor(m.motion)));
  return {
    piece,
    rules,
    rule,
    effect,
    said,
    motion: looked.motion,
    from,
    to,
    change,
    scenes: looked.scenes,
    moving,
    away,
    back,
    length,
    shown: Math.max(SHORTEST, length * 1.12),
    title: `${piece.name} ${rule ? number : variantName(piece, to)}`,
    words: rule
      ? ruleText(project, piece, rule)
      : timingWords.fromTo(variantName(piece, from), variantName(piece, to)),
    starts: rule ? startsOf(piece, rule) : [],
    restacks: restacks(looked.scenes.from, looked.scenes.to),
    leading: pair ? between(piece, rulesOf(project, piece), from, to) : [],
    ...actions,
  };
};

/** All about the timing of what is chosen; null while there is nothing to time. */
export const useTiming = (env: LayoutEnv): Timed | null => {
  const workpiece = useWorkpiece();
  const project = useDisplayedProject();
  const piece = usePiece();
  const subject = useSubject();
  const [start, setStart] = useState<{ readonly rule: Id; readonly from: Variant } | null>(null);
  const isStart = start !== null && start.rule === subject.rule?.id;
  const seen = useLooked(env, subject, isStart ? start.from : null);
  if (!seen) return null;
  const known = { piece, subject, seen };
  const actions = actionsOf(known, workpiece, (rule, from) => setStart({ rule, from }));
  return timedOf(project, known, actions);
};

/** A pair of variants to begin with: the one looked at, and the next that differs from it. */
export const somePair = (
  piece: Piece,
  looked: Variant,
  all: readonly Variant[],
): { readonly from: Variant; readonly to: Variant } => {
  const from = restingVariant(piece);
  const key = variantKey(piece, from);
  const to =
    variantKey(piece, looked) === key ? all.find((v) => variantKey(piece, v) !== key) : looked;
  return { from, to: to ?? from };
};

/** What rows are called, to find them again. */
export const rowKey = (name: LaneName | null): string =>
  name === null ? "" : `${name.layer} ${name.key ?? ""}`;
