import { ENDLESS } from "./registry";
import type { PropertyName } from "./registry";
import type { PropertyGroup, Values } from "./types";

/** How a property stands in the sheet. */
interface SheetEntry {
  readonly label: string;
  readonly group: PropertyGroup;
  /** shown only when this holds for the layer's values */
  readonly applies?: (values: Values) => boolean;
}

type Test = (values: Values) => boolean;
const inGroup =
  (group: PropertyGroup) =>
  (label: string, applies?: Test): SheetEntry =>
    applies ? { label, group, applies } : { label, group };
const arranged: Test = (v) => v.arrange !== "free";
const free: Test = (v) => v.arrange === "free";
const bordered: Test = (v) => v.borderColour !== "none";
const place = inGroup("place");
const arrange = inGroup("arrange");
const paint = inGroup("paint");
const border = inGroup("border");
const text = inGroup("text");
const meaning = inGroup("meaning");
const copy = inGroup("copy");

const entries: Readonly<Record<PropertyName, SheetEntry>> = {
  x: place("x"),
  y: place("y"),
  width: place("width"),
  height: place("height"),
  widthMode: place("width is"),
  heightMode: place("height is"),
  minWidth: place("width at least", (v) => v.widthMode !== "fixed" || v.minWidth !== 0),
  maxWidth: place("width at most", (v) => v.widthMode !== "fixed" || v.maxWidth !== ENDLESS),
  minHeight: place("height at least", (v) => v.heightMode !== "fixed" || v.minHeight !== 0),
  maxHeight: place("height at most", (v) => v.heightMode !== "fixed" || v.maxHeight !== ENDLESS),
  rotation: place("rotation"),
  scale: place("scale"),
  pivot: place("turns about"),
  stack: place("raised by"),
  visible: place("shown"),
  followX: place("follows across"),
  followY: place("follows down"),
  touch: place("touch area beyond"),

  arrange: arrange("children in"),
  gap: arrange("gap", arranged),
  padding: arrange("padding", arranged),
  align: arrange("aligned", arranged),
  justify: arrange("spread", arranged),
  wrap: arrange("wraps", arranged),
  resizing: arrange("when resized, children", free),
  scrolls: arrange("scrolls"),
  scrolledBy: arrange("scrolled by", (v) => v.scrolls !== "no"),
  grow: arrange("grows"),
  floats: arrange("floats outside"),

  picture: paint("picture"),
  fit: paint("picture is fit to"),
  focus: paint("keeps in sight"),
  icon: paint("icon"),
  combine: paint("shapes are"),
  fill: paint("fill"),
  radius: paint("corners"),
  sides: paint("sides"),
  inset: paint("points inwards"),
  rounding: paint("corners"),
  shape: paint("shape"),
  overlaps: paint("overlaps are"),
  shadow: paint("shadow"),
  opacity: paint("opacity"),
  blur: paint("blur"),
  mixing: paint("mixes as"),
  clip: paint("clips children"),
  masks: paint("masks what is above"),

  borderColour: border("border"),
  borderWidth: border("border width", bordered),
  borderAt: border("border lies", bordered),
  borderStyle: border("border is", bordered),
  ends: border("line ends", bordered),
  joins: border("line joins", bordered),

  text: text("text"),
  style: text("text style"),
  font: text("family"),
  weight: text("weight"),
  size: text("size"),
  lineHeight: text("line height"),
  spacing: text("letter spacing"),
  alignText: text("lines"),
  alignDown: text("lines stand", (v) => v.heightMode !== "fit"),
  letters: text("letters"),
  decoration: text("decoration"),
  tooLong: text("too long", (v) => v.widthMode !== "fit"),

  role: meaning("role"),
  label: meaning("spoken name"),
  plays: meaning("plays for"),
  starts: meaning("starts by itself", (v) => v.plays !== 0),
  repeats: meaning("begins again", (v) => v.plays !== 0),
  playedTo: meaning("played to", (v) => v.plays !== 0),
  entry: meaning("is filled in by"),
  choices: meaning("choices", (v) => v.entry === "choosing"),
  sends: meaning("sends the form"),

  component: copy("component"),
};

const isName = (key: string): key is PropertyName => Object.hasOwn(entries, key);

/** How a property stands in the sheet; undefined for a key the registry does not have. */
export const sheetEntry = (key: string): SheetEntry | undefined =>
  isName(key) ? entries[key] : undefined;

/** What a property is called; undefined for a key the registry does not have. */
export const labelOf = (key: string): string | undefined => sheetEntry(key)?.label;
