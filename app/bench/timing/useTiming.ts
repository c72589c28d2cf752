import { useMemo, useState } from "react";
import { endsOf, settledMotion, startsOf } from "#core/behaviour";
import { setMotions } from "#core/edit";
import type { LaneName } from "#core/motion";
import { layout } from "#core/layout";
import type { LayoutEnv, Placed } from "#core/layout";
import { Resolver, variantKey } from "#core/looks";
import { Change, lastsFor, movingLayers } from "#core/motion";
import type { Moving } from "#core/motion";
import { inOrder, ROOT } from "#core/project";
import type { Motion, Piece, Rule, Variant } from "#core/project";
import { useProject, useSession } from "../../store/session-context";
import { useActive, useBench, useChosen, usePiece } from "../state";

/** The shortest stretch of time that is shown, ms. */
const SHORTEST = 300;

/** All one needs to look at and change the timing of one rule. */
export interface Timed {
  readonly piece: Piece;
  readonly rules: readonly Rule[];
  readonly rule: Rule;
  /** with what its token says */
  readonly motion: Motion;
  readonly from: Variant;
  readonly to: Variant;
  readonly starts: readonly Variant[];
  readonly change: Change;
  readonly scenes: { readonly from: Placed; readonly to: Placed };
  readonly moving: readonly Moving[];
  /** ms from the rule until all has come to rest, and how much is shown */
  readonly length: number;
  readonly shown: number;
  choose(rule: string): void;
  setFrom(v: Variant): void;
  set(motion: Motion, gesture?: string): void;
}

const moves = (r: Rule): boolean => r.motion.kind !== "cut";

/** The rule whose timing is looked at: the one chosen, else one of the chosen layer, else the first that moves something. */
export const useTiming = (env: LayoutEnv): Timed | null => {
  const session = useSession(), project = useProject(), piece = usePiece(), { variant } = useActive();
  const put = useBench((s) => s.put), [picked] = useBench((s) => s.chosenRules), chosen = useChosen().find((id) => id !== ROOT);
  const [start, setStart] = useState<{ readonly rule: string; readonly from: Variant } | null>(null);
  const rules = inOrder(piece.rules), rule = piece.rules[picked ?? ""] ?? rules.find((r) => moves(r) && chosen !== undefined && r.source === chosen) ?? rules.find(moves) ?? rules[0];
  const [resolvers] = useState(() => [new Resolver(), new Resolver()] as const);
  const motion = rule && settledMotion(project, rule.motion);
  const ends = useMemo(() => rule && (start?.rule === rule.id ? endsOf(piece, rule, start.from) : endsOf(piece, rule, variant)), [piece, rule, start, variant]);
  const scenes = useMemo(() => {
    const [from, to] = ends ? [ends.from, ends.to].map((v, i) => { const tree = resolvers[i as 0 | 1].tree(project, piece.id, v); return tree && layout(env, tree); }) : [];
    return from && to ? { from, to } : null;
  }, [ends, resolvers, project, piece.id, env]);
  const change = useMemo(() => scenes && motion && new Change(scenes.from, scenes.to, motion), [scenes, motion]);
  const moving = useMemo(() => (scenes && motion ? movingLayers(scenes.from, scenes.to, motion) : []), [scenes, motion]);
  if (!rule || !motion || !ends || !scenes || !change) return null;
  const length = lastsFor(motion);
  return {
    piece, rules, rule, motion, ...ends, starts: startsOf(piece, rule), change, scenes, moving, length, shown: Math.max(SHORTEST, length * 1.12),
    choose: (id) => put({ chosenRules: [id] }),
    setFrom: (from) => setStart({ rule: rule.id, from }),
    set: (next, gesture) => { const now = session.project.pieces[piece.id]; if (now) session.edit(setMotions(now, [rule.id], () => next), gesture ? `timing ${rule.id} ${gesture}` : null, 1500); },
  };
};

/** What rows are called, to find them again. */
export const rowKey = (name: LaneName | null): string => (name === null ? "" : `${name.layer} ${name.key ?? ""}`);
export const sameVariant = (piece: Piece, a: Variant, b: Variant): boolean => variantKey(piece, a) === variantKey(piece, b);
