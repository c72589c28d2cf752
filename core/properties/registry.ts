import { present } from "../basics";
import { AS_IT_CAME, FADE } from "./away";
import { layerKinds } from "./kinds";
import type { LayerKind } from "./kinds";
import { USUAL_FAMILY, weights } from "./families";
import { fits } from "./types";
import type { Mixing, Property, Unit, Value, ValueOf, ValueType, Values } from "./types";

const all = layerKinds;
const shapes = ["box", "ellipse", "polygon", "path", "compound"] as const;
const lined = [...shapes, "line", "picture"] as const;
const open = ["path", "line"] as const;
const lettered = ["text"] as const;
/**
 * Larger than any layer: as a size limit it means that there is none, as a corner that it is round
 * whatever the size.
 */
export const ENDLESS = 100_000;

const number = (unit: Unit, min = -ENDLESS, max = ENDLESS, step = 1) =>
  ({ is: "number", min, max, step, unit }) as const;
const limit = { is: "number", min: 0, max: ENDLESS, step: 1, unit: "px", open: true } as const;
const choice = <const T extends readonly string[]>(...of: T) => ({ is: "choice", of }) as const;
const flag = { is: "flag" } as const;

/** An entry keeps the types of its kinds and its values: what a layer's values are follows from it. */
const entry = <const K extends readonly LayerKind[], const T extends ValueType>(
  kinds: K,
  type: T,
  fallback: ValueOf<T>,
  mixing: Mixing,
) => ({ kinds, type, fallback, mixing });

export const blends = [
  "normal",
  "multiply",
  "screen",
  "overlay",
  "darken",
  "lighten",
  "soft-light",
  "hard-light",
  "color-dodge",
  "color-burn",
  "difference",
  "exclusion",
  "hue",
  "saturation",
  "color",
  "luminosity",
] as const;
/** WAI-ARIA roles that parts of an interface have; "none" says nothing. */
const roles = [
  "none",
  "button",
  "checkbox",
  "switch",
  "radio",
  "radiogroup",
  "tab",
  "tablist",
  "tabpanel",
  "link",
  "menu",
  "menuitem",
  "listbox",
  "option",
  "slider",
  "progressbar",
  "img",
  "heading",
  "dialog",
  "alert",
  "status",
  "list",
  "listitem",
  "group",
  "navigation",
] as const;

export type Role = (typeof roles)[number];

/**
 * Every layer property, once. The schema, the interpolation and the file format all follow this
 * list; a new property is one entry. "layout" mixing means that the computed box is interpolated,
 * not the value.
 */
