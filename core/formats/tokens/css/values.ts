import { plainText } from "../../../basics";
import { inTheme, tokenValueOf } from "../../../looks";
import { cssEasing } from "../../../motion";
import type {
  BorderValue,
  Project,
  StyleValue,
  Token,
  TokenType,
  TokenValues,
} from "../../../project";
import { gradientText } from "../../../properties";
import type { Shadow } from "../../../properties";
import { pathsOf } from "../names";

/** What a token is called in a style sheet, without what marks it as a name there. */
const slug = (path: readonly string[]): string =>
  path
    .filter((name) => name !== "$root")
    .join("-")
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, "-")
    .replaceAll(/^-+|-+$/g, "") || "token";

/** The name of each token in a style sheet; equal ones get a number. */
export const cssNames = (tokens: Project["tokens"]): ReadonlyMap<string, string> => {
  const taken = new Set<string>();
  const names = new Map<string, string>();
  for (const [id, path] of pathsOf(tokens)) {
    const wanted = slug(path);
    let free = wanted;
    for (let n = 2; taken.has(free); n++) free = `${wanted}-${n}`;
    taken.add(free);
    names.set(id, free);
  }
  return names;
};

const px = (n: number): string => (n === 0 ? "0" : `${n}px`);
const colourText = (colour: string): string => (colour === "none" ? "transparent" : colour);
const quoted = (family: string): string => `"${family.replaceAll(/["\\]/g, "")}"`;

const shadowText = ({ x, y, blur, spread, colour, inner }: Shadow): string =>
  `${inner ? "inset " : ""}${px(x)} ${px(y)} ${px(blur)} ${px(spread)} ${colourText(colour)}`;

/** A text style as the shorthand `font` (CSS Fonts 4 §2.7), which says all but the spacing. */
const fontText = ({
  font = "sans-serif",
  weight = "400",
  size = 16,
  lineHeight = 1.3,
}: StyleValue): string =>
  `${plainText(weight)} ${plainText(size)}px/${plainText(lineHeight)} ${quoted(plainText(font))}`;

const borderText = ({ width, style, colour }: BorderValue): string =>
  `${px(width)} ${style} ${colourText(colour)}`;

/** How each type of token is written. */
const writers: { readonly [T in TokenType]: (value: TokenValues[T]) => string | null } = {
  colour: colourText,
  gradient: gradientText,
  length: px,
  number: String,
  style: fontText,
  family: quoted,
  weight: String,
  shadow: (list) => list.map(shadowText).join(", ") || "none",
  border: borderText,
  stroke: String,
  duration: (ms) => `${ms}ms`,
  curve: (easing) => cssEasing(easing).css,
  motion: ({ duration, easing, delay = 0 }) =>
    `${duration}ms ${cssEasing(easing).css}${delay > 0 ? ` ${delay}ms` : ""}`,
  other: () => null,
};

const written = <T extends TokenType>(project: Project, type: T, id: string): string | null => {
  const value = tokenValueOf(project.tokens, type, id);
  return value === undefined ? null : writers[type](value);
};

/** What a token comes to in CSS; null for what CSS has no value for. */
const cssValue = (project: Project, { id, type }: Token): string | null =>
  written(project, type, id);

/** A name with what it says. */
export interface Custom {
  readonly name: string;
  readonly value: string;
  readonly token: Token;
}

/** All tokens as CSS has them in a theme; those that CSS has no value for are left out. */
export const customsIn = (project: Project, theme: Readonly<Record<string, string>>): Custom[] => {
  const themed = inTheme(project, theme);
  return [...cssNames(project.tokens)].flatMap(([id, name]) => {
    const token = themed.tokens[id];
    const value = token ? cssValue(themed, token) : null;
    return token && value !== null ? [{ name, value, token }] : [];
  });
};
