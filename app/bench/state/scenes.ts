import { entryOf } from "#core/basics";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver, variantKey } from "#core/looks";
import type { Piece, Project, Variant } from "#core/project";
import { useMemo, useState } from "react";

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
    const keys = new Set<string>();
    const scenes = variants.map((variant): Scene => {
      const key = variantKey(piece, variant) || "only";
      keys.add(key);
      const resolver = entryOf(this.resolvers, key, () => new Resolver());
      const tree = resolver.tree(project, piece.id, variant);
      return { key, variant, placed: tree && layout(env, tree) };
    });
    for (const key of this.resolvers.keys()) if (!keys.has(key)) this.resolvers.delete(key);
    return scenes;
  }
}

export const useScenes = (
  env: LayoutEnv,
  project: Project,
  piece: Piece,
  variants: readonly Variant[],
): Scene[] => {
  const [scenes] = useState(() => new Scenes());
  return useMemo(
    () => scenes.of(env, project, piece, variants),
    [scenes, env, project, piece, variants],
  );
};