const entries = {
  x: entry(all, number("px"), 0, "layout"),
  y: entry(all, number("px"), 0, "layout"),
  width: entry(all, number("px", 0), 100, "layout"),
  height: entry(all, number("px", 0), 100, "layout"),
  widthMode: entry(all, choice("fixed", "fit", "stretch"), "fixed", "layout"),
  heightMode: entry(all, choice("fixed", "fit", "stretch"), "fixed", "layout"),
  minWidth: entry(all, number("px", 0), 0, "layout"),
  maxWidth: entry(all, limit, ENDLESS, "layout"),
  minHeight: entry(all, number("px", 0), 0, "layout"),
  maxHeight: entry(all, limit, ENDLESS, "layout"),
  rotation: entry(all, number("°"), 0, "number"),
  scale: entry(all, { is: "pair", min: -100, max: 100, unit: "×" }, [1, 1], "pair"),
  pivot: entry(all, { is: "pair", min: -1000, max: 1000, unit: "%" }, [50, 50], "pair"),
  stack: entry(all, number("", -1000, 1000), 0, "step"),
  visible: entry(all, flag, true, "layout"),
  comesFrom: entry(all, { is: "away", words: [FADE] }, FADE, "step"),
  goesTo: entry(all, { is: "away", words: [AS_IT_CAME, FADE] }, AS_IT_CAME, "step"),
  followX: entry(all, choice("start", "end", "both", "centre", "scale"), "start", "layout"),
  followY: entry(all, choice("start", "end", "both", "centre", "scale"), "start", "layout"),
  touch: entry(all, number("px", 0, 200), 0, "step"),
  pointer: entry(all, choice("while visible", "always", "never"), "while visible", "step"),

  arrange: entry(["box"], choice("free", "row", "column"), "free", "layout"),
  gap: entry(["box"], number("px", 0), 0, "layout"),
  padding: entry(["box"], { is: "four" }, [0, 0, 0, 0], "layout"),
  align: entry(["box"], choice("start", "centre", "end", "stretch"), "start", "layout"),
  justify: entry(
    ["box"],
    choice("start", "centre", "end", "between", "around", "evenly"),
    "start",
    "layout",
  ),
  wrap: entry(["box"], flag, false, "layout"),
  resizing: entry(["box", "instance"], choice("follow", "scale"), "follow", "layout"),
  scrolls: entry(["box"], choice("no", "down", "across"), "no", "step"),
  scrolledBy: entry(["box"], number("px", 0), 0, "layout"),
  grow: entry(all, number("×", 0, 100), 0, "layout"),
  floats: entry(all, flag, false, "layout"),

  picture: entry(["picture"], { is: "asset", of: "picture" }, "", "dissolve"),
  fit: entry(["picture"], choice(...fits), "cover", "dissolve"),
  focus: entry(["picture"], { is: "pair", min: 0, max: 100, unit: "%" }, [50, 50], "pair"),
  icon: entry(["icon"], { is: "asset", of: "icon" }, "", "dissolve"),
  combine: entry(
    ["compound"],
    choice("united", "subtracted", "intersected", "excluded"),
    "united",
    "dissolve",
  ),
  fill: entry([...shapes, "text", "icon"], { is: "fill" }, "none", "fill"),
  radius: entry(["box", "picture"], { is: "four" }, [0, 0, 0, 0], "corners"),
  sides: entry(["polygon"], number("", 3, 60), 3, "dissolve"),
  inset: entry(["polygon"], number("%", 0, 99), 0, "number"),
  rounding: entry(["polygon"], number("px", 0), 0, "number"),
  shape: entry(["path"], { is: "path" }, "M0 0 L100 0 L100 100 Z", "path"),
  overlaps: entry(["path"], choice("filled", "holes"), "filled", "step"),
  shadow: entry([...lined, "text", "icon"], { is: "shadows" }, [], "shadows"),
  opacity: entry(all, number("", 0, 1, 0.05), 1, "number"),
  blur: entry(all, number("px", 0, 500), 0, "number"),
  mixing: entry(all, choice(...blends), "normal", "step"),
  clip: entry(["box"], flag, false, "step"),
  masks: entry(all, flag, false, "step"),

  borderColour: entry(lined, { is: "colour" }, "none", "colour"),
  borderWidth: entry(lined, number("px", 0, 1000, 0.5), 0, "number"),
  borderAt: entry(lined, choice("inside", "centre", "outside"), "inside", "step"),
  borderStyle: entry(lined, choice("solid", "dashed", "dotted"), "solid", "step"),
  ends: entry(open, choice("round", "flat", "square"), "round", "step"),
  joins: entry(open, choice("round", "pointed", "cut"), "round", "step"),

  text: entry(lettered, { is: "text" }, "Text", "dissolve"),
  style: entry(lettered, { is: "style" }, "", "step"),
  font: entry(lettered, { is: "family" }, USUAL_FAMILY, "dissolve"),
  weight: entry(lettered, choice(...weights), "400", "dissolve"),
  size: entry(lettered, number("px", 1, 1000), 16, "number"),
  lineHeight: entry(lettered, number("×", 0.1, 10, 0.05), 1.3, "layout"),
  spacing: entry(lettered, number("px", -100, 100, 0.1), 0, "number"),
  alignText: entry(lettered, choice("start", "centre", "end"), "start", "layout"),
  alignDown: entry(lettered, choice("top", "middle", "bottom"), "top", "layout"),
  letters: entry(
    lettered,
    choice("as typed", "capitals", "small", "each word"),
    "as typed",
    "dissolve",
  ),
  decoration: entry(lettered, choice("none", "underlined", "struck"), "none", "dissolve"),
  tooLong: entry(lettered, choice("wraps", "ellipsis"), "wraps", "layout"),

  role: entry(all, choice(...roles), "none", "step"),
  label: entry(all, { is: "text" }, "", "step"),

  // a picture that plays stands for a clip; what it shows while it does is where it is
  plays: entry(["picture"], number("ms", 0, 3_600_000, 100), 0, "step"),
  starts: entry(["picture"], flag, false, "step"),
  repeats: entry(["picture"], flag, false, "step"),
  playedTo: entry(["picture"], number("ms", 0, 3_600_000, 100), 0, "number"),
  entry: entry(lettered, choice("nobody", "typing", "choosing"), "nobody", "step"),
  choices: entry(lettered, { is: "text" }, "", "step"),
  sends: entry(all, flag, false, "step"),

  component: entry(["instance"], { is: "reference" }, "", "layout"),
} as const;

