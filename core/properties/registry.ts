import type { LayerKind } from "../project/types";
import type { Mixing, Property, PropertyGroup, Value, ValueType, Values } from "./types";

const all: readonly LayerKind[] = ["box", "ellipse", "path", "text", "instance"];
const drawn: readonly LayerKind[] = ["box", "ellipse", "path"];

const number = (unit: "px" | "°" | "×" | "", min = -100_000, max = 100_000, step = 1): ValueType => ({ is: "number", min, max, step, unit });
const choice = (...of: string[]): ValueType => ({ is: "choice", of });

type Extra = Pick<Property, "applies">;
const entry = (group: PropertyGroup) => (
  key: string, label: string, kinds: readonly LayerKind[], type: ValueType, fallback: Value, mixing: Mixing, extra: Extra = {},
): Property => ({ key, label, group, kinds, type, fallback, mixing, ...extra });

const arranged = (v: Values) => v.arrange !== "free";
const place = entry("place");
const arrange = entry("arrange");
const paint = entry("paint");
const text = entry("text");
const copy = entry("copy");

/** The families shipped with Nubble, in the weights given. */
export const families: Readonly<Record<string, readonly string[]>> = {
  "Hanken Grotesk": ["400", "500", "600", "700"],
  "Source Serif 4": ["400", "600"],
  "Spline Sans Mono": ["400", "600"],
};

/**
 * Every layer property, once. The sheet, the schema, the interpolation and the file format all follow this list;
 * a new property is one entry. "layout" mixing means that the computed box is interpolated, not the value.
 */
export const registry: readonly Property[] = [
  place("x", "x", all, number("px"), 0, "layout"),
  place("y", "y", all, number("px"), 0, "layout"),
  place("width", "width", all, number("px", 0), 100, "layout"),
  place("height", "height", all, number("px", 0), 100, "layout"),
  place("widthMode", "width is", all, choice("fixed", "fit", "stretch"), "fixed", "layout"),
  place("heightMode", "height is", all, choice("fixed", "fit", "stretch"), "fixed", "layout"),
  place("rotation", "rotation", all, number("°"), 0, "number"),
  place("stack", "raised by", all, number("", -1000, 1000), 0, "step"),
  place("visible", "shown", all, { is: "flag" }, true, "layout"),
  place("followX", "follows across", all, choice("start", "end", "both", "centre", "scale"), "start", "layout"),
  place("followY", "follows down", all, choice("start", "end", "both", "centre", "scale"), "start", "layout"),
  place("touch", "touch area beyond", all, number("px", 0, 200), 0, "step"),

  arrange("arrange", "children in", ["box"], choice("free", "row", "column"), "free", "layout"),
  arrange("gap", "gap", ["box"], number("px", 0), 0, "layout", { applies: arranged }),
  arrange("padding", "padding", ["box"], { is: "four" }, [0, 0, 0, 0], "layout", { applies: arranged }),
  arrange("align", "aligned", ["box"], choice("start", "centre", "end", "stretch"), "start", "layout", { applies: arranged }),
  arrange("justify", "spread", ["box"], choice("start", "centre", "end", "between", "around", "evenly"), "start", "layout", { applies: arranged }),
  arrange("wrap", "wraps", ["box"], { is: "flag" }, false, "layout", { applies: arranged }),
  arrange("grow", "grows", all, number("×", 0, 100), 0, "layout"),
  arrange("floats", "floats outside", all, { is: "flag" }, false, "layout"),

  paint("fill", "fill", [...drawn, "text"], { is: "colour" }, "none", "colour"),
  paint("borderColour", "border", drawn, { is: "colour" }, "none", "colour"),
  paint("borderWidth", "border width", drawn, number("px", 0, 1000, 0.5), 0, "number"),
  paint("radius", "corners", ["box"], { is: "four" }, [0, 0, 0, 0], "four"),
  paint("shadow", "shadow", drawn, { is: "shadows" }, [], "shadows"),
  paint("opacity", "opacity", all, number("", 0, 1, 0.05), 1, "number"),
  paint("clip", "clips children", ["box"], { is: "flag" }, false, "step"),
  paint("shape", "shape", ["path"], { is: "path" }, "M0 0 L100 0 L100 100 Z", "path"),

  text("text", "text", ["text"], { is: "text" }, "Text", "dissolve"),
  text("font", "family", ["text"], choice(...Object.keys(families)), "Hanken Grotesk", "dissolve"),
  text("weight", "weight", ["text"], choice("400", "500", "600", "700"), "400", "dissolve"),
  text("size", "size", ["text"], number("px", 1, 1000), 16, "number"),
  text("lineHeight", "line height", ["text"], number("×", 0.1, 10, 0.05), 1.3, "layout"),
  text("spacing", "letter spacing", ["text"], number("px", -100, 100, 0.1), 0, "number"),
  text("alignText", "lines", ["text"], choice("start", "centre", "end"), "start", "layout"),

  copy("component", "component", ["instance"], { is: "reference" }, "", "layout"),
];

const byKey = new Map(registry.map((p) => [p.key, p]));

/** Keys with these prefixes belong to instances: the trait or option of the placed component that follows the colon. */
export const TRAIT = "trait:";
export const OPTION = "option:";

/** The entry for a property key, or undefined for an unknown key and for an instance's own trait and option keys. */
export const property = (key: string): Property | undefined => byKey.get(key);

/** The entries a layer kind has, in registry order. */
export const propertiesOf = (kind: LayerKind): readonly Property[] => registry.filter((p) => p.kinds.includes(kind));

const kindDefaults: Partial<Record<LayerKind, Record<string, Value>>> = {
  text: { widthMode: "fit", heightMode: "fit", fill: "#20302e" },
  instance: { widthMode: "fit", heightMode: "fit" },
};

const defaults = new Map<LayerKind, Values>(
  all.map((kind) => [kind, Object.freeze({ ...Object.fromEntries(propertiesOf(kind).map((p) => [p.key, p.fallback])), ...kindDefaults[kind] })]),
);

/** The value of every property of a layer kind when no look says anything. */
export const defaultsOf = (kind: LayerKind): Values => defaults.get(kind) as Values;
