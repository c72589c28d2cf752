import type { LayoutBox } from "../layout";
import type { Shift } from "./flat";
import { r } from "./types";
import type { Attrs } from "./types";

/**
 * Properties that say how the whole of a layer lies there: its own shapes are the same whatever
 * they are.
 */
export const placingKeys: ReadonlySet<string> = new Set([
  "opacity",
  "rotation",
  "scale",
  "pivot",
  "blur",
]);

/** Where a layer lies in its parent: moved to its place, turned and scaled about its pivot. */
export const transformOf = (p: LayoutBox, shift: Shift): string => {
  const angle = p.values.rotation;
  const [sx, sy] = p.values.scale;
  const scaled = sx !== 1 || sy !== 1;
  const x = r(p.x + (shift?.[0] ?? 0));
  const y = r(p.y + (shift?.[1] ?? 0));
  const place = x || y ? `translate(${x} ${y})` : "";
  if (!angle && !scaled) return place;
  const [px, py] = p.values.pivot;
  const cx = r((p.width * px) / 100);
  const cy = r((p.height * py) / 100);
  return [
    place,
    angle ? `rotate(${r(angle)} ${cx} ${cy})` : "",
    scaled
      ? `translate(${cx} ${cy}) scale(${r(sx)}${sx === sy ? "" : ` ${r(sy)}`}) translate(${-cx} ${-cy})`
      : "",
  ]
    .filter(Boolean)
    .join(" ");
};

/**
 * The attributes of a layer's group: what it is, where it lies, and what is done to the whole of
 * it.
 */
export const placing = (p: LayoutBox, transform: string, opacity: number): Attrs => {
  const v = p.values;
  const out: Record<string, string | number> = { "data-layer": p.layer.id };
  if (transform) out.transform = transform;
  if (opacity < 1) out.opacity = r(opacity);
  const blur = v.blur > 0 ? `filter:blur(${r(v.blur)}px)` : "";
  const mixing = v.mixing === "normal" ? "" : `mix-blend-mode:${String(v.mixing)}`;
  if (blur || mixing) out.style = blur && mixing ? `${blur};${mixing}` : blur || mixing;
  if (v.role !== "none") out.role = v.role;
  if (v.label) out["aria-label"] = v.label;
  return out;
};
