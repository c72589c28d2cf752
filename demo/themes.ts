import { orderAfter } from "#core/project";
import type { Condition, Theme, Token, TokenLook } from "#core/project";

const theme = (
  id: string,
  name: string,
  values: readonly string[],
  beside: readonly Theme[],
): Theme => {
  const made: { id: string; name: string; order: string }[] = [];
  for (const value of values) made.push({ id: value, name: value, order: orderAfter(made) });
  return {
    id,
    name,
    order: orderAfter(beside),
    pattern: beside.length,
    rest: null,
    values: Object.fromEntries(made.map((v) => [v.id, v])),
  };
};

/** The kit's themes: the wheelhouse by day and by night, and how much room things take. */
export const themes = (): Readonly<Record<string, Theme>> => {
  const time = theme("theme", "Theme", ["day", "night"], []);
  const density = theme("density", "Density", ["calm", "compact"], [time]);
  return { [time.id]: time, [density.id]: density };
};

/** Dark, dimmed, with warm accents: what is light by day is dark, and the other way round. */
const night: Readonly<Record<string, string>> = {
  "colour-ink": "#efe6d6",
  "colour-slate": "#aebbbd",
  "colour-mist": "#20313b",
  "colour-haze": "#16303c",
  "colour-foam": "#14222b",
  "colour-sand": "#0d181f",
  "colour-rope": "#46565e",
  "colour-kelp": "#58c496",
  "colour-kelpDark": "#7fd4af",
  "colour-tide": "#a9d2df",
  "colour-tideDark": "#c9e4ec",
  "colour-lagoon": "#7cc3c4",
  "colour-sky": "#2f5663",
  "colour-buoy": "#f0a06c",
  "colour-buoyDark": "#f4b78f",
  "colour-rust": "#f3b08c",
  "colour-brick": "#ee8f7f",
};

const compact: Readonly<Record<string, number>> = { "size-card": 12, "size-control": 6 };

const look = (id: string, when: Condition, value: TokenLook["value"]): Token["looks"] => ({
  [id]: { id, when, order: "a0", value },
});

/** What a token says in the kit's themes; nothing for most. */
export const themedLooks = (token: string): Pick<Token, "looks"> => {
  const dark = night[token];
  if (dark !== undefined) return { looks: look("night", { theme: ["night"] }, dark) };
  const small = compact[token];
  if (small !== undefined) return { looks: look("compact", { density: ["compact"] }, small) };
  return {};
};
