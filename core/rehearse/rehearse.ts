import { entryOf, present } from "../basics";
import type { Id } from "../basics";
import { boxAt, spotAt, spotBounds } from "../layout";
import type { LayoutBox, LayoutEnv } from "../layout";
import { Resolver, variantFrom } from "../looks";
import { nextDue } from "../machine";
import type { Project, Step } from "../project";
import { hundredths } from "../properties";
import { Run } from "../runtime";
import { isSimple, simpleText } from "./words";
import { rehearseWords } from "./words";

/**
 * How a rehearsal went: where it failed, why, and when (ms of the virtual clock); null when all
 * came as expected.
 */
export interface Failure {
  readonly step: number;
  readonly why: string;
  readonly at: number;
}

/** "settle" gives up after this much time: something moves for ever; ms. */
const PATIENCE = 20_000;
/** The time between the moves of a rehearsed drag, ms. */
const FRAME = 16;

/** Every text that can be read in a scene, in the order of painting. */
const textsIn = (p: LayoutBox): string[] => {
  if (p.presence <= 0 || p.values.opacity <= 0) return [];
  return [
    ...(p.layer.kind === "text" ? [present(p.values.text)] : []),
    ...p.children.flatMap(textsIn),
    ...(p.nested ? textsIn(p.nested) : []),
  ];
};

/**
 * What an expectation can ask of a layer beside its properties: where it is shown in the whole
 * scene, px, and whether.
 */
const placeKeys = ["x", "y", "width", "height"] as const;

/**
 * A layer's value as it is on screen: its place within the whole scene, whether it shows, or one of
 * its properties.
 */
export const valueOf = (scene: LayoutBox, path: string, key: string): unknown => {
  const placed = boxAt(scene, path);
  const spot = spotAt(scene, path);
  if (key === "visible") return placed !== null && placed.presence > 0;
  if (!placed || !spot) return undefined;
  const place = placeKeys.find((k) => k === key);
  return place ? spotBounds(spot)[place] : placed.values[key];
};

type Of<K extends Step["do"]> = Extract<Step, { do: K }>;
type Expectation = Of<"trait" | "text" | "layer" | "screen">;

const areNumbers = (value: unknown): value is readonly number[] =>
  Array.isArray(value) && value.every((n) => typeof n === "number");

/** Someone who goes through a rehearsal's steps with a running piece. */
export class Rehearser {
  /** where the pointer is, px of the shown piece */
  where: readonly [number, number] = [-1000, -1000];

  constructor(
    readonly run: Run,
    private readonly project: Project,
  ) {}

  /** Where a step's pointer goes; null when it needs none, or its layer is not there. */
  aim(step: Step): readonly [number, number] | null {
    if (
      step.do !== "point" &&
      step.do !== "click" &&
      step.do !== "tap" &&
      step.do !== "drag" &&
      step.do !== "scroll"
    )
      return null;
    const scene = this.run.scene();
    const spot = scene && step.layer !== null ? spotAt(scene, step.layer) : undefined;
    const box = spot && spotBounds(spot);
    return box ? [box.x + box.width / 2, box.y + box.height / 2] : null;
  }

