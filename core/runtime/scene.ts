import { layout } from "../layout";
import type { LayoutBox, LayoutEnv } from "../layout";
import { variantFrom } from "../looks";
import type { Resolver, Running } from "../looks";
import { overlayPart, overlayStyle, saidIn } from "../machine";
import type { State } from "../machine";
import type { OverlayStyle, Project } from "../project";
import { defaultsOf } from "../properties";

/**
 * What a scene's own box is called: around the shown piece and its overlays. No layer has such an
 * id.
 */
export const WHOLE = "~";
const INK = "#20302e";

/** A screen as it lies over others. */
interface Over {
  readonly screen: string;
  readonly placed: LayoutBox;
  readonly style: OverlayStyle;
}

const box = (
  id: string,
  order: string,
  width: number,
  height: number,
  values: Readonly<Record<string, unknown>>,
): LayoutBox => ({
  layer: { id, kind: "box", name: "", parent: null, order },
  values: { ...defaultsOf("box"), width, height, ...values },
  x: 0,
  y: 0,
  width,
  height,
  lines: [],
  children: [],
  nested: null,
  presence: 1,
  dissolve: null,
});

const placeIn = (
  place: OverlayStyle["place"],
  room: { width: number; height: number },
  it: LayoutBox,
): { x: number; y: number } => {
  const right = room.width - it.width;
  const bottom = room.height - it.height;
  switch (place) {
    case "start":
      return { x: 0, y: bottom / 2 };
    case "end":
      return { x: right, y: bottom / 2 };
    case "top":
      return { x: right / 2, y: 0 };
    case "bottom":
      return { x: right / 2, y: bottom };
    case "centre":
      return { x: right / 2, y: bottom / 2 };
  }
};

/** The shown piece with the screens that lie over it, each above what dims the rest; px. */
const composed = (base: LayoutBox, overlays: readonly Over[]): LayoutBox => {
  const width = Math.max(base.width, ...overlays.map((o) => o.placed.width));
  const height = Math.max(base.height, ...overlays.map((o) => o.placed.height));
  const room =
    overlays.length && (width > base.width || height > base.height) ? { width, height } : base;
  const above = overlays.flatMap(({ screen, placed, style }, i): LayoutBox[] => {
    const part = overlayPart(screen);
    const at = placeIn(style.place, room, placed);
    const dim = box(`${part}-dim`, `b${String(i).padStart(3, "0")}a`, room.width, room.height, {
      fill: INK,
      opacity: style.dim,
    });
    const shown: LayoutBox = {
      ...box(part, `b${String(i).padStart(3, "0")}b`, placed.width, placed.height, {}),
      ...at,
      nested: placed,
    };
    return [dim, shown];
  });
  return { ...box(WHOLE, "a0", room.width, room.height, {}), children: [base, ...above] };
};

/**
 * What a state looks like when nothing moves: the shown piece, laid out, with what lies over it;
 * null when it does not exist.
 */
export const sceneOf = (
  env: LayoutEnv,
  project: Project,
  resolver: Resolver,
  state: State,
): LayoutBox | null => {
  const piece = project.pieces[state.screen];
  if (!piece) return null;
  const running: Running = {
    variant: (path) => state.traits[`${state.screen}/${path}`],
    options: (path) => state.options[`${state.screen}/${path}`],
    says: (path) => saidIn(state, path === "" ? state.screen : `${state.screen}/${path}`),
  };
  const tree = resolver.tree(
    project,
    piece.id,
    variantFrom(piece, state.traits[state.screen] ?? {}),
    "",
    running,
  );
  return (
    tree &&
    composed(
      layout(env, tree),
      state.overlays.flatMap(({ screen }): Over[] => {
        const over = project.pieces[screen];
        const part = overlayPart(screen);
        const inside =
          over &&
          resolver.tree(
            project,
            screen,
            variantFrom(over, running.variant(part) ?? {}),
            part,
            running,
          );
        return inside ? [{ screen, placed: layout(env, inside), style: overlayStyle(over) }] : [];
      }),
    )
  );
};
