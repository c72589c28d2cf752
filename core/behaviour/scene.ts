import type { Placed } from "../layout/types";
import type { OverlayStyle } from "../project/types";
import { defaultsOf } from "../properties/registry";
import { overlayPart } from "./surface";

/** What a scene's own box is called: around the shown piece and its overlays. No layer has such an id. */
export const WHOLE = "~";
const INK = "#20302e";

/** A screen as it lies over others. */
export interface Over { readonly screen: string; readonly placed: Placed; readonly style: OverlayStyle }

const box = (id: string, order: string, width: number, height: number, values: Readonly<Record<string, unknown>>): Placed => ({
  layer: { id, kind: "box", name: "", parent: null, order }, values: { ...defaultsOf("box"), width, height, ...values } as Placed["values"],
  x: 0, y: 0, width, height, lines: [], children: [], nested: null, presence: 1, dissolve: null,
});

const placeIn = (place: OverlayStyle["place"], room: { width: number; height: number }, it: Placed): { x: number; y: number } => {
  const x = place === "start" ? 0 : place === "end" ? room.width - it.width : (room.width - it.width) / 2;
  const y = place === "top" ? 0 : place === "bottom" ? room.height - it.height : (room.height - it.height) / 2;
  return { x, y };
};

/** The shown piece with the screens that lie over it, each above what dims the rest; px. */
export const composed = (base: Placed, overlays: readonly Over[]): Placed => {
  const width = Math.max(base.width, ...overlays.map((o) => o.placed.width)), height = Math.max(base.height, ...overlays.map((o) => o.placed.height));
  const room = overlays.length && (width > base.width || height > base.height) ? { width, height } : base;
  const above = overlays.flatMap(({ screen, placed, style }, i): Placed[] => {
    const part = overlayPart(screen), at = placeIn(style.place, room, placed);
    const dim = box(`${part}-dim`, `b${String(i).padStart(3, "0")}a`, room.width, room.height, { fill: INK, opacity: style.dim });
    const shown: Placed = { ...box(part, `b${String(i).padStart(3, "0")}b`, placed.width, placed.height, {}), ...at, nested: placed };
    return [dim, shown];
  });
  return { ...box(WHOLE, "a0", room.width, room.height, {}), children: [base, ...above] };
};
