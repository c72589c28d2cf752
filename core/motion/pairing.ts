import type { LayoutBox } from "../layout";
import { ROOT } from "../project";

/**
 * Whether two layers of different screens are one and the same to whoever looks: the screens
 * themselves, the same component, or the same kind and name.
 */
const same = (a: LayoutBox, b: LayoutBox): boolean =>
  a.layer.id === ROOT && b.layer.id === ROOT
    ? true
    : a.layer.kind === b.layer.kind &&
      (a.layer.kind === "instance"
        ? a.values.component === b.values.component && a.layer.name === b.layer.name
        : a.layer.name === b.layer.name);
/** Weaker: the same component, whatever its copy is called. */
const alike = (a: LayoutBox, b: LayoutBox): boolean =>
  a.layer.kind === "instance" &&
  b.layer.kind === "instance" &&
  a.values.component === b.values.component;

/**
 * What is left of a scene whose layers have no counterpart: named so that nothing takes it for one.
 */
const foreign = (p: LayoutBox): LayoutBox => ({
  ...p,
  layer: { ...p.layer, id: `was-${p.layer.id}` },
});

/**
 * A scene as if its layers were those of another: layers that stand for the same get the ids they
 * have there, at each level of the two trees, so that they move over instead of fading. The rest
 * keeps ids that the other scene does not have.
 */
export const paired = (was: LayoutBox, is: LayoutBox): LayoutBox => {
  const free = new Set(is.children);
  const matches = new Map<LayoutBox, LayoutBox>();
  for (const test of [same, alike])
    for (const a of was.children) {
      if (matches.has(a)) continue;
      const b = [...free].find((c) => test(a, c));
      if (b) {
        free.delete(b);
        matches.set(a, b);
      }
    }
  const children = was.children.map((a) => {
    const b = matches.get(a);
    return b ? paired(a, b) : foreign(a);
  });
  const isExchanged = is.nested !== null && was.values.component !== is.values.component;
  const nested = isExchanged ? null : was.nested;
  return { ...was, layer: { ...was.layer, id: is.layer.id }, children, nested };
};
