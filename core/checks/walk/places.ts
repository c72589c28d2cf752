import { mapPoint, spotAt } from "../../layout";
import type { LayoutBox, LayoutEnv } from "../../layout";
import { Resolver } from "../../looks";
import { chainOf, hiddenIn, isPointed, liveAt, liveCopies, rulesOf } from "../../machine";
import type { Path, State } from "../../machine";
import { ROOT } from "../../project";
import type { Project } from "../../project";
import type { Pair } from "../../properties";
import { Touchable, sceneOf } from "../../runtime";

/**
 * Where on a layer one tries to touch it: its middle, then towards corners and edges, in shares of
 * its size.
 */
const tries: readonly (readonly [number, number])[] = [
  [0.5, 0.5],
  [0.15, 0.5],
  [0.85, 0.5],
  [0.5, 0.15],
  [0.5, 0.85],
  [0.06, 0.06],
  [0.94, 0.06],
  [0.06, 0.94],
  [0.94, 0.94],
  [0.3, 0.3],
  [0.7, 0.7],
];

/** Those places, px of the scene; none where the layer is not there. */
const triedOn = (scene: LayoutBox, path: Path): Pair[] => {
  const spot = spotAt(scene, path);
  return spot ? tries.map(([x, y]) => mapPoint(spot.map, spot.width * x, spot.height * y)) : [];
};

/**
 * Places a pointer can be at: what it hits there, by the layers with rules that it then is over.
 */
export interface Places {
  /** hit paths, one for each different set of layers with rules under the pointer */
  readonly hits: readonly Path[];
  /** layers with rules that no point of them reaches, with what lies there instead */
  readonly covered: ReadonlyMap<Path, Path | null>;
  /** whether the keyboard's focus can be on a layer */
  readonly isFocusable: (path: Path) => boolean;
}

/** What is seen in a state, and what of it can be touched. */
export interface Looked {
  readonly scene: LayoutBox;
  readonly touchable: Touchable;
}

/** Layers with rules for a pointer, as paths within the shown piece, the innermost copies last. */
const listening = (project: Project, state: State): Path[] =>
  liveCopies(project, state)
    .flatMap(({ path, piece, variant }) => {
      const sources = new Set(
        rulesOf(project, piece)
          .filter(isPointed)
          .map((r) => r.source ?? ROOT),
      );
      return [...sources]
        .filter((id) => {
          const layer = piece.layers[id];
          return layer && !hiddenIn(piece, variant, layer);
        })
        .map((id) => `${path}/${id}`);
    })
    .map((p) => p.slice(state.screen.length + 1));

/** Finds out, by laying a piece out and pointing at it, where a pointer can be. */
export class Surveyor {
  private readonly resolver = new Resolver();

  constructor(
    private readonly env: LayoutEnv | null,
    private readonly project: Project,
  ) {}

  /** What is seen in a state, and what of it can be touched; null where nothing can be laid out. */
  look(state: State): Looked | null {
    const { project } = this;
    const scene = this.env && sceneOf(this.env, project, this.resolver, state);
    return scene && { scene, touchable: new Touchable(project, state, scene) };
  }

  survey(state: State, looked: Looked | null): Places {
    const { project } = this;
    const wanted = listening(project, state);
    const asked = new Set(wanted.map((p) => `${state.screen}/${p}`));
    const byRules = new Map<string, Path>();
    const covered = new Map<Path, Path | null>();
    const note = (hit: Path): boolean => {
      const rules = chainOf(project, state, hit)
        .filter((p) => asked.has(p))
        .join(" ");
      if (rules && !byRules.has(rules)) byRules.set(rules, hit);
      return rules !== "";
    };
    for (const path of wanted) {
      if (!looked) {
        note(path);
        continue;
      }
      let reached = false;
      let instead: Path | null = null;
      const { scene, touchable } = looked;
      for (const at of triedOn(scene, path)) {
        const hit = touchable.hit(scene, ...at)?.path;
        if (hit === undefined) continue;
        const there = chainOf(project, state, hit).includes(`${state.screen}/${path}`);
        if (note(hit) && there) reached = true;
        else if (!there) instead ??= hit;
      }
      if (!reached && liveAt(project, state, state.screen)) covered.set(path, instead);
    }
    const isFocusable = (path: Path): boolean => looked?.touchable.isFocusable(path) ?? true;
    return { hits: [...byRules.values()], covered, isFocusable };
  }
}
