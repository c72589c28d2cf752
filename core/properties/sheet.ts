import { entryOf } from "../basics";
import { ENDLESS, property } from "./registry";
import type { PropertyName } from "./registry";
import type { PropertyGroup, ValueType, Values } from "./types";
import { choiceWords, labels } from "./words";

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
/** It arranges freely, or is a copy. */
const free: Test = (v) => v.arrange === undefined || v.arrange === "free";
const bordered: Test = (v) => v.borderColour !== "none";
const place = inGroup("place");
const arrange = inGroup("arrange");
const paint = inGroup("paint");
const border = inGroup("border");
const text = inGroup("text");
const meaning = inGroup("meaning");
const copy = inGroup("copy");

const entries: Readonly<Record<PropertyName, SheetEntry>> = {
  x: place(labels.x),
  y: place(labels.y),
  width: place(labels.width),
  height: place(labels.height),
  widthMode: place(labels.widthMode),
  heightMode: place(labels.heightMode),
  minWidth: place(labels.minWidth, (v) => v.widthMode !== "fixed" || v.minWidth !== 0),
  maxWidth: place(labels.maxWidth, (v) => v.widthMode !== "fixed" || v.maxWidth !== ENDLESS),
  minHeight: place(labels.minHeight, (v) => v.heightMode !== "fixed" || v.minHeight !== 0),
  maxHeight: place(labels.maxHeight, (v) => v.heightMode !== "fixed" || v.maxHeight !== ENDLESS),
  rotation: place(labels.rotation),
  scale: place(labels.scale),
  pivot: place(labels.pivot),
  stack: place(labels.stack),
  visible: place(labels.visible),
  comesFrom: place(labels.comesFrom),
  goesTo: place(labels.goesTo),
  followX: place(labels.followX),
  followY: place(labels.followY),
  touch: place(labels.touch),
  pointer: place(labels.pointer),

  arrange: arrange(labels.arrange),
  gap: arrange(labels.gap, arranged),
  padding: arrange(labels.padding, arranged),
  align: arrange(labels.align, arranged),
  justify: arrange(labels.justify, arranged),
  wrap: arrange(labels.wrap, arranged),
  resizing: arrange(labels.resizing, free),
  scrolls: arrange(labels.scrolls),
  scrolledBy: arrange(labels.scrolledBy, (v) => v.scrolls !== "no"),
  grow: arrange(labels.grow),
  floats: arrange(labels.floats),

  picture: paint(labels.picture),
  fit: paint(labels.fit),
  focus: paint(labels.focus),
  icon: paint(labels.icon),
  combine: paint(labels.combine),
  fill: paint(labels.fill),
  radius: paint(labels.radius),
  sides: paint(labels.sides),
  inset: paint(labels.inset),
  rounding: paint(labels.rounding),
  shape: paint(labels.shape),
  overlaps: paint(labels.overlaps),
  shadow: paint(labels.shadow),
  opacity: paint(labels.opacity),
  blur: paint(labels.blur),
  mixing: paint(labels.mixing),
  clip: paint(labels.clip),
  masks: paint(labels.masks),

  borderColour: border(labels.borderColour),
  borderWidth: border(labels.borderWidth, bordered),
  borderAt: border(labels.borderAt, bordered),
  borderStyle: border(labels.borderStyle, bordered),
  ends: border(labels.ends, bordered),
  joins: border(labels.joins, bordered),

  text: text(labels.text),
  style: text(labels.style),
  font: text(labels.font),
  weight: text(labels.weight),
  size: text(labels.size),
  lineHeight: text(labels.lineHeight),
  spacing: text(labels.spacing),
  alignText: text(labels.alignText),
  alignDown: text(labels.alignDown, (v) => v.heightMode !== "fit"),
  letters: text(labels.letters),
  decoration: text(labels.decoration),
  tooLong: text(labels.tooLong, (v) => v.widthMode !== "fit"),

  role: meaning(labels.role),
  label: meaning(labels.label),
  plays: meaning(labels.plays),
  starts: meaning(labels.starts, (v) => v.plays !== 0),
  repeats: meaning(labels.repeats, (v) => v.plays !== 0),
  playedTo: meaning(labels.playedTo, (v) => v.plays !== 0),
  entry: meaning(labels.entry),
  choices: meaning(labels.choices, (v) => v.entry === "choosing"),
  sends: meaning(labels.sends),

  component: copy(labels.component),
};

const isName = (key: string): key is PropertyName => Object.hasOwn(entries, key);

/** How a property stands in the sheet; undefined for a key the registry does not have. */
export const sheetEntry = (key: string): SheetEntry | undefined =>
  isName(key) ? entries[key] : undefined;

/** What a property is called; undefined for a key the registry does not have. */
export const labelOf = (key: string): string | undefined => sheetEntry(key)?.label;

const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What a property is called where its name stands alone: "Corner radius". */
export const titleOf = (key: string): string => upperFirst(labelOf(key) ?? key);

const withWords = (key: string, type: ValueType): ValueType => {
  const words = choiceWords[key];
  return type.is === "choice" && words ? { ...type, words } : type;
};

// made when asked for, so that what only plays pieces brings no words along
const sheetTypes = new Map<string, ValueType>();

/** The type of a property as people read and type it; the same object each time. */
export const sheetType = (key: string): ValueType | undefined => {
  const type = property(key)?.type;
  return type && entryOf(sheetTypes, key, () => withWords(key, type));
};

/** What a choice of a property is called. */
export const choiceText = (key: string, value: string): string =>
  choiceWords[key]?.[value] ?? value;
