import type { StoreApi } from "zustand";
import type { Id } from "#core/basics";
import { valuesIn, variantsOf } from "#core/looks";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import type { Piece, Project } from "#core/project";
import type { LayerValues } from "#core/properties";
import { BenchEdits } from "../../app/bench/commands/edits";
import { activeOf } from "../../app/bench/state/active";
import { BenchMemory } from "../../app/bench/state/memory";
import { Scenes } from "../../app/bench/state/scenes/scenes";
import { createBench } from "../../app/bench/state/state";
import type { BenchState } from "../../app/bench/state/state";
import { Workpiece } from "../../app/bench/state/workpiece";
import { Session } from "../../app/session/session";
import { Builder } from "./pieces";

/** A session that keeps edits to itself. */
const alone = (project: Project): Session =>
  new Session(
    "project",
    "window",
    { seq: 0, project },
    {
      send: () => new Promise(() => undefined),
      since: () => Promise.resolve(null),
      edition: () => Promise.resolve({ kind: "unknown" } as const),
      snapshot: () => Promise.resolve(null),
      shelf: { write: () => Promise.resolve() },
      reload: () => undefined,
      now: () => 0,
      later: () => () => undefined,
    },
  );

/** A bench without a window: what hands and keys do there is seen in the project. */
export class Bench {
  readonly store: StoreApi<BenchState>;
  readonly workpiece: Workpiece;
  readonly edits: BenchEdits;
  private readonly scenes = new Scenes();

  constructor(
    readonly env: LayoutEnv,
    project: Project,
    pieceId: Id,
    memory = new BenchMemory(),
  ) {
    this.store = createBench(pieceId, memory);
    this.workpiece = new Workpiece(alone(project), this.store);
    this.edits = new BenchEdits(this.workpiece);
    this.draw();
  }

  get state(): BenchState {
    return this.workpiece.state;
  }
  get piece(): Piece {
    const { piece } = this.workpiece;
    if (!piece) throw new Error("the piece is gone");
    return piece;
  }

  /** Lays all variants out, as the stage does after every edit. */
  draw(): void {
    const { piece } = this;
    const drawn = this.scenes.of(this.env, this.workpiece.project, piece, variantsOf(piece));
    this.workpiece.scenes.put(this.env, new Map(drawn.map((s) => [s.key, s.placed])));
  }

  /** How the card looked at looks. */
  get scene(): LayoutBox {
    this.draw();
    const { piece, state } = this;
    const { variant } = activeOf(piece, state);
    const [own] = this.scenes.of(this.env, this.workpiece.project, piece, [variant]);
    if (!own?.placed) throw new Error("nothing is visible");
    return own.placed;
  }

  /** What a layer says in the card looked at. */
  values(layer: Id): LayerValues {
    const { piece, state } = this;
    const found = piece.layers[layer];
    if (!found) throw new Error(`there is no layer ${layer}`);
    return valuesIn(this.workpiece.project, piece, activeOf(piece, state).variant, found);
  }

  undo(): void {
    this.workpiece.session.undo();
  }
}

/** A bench with a component on it that a test builds; `build` returns what it wants to name. */
export const benchWith = <T>(
  env: LayoutEnv,
  build: (builder: Builder) => T,
): { readonly bench: Bench; readonly made: T } => {
  const builder = new Builder();
  const id = builder.new("component", "Dock bar");
  const made = build(builder);
  return { bench: new Bench(env, builder.project, id), made };
};
