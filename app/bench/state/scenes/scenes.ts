import { entryOf } from "#core/basics";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import type { Piece, Project, Variant } from "#core/project";
import { cardKey } from "../active";

/** A card: one variant and how it looks. */
export interface Scene {
  readonly key: string;
  readonly variant: Variant;
  readonly placed: LayoutBox | null;
}

/** Resolves and lays out variants, keeping for each what did not change since the last time. */
export class Scenes {
  private readonly resolvers = new Map<string, Resolver>();

  of(env: LayoutEnv, project: Project, piece: Piece, variants: readonly Variant[]): Scene[] {
    return variants.map((variant): Scene => {
      const key = cardKey(piece, variant);
      const resolver = entryOf(this.resolvers, key, () => new Resolver());
      const tree = resolver.tree(project, piece.id, variant);
      return { key, variant, placed: tree && layout(env, tree) };
    });
  }

  /** Keeps nothing of others than these cards. */
  forgetOthers(keys: ReadonlySet<string>): void {
    for (const key of this.resolvers.keys()) if (!keys.has(key)) this.resolvers.delete(key);
  }
}
