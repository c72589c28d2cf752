import { orderAfter } from "#core/project";
import type { SpecifiedTokenValue, Token, TokenType } from "#core/project";
import type { Shadow } from "#core/properties";
import { motionTokens } from "./build";
import { raw, sea } from "./colours";
import { themedLooks } from "./themes";

const groups: Readonly<Record<string, readonly (keyof typeof raw)[]>> = {
  Sea: ["tide", "tideDark", "lagoon", "sky", "kelp", "kelpDark"],
  Land: ["sand", "rope", "sun", "buoy", "buoyDark", "rust", "brick"],
  Neutral: ["ink", "slate", "mist", "haze", "foam", "chalk"],
};
const words = (name: string): string =>
  name.replace(/([A-Z])/g, " $1").replace(/^./, (c) => c.toUpperCase());

/** A token without its place, which follows from where it stands. */
interface Draft {
  readonly id: string;
  readonly type: TokenType;
  readonly name: string;
  readonly value: SpecifiedTokenValue | { readonly alias: string };
  readonly group?: string;
}

const colours = (): Draft[] => [
  ...Object.entries(groups).flatMap(([group, names]) =>
    names.map((name): Draft => ({
      id: `colour-${name}`,
      type: "colour",
      name: words(name),
      value: raw[name],
      group,
    })),
  ),
  meaning("primary", "Primary", "kelp"),
  meaning("warning", "Warning", "brick"),
];

const meaning = (id: string, name: string, colour: keyof typeof raw): Draft => ({
  id: `colour-${id}`,
  type: "colour",
  name,
  value: { alias: `colour-${colour}` },
  group: "Meaning",
});

const horizon: Draft = {
  id: "gradient-horizon",
  type: "gradient",
  name: "Horizon",
  value: {
    kind: "linear",
    angle: 180,
    stops: [
      { at: 0, colour: sea.sky },
      { at: 1, colour: sea.sand },
    ],
  },
};
const morning: Draft = {
  id: "gradient-morning",
  type: "gradient",
  name: "Morning",
  value: {
    kind: "linear",
    angle: 180,
    stops: [
      { at: 0, colour: sea.haze },
      { at: 1, colour: sea.sand },
    ],
  },
};

const style = (
  id: string,
  name: string,
  font: string,
  weight: string,
  size: number,
  lineHeight: number,
): Draft => ({ id: `style-${id}`, type: "style", name, value: { font, weight, size, lineHeight } });

const styles: readonly Draft[] = [
  style("title", "Title", "Fraunces", "600", 28, 1.15),
  style("heading", "Heading", "Figtree", "700", 19, 1.25),
  style("body", "Body", "Figtree", "400", 15, 1.4),
  style("button", "Button", "Figtree", "700", 17, 1.2),
  style("note", "Note", "Figtree", "500", 13, 1.35),
  style("number", "Number", "Barlow Condensed", "700", 44, 1),
];

const shadow = (id: string, name: string, value: readonly Shadow[]): Draft => ({
  id: `shadow-${id}`,
  type: "shadow",
  name,
  value,
});

const shadows: readonly Draft[] = [
  shadow("card", "Card", [{ x: 0, y: 2, blur: 10, spread: 0, colour: "#1c2f3a14" }]),
  shadow("raised", "Raised", [
    { x: 0, y: 1, blur: 2, spread: 0, colour: "#1c2f3a33" },
    { x: 0, y: 4, blur: 12, spread: -2, colour: "#1c2f3a33" },
  ]),
  shadow("float", "Floating", [{ x: 0, y: 10, blur: 30, spread: -6, colour: "#1c2f3a59" }]),
];

const corner = (id: string, name: string, value: number): Draft => ({
  id: `size-${id}`,
  type: "length",
  name,
  value,
  group: "Corners",
});

/** Times, curves and distances that rules say one by one. */
const pace = (
  id: string,
  type: "duration" | "curve" | "length" | "number",
  name: string,
  value: Draft["value"],
): Draft => ({ id: `pace-${id}`, type, name, value, group: "Pace" });

const paces: readonly Draft[] = [
  pace("beat", "duration", "Beat", 250),
  pace("glide", "curve", "Glide", "ease-in-out"),
  pace("throw", "length", "Throw", 200),
  pace("share", "number", "Share of a throw", 0.4),
];

/** The kit's tokens: colours in groups, text styles, shadows, sizes, paces and motions. */
export const tokens = (): Readonly<Record<string, Token>> => {
  const drafts: readonly Draft[] = [
    ...colours(),
    horizon,
    morning,
    ...styles,
    ...shadows,
    corner("card", "Card corner", 18),
    corner("control", "Control corner", 10),
    ...paces,
    ...motionTokens.map(({ id, name, duration, easing }): Draft => ({
      id,
      type: "motion",
      name,
      value: { duration, easing },
    })),
  ];
  const list: Token[] = [];
  for (const { id, type, name, value, group = "" } of drafts)
    list.push({ id, type, name, group, order: orderAfter(list), value, ...themedLooks(id) });
  return Object.fromEntries(list.map((t) => [t.id, t]));
};
