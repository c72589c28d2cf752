import type { LayoutBox } from "#core/layout";
import type { Easing, Motion } from "#core/project";
import { defaultsOf } from "#core/properties";
import type { Value } from "#core/properties";

export const tween = (duration: number, easing: Easing = "linear", delay = 0): Motion => ({
  kind: "tween",
  duration,
  delay,
  easing,
});
export const cut: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };

/** A box of 10 px as it is laid out, with what differs. */
export const place = (
  id: string,
  at: Partial<LayoutBox> = {},
  values: Record<string, Value> = {},
): LayoutBox => ({
  layer: { id, kind: "box", name: id, parent: id === "root" ? null : "root", order: `a${id}` },
  values: { ...defaultsOf("box"), ...values },
  x: 0,
  y: 0,
  width: 10,
  height: 10,
  lines: [],
  children: [],
  nested: null,
  presence: 1,
  dissolve: null,
  ...at,
});
export const stage = (...children: LayoutBox[]): LayoutBox =>
  place("root", { width: 100, height: 100, children });
export const child = (p: LayoutBox | null, id = "knob"): LayoutBox | undefined =>
  p?.children.find((c) => c.layer.id === id);
