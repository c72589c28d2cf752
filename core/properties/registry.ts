import { present } from "../basics";
import { layerKinds } from "./kinds";
import type { LayerKind } from "./kinds";
import { weights } from "./families";
import { fits } from "./types";
import type {
  Mixing,
  Property,
  PropertyGroup,
  Unit,
  Value,
  ValueOf,
  ValueType,
  Values,
} from "./types";

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

type Extra = Pick<Property, "applies">;
/** An entry keeps the types of its kinds and its values: what a layer's values are follows from it. */
const entry =
  (group: PropertyGroup) =>
  <const K extends readonly LayerKind[], const T extends ValueType>(
    label: string,
    kinds: K,
    type: T,
    fallback: ValueOf<T>,
    mixing: Mixing,
    extra: Extra = {},
  ) => ({ label, group, kinds, type, fallback, mixing, ...extra });

const when = (test: (v: Values) => boolean): Extra => ({ applies: test });
const arranged = when((v) => v.arrange !== "free");
const free = when((v) => v.arrange === "free");
const bordered = when((v) => v.borderColour !== "none");
const place = entry("place");
const arrange = entry("arrange");
const paint = entry("paint");
const border = entry("border");
const text = entry("text");
const meaning = entry("meaning");
const copy = entry("copy");

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
  "slider",
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

/**
 * Every layer property, once. The sheet, the schema, the interpolation and the file format all
 * follow this list;
 * a new property is one entry. "layout" mixing means that the computed box is interpolated, not the
 * value.
 */
