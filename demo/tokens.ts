import { orderAfter } from "#core/project";
import type { Token, TokenType, TokenValue } from "#core/project";
import { motionTokens } from "./build";
import { raw } from "./colours";

const groups: Readonly<Record<string, readonly (keyof typeof raw)[]>> = {
  Sea: ["tide", "lagoon", "sky", "kelp", "kelpDark"],
  Land: ["sand", "rope", "sun", "buoy", "buoyDark", "brick"],
  Neutral: ["ink", "slate", "mist", "foam"],
};
const words = (name: string): string =>
  name.replace(/([A-Z])/g, " $1").replace(/^./, (c) => c.toUpperCase());

/** The kit's tokens: colours in groups, text styles, shadows, sizes and motions. */
export const tokens = (): Readonly<Record<string, Token>> => {
  const list: Token[] = [];
  const add = (
    id: string,
    type: TokenType,
    name: string,
    value: TokenValue | { alias: string },
    group = "",
  ) => list.push({ id, type, name, group, order: orderAfter(list), value });
  for (const [group, names] of Object.entries(groups))
    for (const name of names) add(`colour-${name}`, "colour", words(name), raw[name], group);
  add("colour-primary", "colour", "Primary", { alias: "colour-kelp" }, "Meaning");
  add("colour-warning", "colour", "Warning", { alias: "colour-brick" }, "Meaning");
  add("gradient-horizon", "gradient", "Horizon", {
    kind: "linear",
    angle: 180,
    stops: [
      { at: 0, colour: raw.sky },
      { at: 1, colour: raw.sand },
    ],
  });
  add("style-title", "style", "Title", {
    font: "Fraunces",
    weight: "600",
    size: 28,
    lineHeight: 1.15,
  });
  add("style-heading", "style", "Heading", {
    font: "Figtree",
    weight: "700",
    size: 19,
    lineHeight: 1.25,
  });
  add("style-body", "style", "Body", { font: "Figtree", weight: "400", size: 15, lineHeight: 1.4 });
  add("style-button", "style", "Button", {
    font: "Figtree",
    weight: "700",
    size: 17,
    lineHeight: 1.2,
  });
  add("style-note", "style", "Note", {
    font: "Figtree",
    weight: "500",
    size: 13,
    lineHeight: 1.35,
  });
  add("style-number", "style", "Number", {
    font: "Barlow Condensed",
    weight: "700",
    size: 44,
    lineHeight: 1,
  });
  add("shadow-card", "shadow", "Card", [{ x: 0, y: 2, blur: 10, spread: 0, colour: "#1c2f3a14" }]);
  add("shadow-raised", "shadow", "Raised", [
    { x: 0, y: 1, blur: 2, spread: 0, colour: "#1c2f3a33" },
    { x: 0, y: 4, blur: 12, spread: -2, colour: "#1c2f3a33" },
  ]);
  add("shadow-float", "shadow", "Floating", [
    { x: 0, y: 10, blur: 30, spread: -6, colour: "#1c2f3a59" },
  ]);
  add("size-card", "number", "Card corner", 18, "Corners");
  add("size-control", "number", "Control corner", 12, "Corners");
  for (const { id, name, duration, easing } of motionTokens)
    add(id, "motion", name, { duration, easing });
  return Object.fromEntries(list.map((t) => [t.id, t]));
};