type Entries = typeof entries;

export type PropertyName = keyof Entries;

/** What a property of the registry may be. */
type ValueFor<K extends PropertyName> = ValueOf<Entries[K]["type"]>;
/** The properties that layers of every kind have. */
type CommonKey = {
  [K in PropertyName]: Entries[K]["kinds"] extends typeof layerKinds ? K : never;
}[PropertyName];

/**
 * All property values of one layer in one variant. What layers of every kind have is always there,
 * the rest where the kind has it; keys are also a copy's own traits and options.
 */
export type LayerValues = { readonly [K in CommonKey]: ValueFor<K> } & {
  readonly [K in Exclude<PropertyName, CommonKey>]?: ValueFor<K>;
} & Values;

/** The entries in the order in which they are shown. */
export const registry: readonly Property[] = Object.entries(entries).map(([key, entry]) => ({
  key,
  ...entry,
}));

const byKey = new Map(registry.map((p) => [p.key, p]));

/**
 * Keys with these prefixes belong to instances: the trait or option of the placed component that
 * follows the colon.
 */
export const TRAIT = "trait:";
export const OPTION = "option:";
/** Keys with this prefix say which value of a project's theme a layer and what is in it are fixed to. */
export const THEME = "theme:";

/**
 * The entry for a property key, or undefined for an unknown key and for an instance's own trait and
 * option keys.
 */
export const property = (key: string): Property | undefined => byKey.get(key);

/** The entries a layer kind has, in registry order. */
export const propertiesOf = (kind: LayerKind): readonly Property[] =>
  registry.filter((p) => p.kinds.includes(kind));

/** The properties that a text style sets together. */
export const styleKeys = [
  "font",
  "weight",
  "size",
  "lineHeight",
  "spacing",
  "letters",
  "decoration",
] as const;

const kindDefaults: Partial<Record<LayerKind, Record<string, Value>>> = {
  text: { widthMode: "fit", heightMode: "fit", fill: "#20302e" },
  icon: { width: 24, height: 24, fill: "#20302e" },
  line: { height: 0, borderColour: "#20302e", borderWidth: 2, borderAt: "centre" },
  path: { borderAt: "centre" },
  instance: { widthMode: "fit", heightMode: "fit" },
};

const defaults = new Map(
  all.map((kind) => {
    const own = propertiesOf(kind).map((p) => [p.key, p.fallback] as const);
    const values = Object.freeze({ ...Object.fromEntries(own), ...kindDefaults[kind] });
    // each value is the fallback of its own entry: that the table is made of these, no type can say
    return [kind, values as LayerValues] as const;
  }),
);

/** The value of every property of a layer kind when no look says anything. */
export const defaultsOf = (kind: LayerKind): LayerValues => present(defaults.get(kind));
