import type { Id } from "#core/basics";
import { boundsIn, intersect, overlaps, spotsIn, wayInto } from "#core/layout";
import type { Affine, LayoutBox, Rect } from "#core/layout";
import { childrenOf, valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { Piece } from "#core/project";
import { seenOnStage } from "./seen";
import { activeOf, parentForNew } from "../state/active";
import type { Workpiece } from "../state/workpiece";

/** Where a new layer goes: what it lies in, and its place there; px. */
export interface NewPlace {
  readonly parent: Id;
  readonly x: number;
  readonly y: number;
  /** how large what it lies in is */
  readonly room: Size;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

const NO_MAP: Affine = [1, 0, 0, 1, 0, 0];
/** How far a new layer goes aside of one that lies at its very place; px. */
const ASIDE = 8;

const holdsPoint = (r: Rect | undefined, p: Point): boolean =>
  r !== undefined && p.x >= r.x && p.y >= r.y && p.x <= r.x + r.width && p.y <= r.y + r.height;

/** What a layer that begins at a point lies in: the chosen box if the point is in it, or one around. */
export const parentAt = (
  piece: Piece,
  chosen: readonly Id[],
  placed: LayoutBox,
  point: Point,
): Id => {
  const bounds = boundsIn(placed);
  let at: Id | null = parentForNew(piece, chosen);
  while (at !== null && at !== ROOT && !holdsPoint(bounds.get(at), point))
    at = piece.layers[at]?.parent ?? null;
  return at ?? ROOT;
};

/** A box in the piece as a box in what a map leads out of; px. */
export const rectInto = (map: Affine, rect: Rect): Rect => {
  const [x, y] = wayInto(map, rect.x - map[4], rect.y - map[5]);
  const [width, height] = wayInto(map, rect.width, rect.height);
  return { x, y, width: Math.abs(width), height: Math.abs(height) };
};

/** Finds where new layers go. */
export class Placing {
  constructor(private readonly workpiece: Workpiece) {}

  /** The map from the coordinates of a layer to the piece's. */
  mapOf(parent: Id): Affine {
    const { scene } = this.workpiece;
    return (scene && spotsIn(scene).get(parent)?.map) ?? NO_MAP;
  }

  private roomOf(parent: Id): Size {
    const { scene } = this.workpiece;
    const spot = scene && spotsIn(scene).get(parent);
    return { width: spot?.width ?? 0, height: spot?.height ?? 0 };
  }

  /** Round a point of the piece. */
  around(parent: Id, point: Point, size: Size): NewPlace {
    const map = this.mapOf(parent);
    const [x, y] = wayInto(map, point.x - map[4], point.y - map[5]);
    return {
      parent,
      room: this.roomOf(parent),
      x: Math.round(x - size.width / 2),
      y: Math.round(y - size.height / 2),
    };
  }

  /** In the chosen box, or where one works, in the middle of what one sees of it. */
  inMiddle(size: Size): NewPlace | null {
    const { piece, scene, state } = this.workpiece;
    if (!piece || !scene) return null;
    const parent = parentForNew(piece, state.chosen);
    const own = boundsIn(scene).get(parent);
    if (!own || own.width === 0 || own.height === 0)
      return { parent, x: 0, y: 0, room: { width: 0, height: 0 } };
    const seen = seenOnStage(scene.width);
    const area = seen && overlaps(own, seen) ? intersect(own, seen) : own;
    const middle = { x: area.x + area.width / 2, y: area.y + area.height / 2 };
    const { x, y, room } = this.around(parent, middle, size);
    return this.aside(piece, { parent, room, x: Math.max(0, x), y: Math.max(0, y) });
  }

  /** A place that nothing else begins at. */
  private aside(piece: Piece, place: NewPlace): NewPlace {
    const { project, state } = this.workpiece;
    const { variant } = activeOf(piece, state);
    const corners = new Set(
      (childrenOf(piece).get(place.parent) ?? []).map((layer) => {
        const v = valuesIn(project, piece, variant, layer);
        return `${v.x} ${v.y}`;
      }),
    );
    let { x, y } = place;
    while (corners.has(`${x} ${y}`)) {
      x += ASIDE;
      y += ASIDE;
    }
    return { ...place, x, y };
  }
}
