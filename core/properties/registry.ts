import { layerKinds } from "./kinds";
import type { LayerKind } from "./kinds";
import { weights } from "./families";
import { fits } from "./types";
import type { Mixing, Property, PropertyGroup, Unit, Value, ValueType, Values } from "./types";

const all: readonly LayerKind[] = layerKinds;
const shapes: readonly LayerKind[] = ["box", "ellipse", "polygon", "path", "compound"];
const lined: readonly LayerKind[] = [...shapes, "line", "picture"];
const open: readonly LayerKind[] = ["path", "line"];
const lettered: readonly LayerKind[] = ["text"];
/**
 * Larger than any layer: as a size limit it means that there is none, as a corner that it is round
 * whatever the size.
 */
export const ENDLESS = 100_000;

const number = (unit: Unit, min = -ENDLESS, max = ENDLESS, step = 1): ValueType => ({
  is: "number",
  min,
  max,
  step,
  unit,
});
const limit: ValueType = { is: "number", min: 0, max: ENDLESS, step: 1, unit: "px", open: true };
const choice = (...of: readonly string[]): ValueType => ({ is: "choice", of });
const flag: ValueType = { is: "flag" };

type Extra = Pick<Property, "applies">;
const entry =
  (group: PropertyGroup) =>
  (
    key: string,
    label: string,
    kinds: readonly LayerKind[],
    type: ValueType,
    fallback: Value,
    mixing: Mixing,
    extra: Extra = {},
  ): Property => ({ key, label, group, kinds, type, fallback, mixing, ...extra });

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
export const registry: readonly Property[] = [
  place("x", "x", all, number("px"), 0, "layout"),
  place("y", "y", all, number("px"), 0, "layout"),
  place("width", "width", all, number("px", 0), 100, "layout"),
  place("height", "height", all, number("px", 0), 100, "layout"),
  place("widthMode", "width is", all, choice("fixed", "fit", "stretch"), "fixed", "layout"),
  place("heightMode", "height is", all, choice("fixed", "fit", "stretch"), "fixed", "layout"),
  place(
    "minWidth",
    "width at least",
    all,
    number("px", 0),
    0,
    "layout",
    when((v) => v.widthMode !== "fixed" || v.minWidth !== 0),
  ),
  place(
    "maxWidth",
    "width at most",
    all,
    limit,
    ENDLESS,
    "layout",
    when((v) => v.widthMode !== "fixed" || v.maxWidth !== ENDLESS),
  ),
  place(
    "minHeight",
    "height at least",
    all,
    number("px", 0),
    0,
    "layout",
    when((v) => v.heightMode !== "fixed" || v.minHeight !== 0),
  ),
  place(
    "maxHeight",
    "height at most",
    all,
    limit,
    ENDLESS,
    "layout",
    when((v) => v.heightMode !== "fixed" || v.maxHeight !== ENDLESS),
  ),
  place("rotation", "rotation", all, number("°"), 0, "number"),
  place("scale", "scale", all, { is: "pair", min: -100, max: 100, unit: "×" }, [1, 1], "pair"),
  place(
    "pivot",
    "turns about",
    all,
    { is: "pair", min: -1000, max: 1000, unit: "%" },
    [50, 50],
    "pair",
  ),
  place("stack", "raised by", all, number("", -1000, 1000), 0, "step"),
  place("visible", "shown", all, flag, true, "layout"),
  place(
    "followX",
    "follows across",
    all,
    choice("start", "end", "both", "centre", "scale"),
    "start",
    "layout",
  ),
  place(
    "followY",
    "follows down",
    all,
    choice("start", "end", "both", "centre", "scale"),
    "start",
    "layout",
  ),
  place("touch", "touch area beyond", all, number("px", 0, 200), 0, "step"),

  arrange("arrange", "children in", ["box"], choice("free", "row", "column"), "free", "layout"),
  arrange("gap", "gap", ["box"], number("px", 0), 0, "layout", arranged),
  arrange("padding", "padding", ["box"], { is: "four" }, [0, 0, 0, 0], "layout", arranged),
  arrange(
    "align",
    "aligned",
    ["box"],
    choice("start", "centre", "end", "stretch"),
    "start",
    "layout",
    arranged,
  ),
  arrange(
    "justify",
    "spread",
    ["box"],
    choice("start", "centre", "end", "between", "around", "evenly"),
    "start",
    "layout",
    arranged,
  ),
  arrange("wrap", "wraps", ["box"], flag, false, "layout", arranged),
  arrange(
    "resizing",
    "when resized, children",
    ["box"],
    choice("follow", "scale"),
    "follow",
    "layout",
    free,
  ),
  arrange("scrolls", "scrolls", ["box"], choice("no", "down", "across"), "no", "step"),
  arrange(
    "scrolledBy",
    "scrolled by",
    ["box"],
    number("px", 0),
    0,
    "layout",
    when((v) => v.scrolls !== "no"),
  ),
  arrange("grow", "grows", all, number("×", 0, 100), 0, "layout"),
  arrange("floats", "floats outside", all, flag, false, "layout"),

  paint("picture", "picture", ["picture"], { is: "asset", of: "picture" }, "", "dissolve"),
  paint("fit", "picture is fit to", ["picture"], choice(...fits), "cover", "dissolve"),
  paint(
    "focus",
    "keeps in sight",
    ["picture"],
    { is: "pair", min: 0, max: 100, unit: "%" },
    [50, 50],
    "pair",
  ),
  paint("icon", "icon", ["icon"], { is: "asset", of: "icon" }, "", "dissolve"),
  paint(
    "combine",
    "shapes are",
    ["compound"],
    choice("united", "subtracted", "intersected", "excluded"),
    "united",
    "dissolve",
  ),
  paint("fill", "fill", [...shapes, "text", "icon"], { is: "fill" }, "none", "fill"),
  paint("radius", "corners", ["box", "picture"], { is: "four" }, [0, 0, 0, 0], "corners"),
  paint("sides", "sides", ["polygon"], number("", 3, 60), 3, "dissolve"),
  paint("inset", "points inwards", ["polygon"], number("%", 0, 99), 0, "number"),
  paint("rounding", "corners", ["polygon"], number("px", 0), 0, "number"),
  paint("shape", "shape", ["path"], { is: "path" }, "M0 0 L100 0 L100 100 Z", "path"),
  paint("overlaps", "overlaps are", ["path"], choice("filled", "holes"), "filled", "step"),
  paint("shadow", "shadow", [...lined, "text", "icon"], { is: "shadows" }, [], "shadows"),
  paint("opacity", "opacity", all, number("", 0, 1, 0.05), 1, "number"),
  paint("blur", "blur", all, number("px", 0, 500), 0, "number"),
  paint("mixing", "mixes as", all, choice(...blends), "normal", "step"),
  paint("clip", "clips children", ["box"], flag, false, "step"),
  paint("masks", "masks what is above", all, flag, false, "step"),

  border("borderColour", "border", lined, { is: "colour" }, "none", "colour"),
  border("borderWidth", "border width", lined, number("px", 0, 1000, 0.5), 0, "number", bordered),
  border(
    "borderAt",
    "border lies",
    lined,
    choice("inside", "centre", "outside"),
    "inside",
    "step",
    bordered,
  ),
  border(
    "borderStyle",
    "border is",
    lined,
    choice("solid", "dashed", "dotted"),
    "solid",
    "step",
    bordered,
  ),
  border("ends", "line ends", open, choice("round", "flat", "square"), "round", "step", bordered),
  border("joins", "line joins", open, choice("round", "pointed", "cut"), "round", "step", bordered),

  text("text", "text", lettered, { is: "text" }, "Text", "dissolve"),
  text("style", "text style", lettered, { is: "style" }, "", "step"),
  text("font", "family", lettered, { is: "family" }, "Hanken Grotesk", "dissolve"),
  text("weight", "weight", lettered, choice(...weights), "400", "dissolve"),
  text("size", "size", lettered, number("px", 1, 1000), 16, "number"),
  text("lineHeight", "line height", lettered, number("×", 0.1, 10, 0.05), 1.3, "layout"),
  text("spacing", "letter spacing", lettered, number("px", -100, 100, 0.1), 0, "number"),
  text("alignText", "lines", lettered, choice("start", "centre", "end"), "start", "layout"),
  text(
    "alignDown",
    "lines stand",
    lettered,
    choice("top", "middle", "bottom"),
    "top",
    "layout",
    when((v) => v.heightMode !== "fit"),
  ),
  text(
    "letters",
    "letters",
    lettered,
    choice("as typed", "capitals", "small", "each word"),
    "as typed",
    "dissolve",
  ),
  text(
    "decoration",
    "decoration",
    lettered,
    choice("none", "underlined", "struck"),
    "none",
    "dissolve",
  ),
  text(
    "tooLong",
    "too long",
    lettered,
    choice("wraps", "ellipsis"),
    "wraps",
    "layout",
    when((v) => v.widthMode !== "fit"),
  ),

  meaning("role", "role", all, choice(...roles), "none", "step"),
  meaning("label", "spoken name", all, { is: "text" }, "", "step"),
  // a picture that plays stands for a clip; what it shows while it does is where it is
  meaning("plays", "plays for", ["picture"], number("ms", 0, 3_600_000, 100), 0, "step"),
  meaning(
    "starts",
    "starts by itself",
    ["picture"],
    flag,
    false,
    "step",
    when((v) => v.plays !== 0),
  ),
  meaning(
    "repeats",
    "begins again",
    ["picture"],
    flag,
    false,
    "step",
    when((v) => v.plays !== 0),
  ),
  meaning(
    "playedTo",
    "played to",
    ["picture"],
    number("ms", 0, 3_600_000, 100),
    0,
    "number",
    when((v) => v.plays !== 0),
  ),
  meaning(
    "entry",
    "is filled in by",
    lettered,
    choice("nobody", "typing", "choosing"),
    "nobody",
    "step",
  ),
  meaning(
    "choices",
    "choices",
    lettered,
    { is: "text" },
    "",
    "step",
    when((v) => v.entry === "choosing"),
  ),
  meaning("sends", "sends the form", all, flag, false, "step"),

  copy("component", "component", ["instance"], { is: "reference" }, "", "layout"),
];

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

const defaults = new Map<LayerKind, Values>(
  all.map((kind) => [
    kind,
    Object.freeze({
      ...Object.fromEntries(propertiesOf(kind).map((p) => [p.key, p.fallback])),
      ...kindDefaults[kind],
    }),
  ]),
);

/** The value of every property of a layer kind when no look says anything. */
export const defaultsOf = (kind: LayerKind): Values => defaults.get(kind) as Values;
