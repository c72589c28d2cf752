import { present } from "../basics";
import { blend, modeLrgb, modeRgb, useMode, wcagContrast } from "culori/fn";
import { mixColour } from "../colour";
import { toLocal } from "../layout";
import type { LayoutBox } from "../layout";
import type { Gradient } from "../properties";

/**
 * How well a text can be read: WCAG 2.2 §1.4.3 contrast with what lies behind it, and what it needs
 * for AA.
 */
export interface Contrast {
  readonly ratio: number;
  readonly needed: number;
  readonly ground: string;
}

// both are modes of the library, whose type is that of each one
for (const mode of [modeRgb, modeLrgb]) useMode(mode as typeof modeRgb);

const faded = (colour: string, opacity: number): string => {
  if (colour === "none" || opacity >= 1) return colour;
  const own = colour.length === 9 ? Number.parseInt(colour.slice(7), 16) / 255 : 1;
  return `${colour.slice(0, 7)}${Math.round(own * opacity * 255)
    .toString(16)
    .padStart(2, "0")}`;
};

/** The colour a gradient has at a point of its box, 0–1 across and down. */
const gradientAt = (g: Gradient, x: number, y: number, w: number, h: number): string => {
  const stops = [...g.stops].sort((a, b) => a.at - b.at);
  let t: number;
  if (g.kind === "linear") {
    const a = (g.angle * Math.PI) / 180;
    const dx = Math.sin(a);
    const dy = -Math.cos(a);
    const half = (Math.abs(w * dx) + Math.abs(h * dy)) / 2 || 1;
    t = ((x - 0.5) * w * dx + (y - 0.5) * h * dy) / (2 * half) + 0.5;
  } else
    t = Math.hypot((x - g.centre[0]) / (g.radii[0] || 1), (y - g.centre[1]) / (g.radii[1] || 1));
  const after = stops.find((s) => s.at >= t);
  const before = stops.findLast((s) => s.at <= t);
  if (!after || !before) return present(after ?? before).colour;
  return after.at === before.at
    ? after.colour
    : mixColour(before.colour, after.colour)((t - before.at) / (after.at - before.at));
};

const fillAt = (p: LayoutBox, x: number, y: number): string | null => {
  const fill = p.values.fill;
  if (fill === undefined) return p.layer.kind === "picture" ? null : "none";
  if (typeof fill === "string") return fill;
  return fill.kind === "picture"
    ? null
    : gradientAt(fill, x / (p.width || 1), y / (p.height || 1), p.width, p.height);
};

const over = (ground: string, colour: string): string => {
  if (colour === "none") return ground;
  const mixed = blend([ground, colour], "normal", "rgb");
  const hex = (n: number | undefined) =>
    Math.round(Math.max(0, Math.min(1, n ?? 0)) * 255)
      .toString(16)
      .padStart(2, "0");
  return `#${hex(mixed.r)}${hex(mixed.g)}${hex(mixed.b)}`;
};

/** Large text (WCAG 2.2): 18 pt, or 14 pt and bold. */
const isLarge = ({ values }: LayoutBox): boolean => {
  const size = present(values.size);
  return size >= 24 || (size >= 18.66 && Number(values.weight) >= 700);
};

const isInside = (p: LayoutBox, at: { x: number; y: number }): boolean =>
  at.x >= 0 && at.y >= 0 && at.x <= p.width && at.y <= p.height;

const PAPER = "#ffffff";

/** The ground with one more fill on it; null when nobody knows what it looks like. */
const grounded = (ground: string | null, fill: string | null, opacity: number): string | null => {
  const isSheer = fill === "none" || fill?.length === 9;
  if (fill === null || (ground === null && isSheer)) return null;
  return over(ground ?? PAPER, faded(fill, opacity));
};

/**
 * The contrast of a text layer of a placed tree with what is painted behind its middle, over a
 * ground: white paper where nothing is said. Null when a picture lies behind it, since that has no one colour, and for layers that are
 * not texts.
 */
export const contrastOf = (root: LayoutBox, id: string, paper = PAPER): Contrast | null => {
  let ground: string | null = paper;
  let result: Contrast | null = null;
  // found first, so that only what is painted before it counts
  const path = (p: LayoutBox): LayoutBox[] | null => {
    if (p.layer.id === id) return [p];
    for (const c of p.children) {
      const inner = path(c);
      if (inner) return [p, ...inner];
    }
    return null;
  };
  const way = path(root);
  const text = way?.at(-1);
  if (!way || text?.layer.kind !== "text") return null;
  let x = text.width / 2;
  let y = text.height / 2;
  for (const p of [...way].reverse()) {
    x += p.x;
    y += p.y;
  }
  const visit = (p: LayoutBox, px: number, py: number, opacity: number): boolean => {
    const at = toLocal(p, px, py);
    const through = opacity * p.values.opacity;
    if (p === text) {
      const ink = fillAt(p, at.x, at.y);
      if (ground !== null && ink !== null && ink !== "none") {
        const ratio = wcagContrast(over(ground, faded(ink, through)), ground);
        result = { ratio, needed: isLarge(p) ? 3 : 4.5, ground };
      }
      return true;
    }
    if (isInside(p, at) && p.layer.kind !== "text")
      ground = grounded(ground, fillAt(p, at.x, at.y), through);
    // the shapes inside a compound are not painted themselves
    for (const child of p.layer.kind === "compound" ? [] : p.children)
      if (visit(child, at.x, at.y, through)) return true;
    if (p.nested) visit(p.nested, at.x, at.y, through);
    return false;
  };
  visit(root, x, y, 1);
  return result;
};
