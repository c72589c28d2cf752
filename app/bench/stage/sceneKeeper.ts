import type { StoreApi } from "zustand";
import type { LayoutEnv } from "#core/layout";
import { variantFrom, variantsOf } from "#core/looks";
import type { Piece, Project, Variant } from "#core/project";
import type { DisplayedSource } from "../../session/displayed";
import { cardKey } from "../state/active";
import { isHeavy } from "../state/Later";
import type { SceneBook } from "../state/scenes/sceneBook";
import { Scenes } from "../state/scenes/scenes";
import type { BenchState } from "../state/state";

/** How long other cards may lag behind a hand that drags in a large piece, ms. */
const LAG = 600;

/**
 * Lays variants out whenever the piece changes, for the cards in sight to show. While one drags in a
 * large piece the card looked at follows at once, the others a little later. It stands beside React:
 * cards and cells then render together, once an edit.
 */
export class SceneKeeper {
  private readonly made = new Scenes();
  /** the project each scene was made of, by the key of its card */
  private readonly madeOf = new Map<string, Project>();
  private allAt = -Infinity;
  private timer: number | undefined;
  private keyed: { readonly traits: Piece["traits"]; readonly keys: readonly string[] } | null =
    null;

  constructor(
    private readonly env: LayoutEnv,
    private readonly source: DisplayedSource,
    private readonly store: StoreApi<BenchState>,
    private readonly scenes: SceneBook,
    private readonly variants: readonly Variant[],
  ) {}

  /** Keeps them until what it returns is called. */
  keep(): () => void {
    this.draw();
    const stop = this.source.subscribe(() => this.draw());
    const stopStore = this.store.subscribe((now, before) => {
      if (now.editing !== before.editing || now.near !== before.near) this.draw();
    });
    return () => {
      stop();
      stopStore();
      window.clearTimeout(this.timer);
    };
  }

  private draw(): void {
    const project = this.source.displayed;
    const { editing, pieceId } = this.store.getState();
    const piece = project.pieces[pieceId];
    if (!piece) return;
    const early = performance.now() - this.allAt < LAG;
    const lags = early && editing && isHeavy(piece, variantsOf(piece).length);
    if (lags) this.timer ??= window.setTimeout(() => this.drawLate(), LAG);
    else this.allAt = performance.now();
    this.drawThose(project, piece, (key) => this.isDue(piece, key, lags));
  }

  private drawLate(): void {
    this.timer = undefined;
    this.allAt = -Infinity;
    this.draw();
  }

  /** Whether a card is drawn anew: those in sight, and those that were never drawn. */
  private isDue(piece: Piece, key: string, lags: boolean): boolean {
    const { variant, near } = this.store.getState();
    if (!this.scenes.has(key)) return true;
    const looked = key === cardKey(piece, variantFrom(piece, variant));
    return looked || (near.has(key) && !lags);
  }

  /** The keys of the cards: the same for as long as the traits are. */
  private keysOf(piece: Piece): readonly string[] {
    if (this.keyed?.traits !== piece.traits)
      this.keyed = { traits: piece.traits, keys: this.variants.map((v) => cardKey(piece, v)) };
    return this.keyed.keys;
  }

  private drawThose(project: Project, piece: Piece, due: (key: string) => boolean): void {
    const keys = this.keysOf(piece);
    const next = new Map(keys.map((key) => [key, this.scenes.get(key)]));
    const those = this.variants.filter((_, i) => {
      const key = keys[i] ?? "";
      return due(key) && this.madeOf.get(key) !== project;
    });
    for (const { key, placed } of this.made.of(this.env, project, piece, those)) {
      next.set(key, placed);
      this.madeOf.set(key, project);
    }
    this.made.forgetOthers(new Set(keys));
    this.scenes.put(this.env, next);
  }
}
