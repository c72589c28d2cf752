import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver, inTheme } from "#core/looks";
import type { Id } from "#core/basics";
import type { Project, Variant } from "#core/project";

/** A piece in a variant and a theme. */
export interface Scene {
  readonly project: Project;
  readonly piece: Id;
  readonly variant: Variant;
  readonly theme: Variant;
}

/** How a piece looks, laid out; null where there is no such piece. */
export const sceneOf = (
  env: LayoutEnv,
  { project, piece, variant, theme }: Scene,
): LayoutBox | null => {
  const tree = new Resolver().tree(inTheme(project, theme), piece, variant);
  return tree && layout(env, tree);
};
