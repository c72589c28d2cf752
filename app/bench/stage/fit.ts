import { traitsOf } from "#core/looks";
import type { Varying } from "#core/project";
import { gridOf } from "../state/grid";
import type { GridView } from "../state/view";

/** Room around the piece on its card, the head of a card, and between cards; px. */
const PAD = 26;
const PAD_DOWN = 20;
const HEAD = 30;
export const GAP = 12;
/** The column of the headings of rows. */
export const SIDE = 104;
const NARROWEST = 190;
/** The row of the headings of columns, with the gap under it. */
const TOP = 32;
/** Left free, so that nothing has to be scrolled. */
const SPARE = 6;

/** What zoom goes through by its buttons and the wheel. */
const steps = [0.1, 0.25, 0.5, 0.75, 1, 1.5, 2, 3, 4, 6, 8, 12, 16];

/** The next larger zoom, or the next smaller one; null at the end. */
export const nextZoom = (now: number, by: 1 | -1): number | null => {
  const next = by > 0 ? steps.find((s) => s > now + 0.01) : steps.findLast((s) => s < now - 0.01);
  return next ?? null;
};

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Small parts are not made larger than this, times. */
const MOST = 6;

/** The room a piece gets that is nothing yet, to draw in about as large as it will be; px. */
const EMPTY: Size = { width: 520, height: 250 };

/** How large a piece is taken for. */
export const takenFor = ({ width, height }: Size): Size =>
  width > 1 && height > 1
    ? { width, height }
    : { width: Math.max(width, EMPTY.width), height: Math.max(height, EMPTY.height) };

/** How large a card is for a piece of some size, px. */
export const cardSize = (piece: Size, zoom: number): Size => ({
  width: Math.max(NARROWEST, piece.width * zoom + 2 * PAD),
  height: piece.height * zoom + 2 * PAD_DOWN + HEAD,
});

/** How many cards lie beside and above one another, and how much of the width headings take. */
interface Shape {
  readonly columns: number;
  readonly rows: number;
  /** px */
  readonly side: number;
  /** how much of the height headings take, px */
  readonly top: number;
}

/**
 * The zoom at which the cards fill the stage: larger than life for small parts; one card or two are
 * seen whole, of several none is too small to be told apart.
 */
const fitZoom = (room: Size, piece: Size, { columns, rows, side, top }: Shape): number => {
  if (!(room.width > 0)) return 1;
  const across = (room.width - SPARE - side - (columns - 1) * GAP) / columns - 2 * PAD;
  const down = (room.height - SPARE - top - (rows - 1) * GAP) / rows - HEAD - 2 * PAD_DOWN;
  const fit = Math.min(across / piece.width, down / piece.height);
  // one card or two are seen whole, however large; of several each can still be told apart
  const least = columns * rows > 2 ? Math.min(1, 138 / piece.width) : 0;
  const zoom = Math.max(least, 0.1, Math.min(MOST, fit));
  return Math.floor(zoom * 20) / 20;
};

/**
 * Whether cards that were fitted once are fitted anew: where they have become too large for their
 * room, or could be a good deal larger. They do not breathe with every small change.
 */
export const isOutgrown = (now: number, next: number): boolean => next < now || next > now * 1.25;

export interface Fit {
  readonly zoom: number;
  /** how many cards lie side by side when one trait is laid in several lines; null for one line */
  readonly flow: number | null;
}

/** The zoom at which a single card fills the stage. */
export const fitAlone = (room: Size, size: Size): Fit => ({
  zoom: fitZoom(room, size, { columns: 1, rows: 1, side: 0, top: 0 }),
  flow: null,
});

/**
 * The zoom that fits; the values of a single trait are laid in as many lines as leave the cards
 * largest.
 */
export const bestFit = (piece: Varying, view: GridView, room: Size, size: Size): Fit => {
  const grid = gridOf(piece, view);
  const n = grid.columns.length;
  const top = (grid.columns[0]?.values.length ?? 0) > 0 ? TOP : 0;
  const side = (grid.rows[0]?.values.length ?? 0) > 0 ? SIDE : 0;
  const usual: Fit = {
    zoom: fitZoom(room, size, { columns: n, rows: grid.rows.length, side, top }),
    flow: null,
  };
  if (view.down !== null || traitsOf(piece).length !== 1) return usual;
  const fits = (columns: number, zoom: number) =>
    columns * cardSize(size, zoom).width + (columns - 1) * GAP <= room.width;
  let best = usual;
  let holds = fits(n, usual.zoom);
  for (let flow = n - 1; flow >= 1; flow--) {
    const rows = Math.ceil(n / flow);
    const zoom = fitZoom(room, size, { columns: flow, rows, side: 0, top: 0 });
    const fit = fits(flow, zoom);
    if ((fit && !holds) || (fit === holds && zoom > best.zoom * 1.05)) {
      best = { zoom, flow };
      holds = fit;
    }
  }
  return best;
};
