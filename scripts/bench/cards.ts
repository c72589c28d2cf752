import { setValues } from "../../core/edit/index.ts";
import { layout } from "../../core/layout/index.ts";
import type { LayoutEnv } from "../../core/layout/index.ts";
import { Resolver, variantsOf } from "../../core/looks/index.ts";
import { paint } from "../../core/paint/index.ts";
import type { Piece, Project } from "../../core/project/index.ts";
import { largePiece, median, must } from "./support.ts";
import type { Line } from "./support.ts";

/**
 * Resolving, laying out and painting all cards of a large piece, from nothing and after one edit.
 */
export const cards = (env: LayoutEnv, line: Line): void => {
  const { project, piece, ids } = largePiece(200);
  const draw = (p: Project, resolvers: Resolver[]) =>
    variantsOf(p.pieces[piece] as Piece).forEach((v, i) => {
      const tree = (resolvers[i] as Resolver).tree(p, piece, v);
      if (tree) paint(layout(env, tree));
    });
  const fresh = () => Array.from({ length: 8 }, () => new Resolver());
  const cold = median(() => draw(project, fresh()), 60, 20);
  const kept = fresh();
  draw(project, kept);
  let now = project;
  const free = ids[0] as string;
  const arranged = ids[31] as string;
  const edit = (id: string, key: string) =>
    median(
      (i) => {
        now = must(
          now,
          setValues(now.pieces[piece] as Piece, {}, { [id]: { [key]: 20 + (i % 50) } }),
        );
        draw(now, kept);
      },
      300,
      100,
    );
  line("cards: 200 layers × 8 variants, resolve + layout + paint, cold", `${cold.toFixed(2)} ms`);
  line("cards: the same after one edit of a freely placed row", `${edit(free, "y").toFixed(2)} ms`);
  line(
    "cards: the same after one edit that lays a row out again",
    `${edit(arranged, "width").toFixed(2)} ms`,
  );
};
