import type { LayoutBox, LayoutEnv } from "../layout";
import type { Resolver } from "../looks";
import { fireRule, liveCopies, movesOf, rulesOf, start, withinScreen } from "../machine";
import type { MachineEvent } from "../machine";
import { ROOT } from "../project";
import type { Motion, Piece, Project, Rule, Variant } from "../project";
import { sceneOf, WHOLE } from "./scene";

/** One step of what a rule shows: to which scene, with which motion. */
export interface Shown {
  readonly to: LayoutBox;
  readonly motion: Motion;
  /** the motion of the rule or of one of its effects, as the working rule holds it */ readonly said: Motion;
  /** the path of the copy it happens in, "" for the piece itself */ readonly within: string;
  /** the screen that is shown */ readonly subject: string;
}

/** A scene without what is around it only for the sake of overlays. */
const bare = (scene: LayoutBox | null): LayoutBox | null =>
  scene?.layer.id === WHOLE && scene.children.length === 1 ? (scene.children[0] ?? null) : scene;

/**
 * What a working rule shows when it fires in a variant, from the machine itself: also what it does
 * inside copies, to other screens and over others, each in its own time. Null where the rule is off
 * or broken, or the piece shows nothing.
 */
export const firing = (
  env: LayoutEnv,
  project: Project,
  piece: Piece,
  rule: Rule,
  from: Variant,
  resolver: Resolver,
): {
  readonly from: LayoutBox;
  readonly moves: readonly Shown[];
  /** the rule as it works, tokens put in */ readonly rule: Rule;
} | null => {
  const working = rulesOf(project, piece).find((r) => r.id === rule.id);
  const state = { ...start(project, piece.id), traits: { [piece.id]: from } };
  const live = liveCopies(project, state).find((l) => l.path === piece.id);
  const scene = bare(sceneOf(env, project, resolver, state));
  if (!working || !live || !scene) return null;
  const moves: Shown[] = [];
  const emit = (event: MachineEvent): void => {
    for (const move of movesOf(event)) {
      const to = bare(sceneOf(env, project, resolver, move.state));
      if (to)
        moves.push({
          to,
          motion: move.motion,
          said: "motion" in event && event.type !== "fired" ? event.motion : move.motion,
          within: withinScreen(move.path),
          subject: move.state.screen,
        });
    }
  };
  fireRule(project, state, live, working, `${piece.id}/${working.source ?? ROOT}`, emit);
  return { from: scene, moves, rule: working };
};
