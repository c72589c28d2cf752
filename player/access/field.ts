import type { Field } from "#core/access";

export type FieldElement = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** Longest text of an entry. */
const LONGEST = 500;
/** Room for the caret after the last letter, px. */
const CARET = 2;

/** A real field of the page for an entry. */
export const fieldElement = ({ by, isMultiline }: Field): FieldElement => {
  if (by === "choosing") return document.createElement("select");
  const field = document.createElement(isMultiline ? "textarea" : "input");
  field.maxLength = LONGEST;
  field.autocomplete = "off";
  field.spellcheck = false;
  return field;
};

const fillChoices = (field: HTMLSelectElement, { choices, text, placeholder }: Field): void => {
  const wanted = ["", ...choices];
  const isSame =
    field.options.length === wanted.length &&
    wanted.every((c, i) => i === 0 || field.options[i]?.value === c);
  if (!isSame) field.replaceChildren(...wanted.map((c) => new Option(c, c)));
  const [none] = field.options;
  if (none) {
    none.textContent = placeholder;
    // nothing is no choice once one has been made
    none.hidden = text !== "";
  }
};

/** Brings a field to what its entry says; what is typed into it meanwhile stays as it is. */
export const fillField = (element: FieldElement, field: Field): void => {
  if (element instanceof HTMLSelectElement) fillChoices(element, field);
  else element.placeholder = field.placeholder;
  if (element.value !== field.text) element.value = field.text;
};

const cases: Readonly<Record<string, string>> = {
  capitals: "uppercase",
  small: "lowercase",
  "each word": "capitalize",
};
const sides: Readonly<Record<string, string>> = { start: "left", centre: "center", end: "right" };

/** Dresses a field like the entry it lies over. */
export const dress = (element: HTMLElement, { values, width, height, map, ...field }: Field) => {
  const size = values.size ?? 16;
  const line = size * (values.lineHeight ?? 1.3);
  const own = field.isMultiline || field.by === "choosing" ? height : Math.min(height, line);
  const shares: Readonly<Record<string, number>> = { middle: 0.5, bottom: 1 };
  const down = (height - own) * (shares[values.alignDown ?? "top"] ?? 0);
  const wide = values.widthMode === "fit" ? width + size : width + CARET;
  Object.assign(element.style, {
    width: `${wide}px`,
    height: `${own}px`,
    transform: `matrix(${map.slice(0, 4).join(",")},0,0) translateY(${down}px)`,
    fontFamily: `"${(values.font ?? "").replaceAll(/["\\]/g, "")}"`,
    fontWeight: values.weight ?? "400",
    fontSize: `${size}px`,
    lineHeight: `${line}px`,
    letterSpacing: `${values.spacing ?? 0}px`,
    textAlign: sides[values.alignText ?? "start"] ?? "left",
    textTransform: cases[values.letters ?? ""] ?? "none",
    color: typeof values.fill === "string" && values.fill !== "none" ? values.fill : "#20302e",
  });
};
