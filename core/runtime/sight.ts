import {
  areaOf,
  chainTo,
  clipsChildren,
  intersect,
  scrollRoom,
  spotAt,
  spotBounds,
} from "../layout";
import type { Hit, LayoutBox } from "../layout";
import { liveCopies, rulesOf } from "../machine";
import type { Path, State } from "../machine";
import type { Project } from "../project";

/** A layer that scrolls, how far it is scrolled and how far it can be, px. */
export interface Scroller {
  readonly path: Path;
  readonly by: number;
  readonly room: number;
  readonly across: boolean;
}

const scrollerAt = ({ path, placed }: Hit): Scroller => {
  const by = placed.values.scrolledBy ?? 0;
  const left = scrollRoom(placed.values, placed.children, placed.width, placed.height);
  // children are already moved by what is shown of it
  const shown = left + by;
  return { path, by: Math.min(by, shown), room: shown, across: placed.values.scrolls === "across" };
};
const scrolls = (p: LayoutBox): boolean =>
  p.values.scrolls !== undefined && p.values.scrolls !== "no";

/** The innermost layer around a path, itself included, that can be scrolled in a direction. */
export const scrollerFor = (root: LayoutBox, path: Path, across: boolean): Scroller | null => {
  const found = chainTo(root, path)
    .reverse()
    .map((s) => (scrolls(s.placed) ? scrollerAt(s) : null))
    .find((s) => s !== null && s.across === across && s.room > 0);
  return found ?? null;
};

/** Space left before what is scrolled to, px. */
const BEFORE = 12;

/**
 * How far the innermost layer around another must be scrolled for that to be in sight at its
 * beginning; null when none scrolls.
 */
export const scrollTo = (root: LayoutBox, path: Path): { path: Path; to: number } | null => {
  const way = chainTo(root, path);
  const at = way.slice(0, -1).findLastIndex((s) => scrolls(s.placed));
  const stop = way[at];
  if (!stop) return null;
  const { by, room, across } = scrollerAt(stop);
  const outer = spotAt(root, stop.path);
  const inner = spotAt(root, path);
  if (!outer || !inner) return null;
  const a = spotBounds(outer);
  const b = spotBounds(inner);
  const off = across ? b.x - a.x : b.y - a.y;
  return { path: stop.path, to: Math.min(room, Math.max(0, by + off - BEFORE)) };
};

/**
 * Layers whose coming into sight rules listen for and of which half can be seen now, as paths
 * within the shown piece.
 */
export const inSight = (project: Project, state: State, root: LayoutBox): Path[] =>
  liveCopies(project, state)
    .flatMap(({ path, piece }) => {
      const asked = new Set(
        rulesOf(project, piece).flatMap((r) =>
          r.trigger.type === "seen" && r.source !== null ? [r.source] : [],
        ),
      );
      return [...asked].map((id) => `${path}/${id}`.slice(state.screen.length + 1));
    })
    .filter((p) => {
      const way = chainTo(root, p);
      const spot = spotAt(root, p);
      if (!spot) return false;
      const box = spotBounds(spot);
      const seen = way
        .slice(0, -1)
        .filter((s, i) => i === 0 || clipsChildren(s.placed))
        .reduce(
          (r, s) => {
            const around = spotAt(root, s.path);
            return around ? intersect(r, spotBounds(around)) : r;
          },
          intersect(box, { x: 0, y: 0, width: root.width, height: root.height }),
        );
      return areaOf(box) > 0 && areaOf(seen) >= areaOf(box) / 2;
    });