  /** Does one step; null when it went well, else why not. */
  // eslint-disable-next-line complexity -- one case a kind of step
  step(step: Step): string | null {
    const { run } = this;
    switch (step.do) {
      case "point":
        return step.layer === null
          ? this.#away()
          : this.#reach(step.layer, (x, y) => run.pointer("move", x, y));
      case "press":
        run.pointer("down", ...this.where);
        return null;
      case "release":
        run.pointer("up", ...this.where);
        return null;
      case "click":
        return this.#reach(step.layer, (x, y) => {
          run.pointer("move", x, y);
          run.pointer("down", x, y);
          run.pointer("up", x, y);
        });
      case "tap":
        return this.#reach(step.layer, (x, y) => {
          run.pointer("down", x, y, true);
          run.pointer("up", x, y, true);
        });
      case "drag":
        return this.#reach(step.layer, (x, y) => this.#drag(x, y, step.by, step.ms));
      case "key":
        run.key(step.key, "down");
        run.key(step.key, "up");
        return null;
      case "fill":
        return this.#reach(step.layer, () =>
          run.input({ type: "fill", layer: step.layer, text: step.text }),
        );
      case "tab":
        return run.tab(step.back ? -1 : 1) ? null : rehearseWords.tabKeyFindsNothing;
      case "focus":
        run.input({ type: "focus", layer: step.layer });
        return null;
      case "wait":
        run.advanceTo(run.now + step.ms);
        return null;
      case "settle":
        return this.#settle();
      case "scroll":
        return this.#reach(step.layer, (x, y) => {
          if (!run.wheel(x, y, 0, step.by)) run.wheel(x, y, step.by, 0);
        });
      case "answer":
        run.input({ type: "answer", well: step.well });
        return null;
      case "show":
        run.input({ type: "show", at: this.#copy(step.at), trait: step.trait, value: step.value });
        return null;
      case "trait":
      case "text":
      case "layer":
      case "screen":
        return this.#expect(step);
    }
  }

  #copy(at: string): string {
    return at === "" ? this.run.screen : `${this.run.screen}/${at}`;
  }

  #away(): null {
    this.where = [-1000, -1000];
    this.run.pointer("move", ...this.where);
    return null;
  }

  #reach(path: string, act: (x: number, y: number) => void): string | null {
    const at = this.aim({ do: "click", layer: path });
    if (!at) return rehearseWords.layerNotVisible;
    this.where = at;
    act(...at);
    return null;
  }

  #drag(x: number, y: number, by: readonly [number, number], ms: number): void {
    const { run } = this;
    run.pointer("move", x, y);
    run.pointer("down", x, y);
    for (let t = FRAME; t < ms + FRAME; t += FRAME) {
      const share = Math.min(1, t / ms);
      run.advanceTo(run.now + Math.min(FRAME, ms - (t - FRAME)));
      run.pointer("move", x + by[0] * share, y + by[1] * share);
    }
    this.where = [x + by[0], y + by[1]];
    run.pointer("up", ...this.where);
  }

  #settle(): string | null {
    const until = this.run.now + PATIENCE;
    for (;;) {
      const moves = this.run.movesUntil();
      const due = nextDue(this.run.inside);
      const next = Math.max(moves, due === Infinity ? 0 : due);
      if (moves <= this.run.now && due === Infinity) break;
      if (next > until) return rehearseWords.neverSettles;
      this.run.advanceTo(Math.max(next, this.run.now));
    }
    return null;
  }

  #expect(step: Expectation): string | null {
    switch (step.do) {
      case "trait":
        return this.#expectTrait(step);
      case "screen":
        return this.#expectScreen(step.screen);
      case "text":
        return this.#expectText(step);
      case "layer":
        return this.#expectLayer(step);
    }
  }

  #expectTrait(step: Of<"trait">): string | null {
    const copy = this.run.copies().find((c) => c.path === this.#copy(step.at));
    if (!copy) return rehearseWords.copyNotVisible;
    const trait = copy.piece.traits[step.trait];
    const is = variantFrom(copy.piece, copy.variant)[step.trait];
    if (is === step.value) return null;
    return rehearseWords.is(trait?.name, trait?.values[is ?? ""]?.name);
  }

  #expectScreen(screen: Id): string | null {
    const front = this.run.inside.overlays.at(-1)?.screen ?? this.run.screen;
    if (front === screen) return null;
    return rehearseWords.visible(this.project.pieces[front]?.name);
  }

  #expectText({ text, shown }: Of<"text">): string | null {
    const scene = this.run.scene();
    if (!scene) return rehearseWords.nothingVisible;
    const isShown = textsIn(scene).some((t) => t.includes(text));
    if (isShown === shown) return null;
    return isShown ? rehearseWords.textVisible : rehearseWords.textNotVisible;
  }

  #expectLayer({ layer, key, value, within }: Of<"layer">): string | null {
    const scene = this.run.scene();
    if (!scene) return rehearseWords.nothingVisible;
    const is = valueOf(scene, layer, key);
    if (is === undefined) return rehearseWords.layerNotVisible;
    if (areNumbers(is) && typeof value === "string") {
      const wanted = value.split(/[\s,]+/).map(Number);
      const isNear = (n: number, i: number): boolean => Math.abs(n - present(wanted[i])) <= within;
      const isSame = is.length === wanted.length && is.every(isNear);
      return isSame ? null : rehearseWords.itIs(is.map(hundredths).join(" "));
    }
    if (typeof is === "number" && typeof value === "number") {
      return Math.abs(is - value) <= within ? null : rehearseWords.itIs(String(hundredths(is)));
    }
    if (JSON.stringify(is) === JSON.stringify(value)) return null;
    return rehearseWords.itIs(isSimple(is) ? simpleText(is) : null);
  }
}

const resolvers = new WeakMap<Project, Map<Id, Resolver>>();

/** One rehearsal after another resolves the same piece: what is known of it is kept. */
const resolverFor = (project: Project, piece: Id): Resolver => {
  const known = entryOf(resolvers, project, () => new Map<Id, Resolver>());
  return entryOf(known, piece, () => new Resolver());
};

/**
 * Runs a rehearsal from the start, on the virtual clock. `seen` is called after each step that went
 * well.
 */
export const rehearse = (
  env: LayoutEnv,
  project: Project,
  piece: Id,
  steps: readonly Step[],
  seen?: (step: number, it: Rehearser) => void,
): Failure | null => {
  const it = new Rehearser(
    new Run(env, project, piece, undefined, resolverFor(project, piece)),
    project,
  );
  for (const [i, step] of steps.entries()) {
    const why = it.step(step);
    if (why !== null) return { step: i, why, at: it.run.now };
    seen?.(i, it);
  }
  return null;
};
