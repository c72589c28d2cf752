import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import type { Piece, Project, Variant } from "../../project";
import { split } from "../chain";
import type { State } from "../state";
import type { Path } from "../types";
import { PieceTable } from "./piece-table";
import { Scene } from "./scene";
import type { SceneCopy } from "./scene";
import { PairKeys, PathLists, TraitTables } from "./tables";
import type { TraitsByPath } from "./tables";
import type { VariantRow } from "./variant-row";

/** A layer with the copy it is in. */
interface Place {
  readonly path: Path;
  readonly copy: Path;
  readonly layer: Id;
}

/** Layers that are left, from the innermost outwards, and those that are entered, inwards. */
interface Shift {
  readonly left: readonly Place[];
  readonly entered: readonly Place[];
}

/** A project as the machine runs it: tables of its pieces, and the scenes met so far. */
export class Program {
  readonly traits = new TraitTables();
  readonly lists = new PathLists();
  readonly keys = new PairKeys();
  private readonly tables = new Map<Piece, PieceTable>();
  private readonly scenes = new WeakMap<TraitsByPath, Scene>();
  private readonly shifts = new WeakMap<readonly Path[], WeakMap<readonly Path[], Shift>>();
  private readonly shown = new Map<string, number>();
  private readonly numbers = new WeakMap<Scene, number>();
  private lastTraits: TraitsByPath | undefined;
  private lastScene: Scene | undefined;

  constructor(readonly project: Project) {}

  table(piece: Piece): PieceTable {
    return entryOf(this.tables, piece, () => new PieceTable(this.project, piece));
  }

  /** What is shown in a state. */
  scene(state: State): Scene {
    const { traits } = state;
    if (this.lastTraits === traits && this.lastScene?.shows(state)) return this.lastScene;
    let scene = this.scenes.get(traits);
    if (!scene?.shows(state)) {
      scene = new Scene(this.project, state, this.lists, (live) => this.table(live.piece));
      this.scenes.set(traits, scene);
    }
    this.lastTraits = traits;
    this.lastScene = scene;
    return scene;
  }

  /** The number of what a state shows: equal numbers look and answer alike. */
  shownNumber(state: State): number {
    const scene = this.scene(state);
    const known = this.numbers.get(scene);
    if (known !== undefined) return known;
    const content = scene.content(this.traits.numberOf);
    const number = entryOf(this.shown, content, () => this.shown.size);
    this.numbers.set(scene, number);
    return number;
  }

  /** What is known of a copy's variant in a state in which it may have changed since its scene. */
  rowAt(state: State, copy: SceneCopy): VariantRow {
    const variant = state.traits[copy.path];
    return variant === undefined || variant === copy.row.variant
      ? copy.row
      : copy.table.row(variant);
  }

  /** A variant of a piece as its row has it, so that equal ones are one object. */
  variant(piece: Piece, variant: Variant): Variant {
    return this.table(piece).row(variant).variant;
  }

  /** What is left and entered when something goes from some layers to others. */
  shift(before: readonly Path[], after: readonly Path[]): Shift {
    const byAfter = entryOf(this.shifts, before, () => new WeakMap());
    return entryOf(byAfter, after, () => {
      const place = (path: Path): Place => ({ path, ...split(path) });
      return {
        left: before.filter((p) => !after.includes(p)).map(place),
        entered: after
          .filter((p) => !before.includes(p))
          .map(place)
          .reverse(),
      };
    });
  }
}

const programs = new WeakMap<Project, Program>();
let last: Program | undefined;

/** The program of a project; made when it first runs. */
export const programOf = (project: Project): Program => {
  if (last?.project === project) return last;
  last = entryOf(programs, project, () => new Program(project));
  return last;
};

/**
 * The number of what a state shows: states of a project with equal ones look and answer alike, as
 * far as that does not depend on what is pointed at, pressed, filled in or waited for.
 */
export const shownNumber = (project: Project, state: State): number =>
  programOf(project).shownNumber(state);

/**
 * All layers an event at a layer concerns, innermost first, through the copies around it. What lies
 * beneath an overlay gets none. Equal answers are one object.
 */
export const chainAt = (project: Project, state: State, layer: Path | null): readonly Path[] =>
  programOf(project).scene(state).chain(layer);
