import { entryOf } from "#core/basics";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import type { Piece, Project, Variant } from "#core/project";
import { useMemo, useState } from "react";
import { cardKey } from "./active";

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
      const key = cardKey(piece, variant);
      keys.add(key);
      const resolver = entryOf(this.resolvers, key, () => new Resolver());
      const tree = resolver.tree(project, piece.id, variant);
      return { key, variant, placed: tree && layout(env, tree) };
    });
    for (const key of this.resolvers.keys()) if (!keys.has(key)) this.resolvers.delete(key);
    return scenes;
  }
}

const none: readonly Scene[] = [];

/** The scenes of variants, made anew only where something of them has changed. */
export const useScenes = (
  env: LayoutEnv,
  project: Project,
  piece: Piece | undefined,
  variants: readonly Variant[],
): readonly Scene[] => {
  const [scenes] = useState(() => new Scenes());
  return useMemo(
    () => (piece ? scenes.of(env, project, piece, variants) : none),
    [scenes, env, project, piece, variants],
  );
};