const entries = {
  x: place("x", all, number("px"), 0, "layout"),
  y: place("y", all, number("px"), 0, "layout"),
  width: place("width", all, number("px", 0), 100, "layout"),
  height: place("height", all, number("px", 0), 100, "layout"),
  widthMode: place("width is", all, choice("fixed", "fit", "stretch"), "fixed", "layout"),
  heightMode: place("height is", all, choice("fixed", "fit", "stretch"), "fixed", "layout"),
  minWidth: place(
    "width at least",
    all,
    number("px", 0),
    0,
    "layout",
    when((v) => v.widthMode !== "fixed" || v.minWidth !== 0),
  ),
  maxWidth: place(
    "width at most",
    all,
    limit,
    ENDLESS,
    "layout",
    when((v) => v.widthMode !== "fixed" || v.maxWidth !== ENDLESS),
  ),
  minHeight: place(
    "height at least",
    all,
    number("px", 0),
    0,
    "layout",
    when((v) => v.heightMode !== "fixed" || v.minHeight !== 0),
  ),
  maxHeight: place(
    "height at most",
    all,
    limit,
    ENDLESS,
    "layout",
    when((v) => v.heightMode !== "fixed" || v.maxHeight !== ENDLESS),
  ),
  rotation: place("rotation", all, number("°"), 0, "number"),
  scale: place("scale", all, { is: "pair", min: -100, max: 100, unit: "×" }, [1, 1], "pair"),
  pivot: place(
    "turns about",
    all,
    { is: "pair", min: -1000, max: 1000, unit: "%" },
    [50, 50],
    "pair",
  ),
  stack: place("raised by", all, number("", -1000, 1000), 0, "step"),
  visible: place("shown", all, flag, true, "layout"),
  followX: place(
    "follows across",
    all,
    choice("start", "end", "both", "centre", "scale"),
    "start",
    "layout",
  ),
  followY: place(
    "follows down",
    all,
    choice("start", "end", "both", "centre", "scale"),
    "start",
    "layout",
  ),
  touch: place("touch area beyond", all, number("px", 0, 200), 0, "step"),

  arrange: arrange("children in", ["box"], choice("free", "row", "column"), "free", "layout"),
  gap: arrange("gap", ["box"], number("px", 0), 0, "layout", arranged),
  padding: arrange("padding", ["box"], { is: "four" }, [0, 0, 0, 0], "layout", arranged),
  align: arrange(
    "aligned",
    ["box"],
    choice("start", "centre", "end", "stretch"),
    "start",
    "layout",
    arranged,
  ),
  justify: arrange(
    "spread",
    ["box"],
    choice("start", "centre", "end", "between", "around", "evenly"),
    "start",
    "layout",
    arranged,
  ),
  wrap: arrange("wraps", ["box"], flag, false, "layout", arranged),
  resizing: arrange(
    "when resized, children",
    ["box"],
    choice("follow", "scale"),
    "follow",
    "layout",
    free,
  ),
  scrolls: arrange("scrolls", ["box"], choice("no", "down", "across"), "no", "step"),
  scrolledBy: arrange(
    "scrolled by",
    ["box"],
    number("px", 0),
    0,
    "layout",
    when((v) => v.scrolls !== "no"),
  ),
  grow: arrange("grows", all, number("×", 0, 100), 0, "layout"),
  floats: arrange("floats outside", all, flag, false, "layout"),

  picture: paint("picture", ["picture"], { is: "asset", of: "picture" }, "", "dissolve"),
  fit: paint("picture is fit to", ["picture"], choice(...fits), "cover", "dissolve"),
  focus: paint(
    "keeps in sight",
    ["picture"],
    { is: "pair", min: 0, max: 100, unit: "%" },
    [50, 50],
    "pair",
  ),
  icon: paint("icon", ["icon"], { is: "asset", of: "icon" }, "", "dissolve"),
  combine: paint(
    "shapes are",
    ["compound"],
    choice("united", "subtracted", "intersected", "excluded"),
    "united",
    "dissolve",
  ),
  fill: paint("fill", [...shapes, "text", "icon"], { is: "fill" }, "none", "fill"),
  radius: paint("corners", ["box", "picture"], { is: "four" }, [0, 0, 0, 0], "corners"),
  sides: paint("sides", ["polygon"], number("", 3, 60), 3, "dissolve"),
  inset: paint("points inwards", ["polygon"], number("%", 0, 99), 0, "number"),
  rounding: paint("corners", ["polygon"], number("px", 0), 0, "number"),
  shape: paint("shape", ["path"], { is: "path" }, "M0 0 L100 0 L100 100 Z", "path"),
  overlaps: paint("overlaps are", ["path"], choice("filled", "holes"), "filled", "step"),
  shadow: paint("shadow", [...lined, "text", "icon"], { is: "shadows" }, [], "shadows"),
  opacity: paint("opacity", all, number("", 0, 1, 0.05), 1, "number"),
  blur: paint("blur", all, number("px", 0, 500), 0, "number"),
  mixing: paint("mixes as", all, choice(...blends), "normal", "step"),
  clip: paint("clips children", ["box"], flag, false, "step"),
  masks: paint("masks what is above", all, flag, false, "step"),

  borderColour: border("border", lined, { is: "colour" }, "none", "colour"),
  borderWidth: border("border width", lined, number("px", 0, 1000, 0.5), 0, "number", bordered),
  borderAt: border(
    "border lies",
    lined,
    choice("inside", "centre", "outside"),
    "inside",
    "step",
    bordered,
  ),
  borderStyle: border(
    "border is",
    lined,
    choice("solid", "dashed", "dotted"),
    "solid",
    "step",
    bordered,
  ),
  ends: border("line ends", open, choice("round", "flat", "square"), "round", "step", bordered),
  joins: border("line joins", open, choice("round", "pointed", "cut"), "round", "step", bordered),

  text: text("text", lettered, { is: "text" }, "Text", "dissolve"),
  style: text("text style", lettered, { is: "style" }, "", "step"),
  font: text("family", lettered, { is: "family" }, "Hanken Grotesk", "dissolve"),
  weight: text("weight", lettered, choice(...weights), "400", "dissolve"),
  size: text("size", lettered, number("px", 1, 1000), 16, "number"),
  lineHeight: text("line height", lettered, number("×", 0.1, 10, 0.05), 1.3, "layout"),
  spacing: text("letter spacing", lettered, number("px", -100, 100, 0.1), 0, "number"),
  alignText: text("lines", lettered, choice("start", "centre", "end"), "start", "layout"),
  alignDown: text(
    "lines stand",
    lettered,
    choice("top", "middle", "bottom"),
    "top",
    "layout",
    when((v) => v.heightMode !== "fit"),
  ),
  letters: text(
    "letters",
    lettered,
    choice("as typed", "capitals", "small", "each word"),
    "as typed",
    "dissolve",
  ),
  decoration: text(
    "decoration",
    lettered,
    choice("none", "underlined", "struck"),
    "none",
    "dissolve",
  ),
  tooLong: text(
    "too long",
    lettered,
    choice("wraps", "ellipsis"),
    "wraps",
    "layout",
    when((v) => v.widthMode !== "fit"),
  ),

  role: meaning("role", all, choice(...roles), "none", "step"),
  label: meaning("spoken name", all, { is: "text" }, "", "step"),
  // a picture that plays stands for a clip; what it shows while it does is where it is
  plays: meaning("plays for", ["picture"], number("ms", 0, 3_600_000, 100), 0, "step"),
  starts: meaning(
    "starts by itself",
    ["picture"],
    flag,
    false,
    "step",
    when((v) => v.plays !== 0),
  ),
  repeats: meaning(
    "begins again",
    ["picture"],
    flag,
    false,
    "step",
    when((v) => v.plays !== 0),
  ),
  playedTo: meaning(
    "played to",
    ["picture"],
    number("ms", 0, 3_600_000, 100),
    0,
    "number",
    when((v) => v.plays !== 0),
  ),
  entry: meaning(
    "is filled in by",
    lettered,
    choice("nobody", "typing", "choosing"),
    "nobody",
    "step",
  ),
  choices: meaning(
    "choices",
    lettered,
    { is: "text" },
    "",
    "step",
    when((v) => v.entry === "choosing"),
  ),
  sends: meaning("sends the form", all, flag, false, "step"),

  component: copy("component", ["instance"], { is: "reference" }, "", "layout"),
} as const;

type Entries = typeof entries;

type PropertyName = keyof Entries;

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
