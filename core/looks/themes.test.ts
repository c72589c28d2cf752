import { describe, expect, it } from "vitest";
import {
  addTheme,
  addToken,
  clearTokenValue,
  removeTheme,
  removeThemeValue,
  setTokenValue,
} from "#core/edit";
import {
  Resolver,
  baseProject,
  inTheme,
  otherThemes,
  themeOf,
  themeText,
  tokenValue,
  valuesOf,
} from "#core/looks";
import type { Condition, Project, Theme, Token } from "#core/project";
import { Builder } from "../../tests/support/pieces";
import { fixedTheme } from "./themes";

/** A project with a theme of two values, a second theme, and a colour bound in a component. */
const quay = () => {
  const b = new Builder();
  const night = addTheme(b.project, "Theme", ["day", "night"]);
  b.do(night.change);
  const room = addTheme(b.project, "Density", ["calm", "compact"]);
  b.do(room.change);
  const foam = addToken(b.project, "colour", "Foam", "#ffffff");
  b.do(foam.change);
  const component = b.new("component", "Buoy");
  b.look({}, "root", { fill: { token: foam.id } });
  return { b, component, foam: foam.id, theme: night.id, density: room.id };
};

const themeIn = (project: Project, id: string): Theme => project.themes[id] as Theme;
const valueNamed = (project: Project, theme: string, name: string): string =>
  valuesOf(themeIn(project, theme)).find((v) => v.name === name)?.id ?? "";
const tokenIn = (project: Project, id: string): Token => project.tokens[id] as Token;
const fillOf = (project: Project, piece: string): unknown =>
  new Resolver().tree(project, piece, {})?.values.fill;

describe("a theme", () => {
  it("shows tokens as they are said for its value, and everything bound to them", () => {
    const { b, component, foam, theme } = quay();
    const night = valueNamed(b.project, theme, "night");
    b.do(setTokenValue(tokenIn(b.project, foam), "#14222b", { [theme]: [night] }));
    const dark = inTheme(b.project, { [theme]: night });
    expect(fillOf(b.project, component)).toBe("#ffffff");
    expect(fillOf(dark, component)).toBe("#14222b");
    expect(inTheme(b.project, { [theme]: night })).toBe(dark);
    expect(dark.pieces).toBe(b.project.pieces);
    expect(baseProject(dark)).toBe(b.project);
    expect(themeText(dark)).toBe("Theme night");
  });

  it("cascades: what names more themes is stronger, whatever came first", () => {
    const { b, foam, theme, density } = quay();
    const night = valueNamed(b.project, theme, "night");
    const compact = valueNamed(b.project, density, "compact");
    const say = (value: string, when: Condition) =>
      b.do(setTokenValue(tokenIn(b.project, foam), value, when));
    say("#000001", { [theme]: [night], [density]: [compact] });
    say("#000002", { [theme]: [night] });
    say("#000003", { [density]: [compact] });
    const shown = (given: Record<string, string>) =>
      tokenValue(inTheme(b.project, given).tokens, foam);
    expect(shown({})).toBe("#ffffff");
    expect(shown({ [theme]: night })).toBe("#000002");
    expect(shown({ [density]: compact })).toBe("#000003");
    expect(shown({ [theme]: night, [density]: compact })).toBe("#000001");
    b.do(clearTokenValue(tokenIn(b.project, foam), { [theme]: [night], [density]: [compact] }));
    // of two that name as many, the later look
    expect(shown({ [theme]: night, [density]: compact })).toBe("#000003");
  });

  it("goes on from the theme a project is in already", () => {
    const { b, theme, density } = quay();
    const night = valueNamed(b.project, theme, "night");
    const compact = valueNamed(b.project, density, "compact");
    const both = inTheme(inTheme(b.project, { [theme]: night }), { [density]: compact });
    expect(themeOf(both)).toEqual({ [theme]: night, [density]: compact });
  });

  it("can be fixed for a copy, with all that is in it, whatever theme is shown", () => {
    const { b, component, foam, theme } = quay();
    const night = valueNamed(b.project, theme, "night");
    b.do(setTokenValue(tokenIn(b.project, foam), "#14222b", { [theme]: [night] }));
    b.new("screen", "Pier");
    const copy = b.layer("instance");
    b.look({}, copy, { component, [`theme:${theme}`]: night });
    const nested = (project: Project) =>
      new Resolver().tree(project, b.piece.id, {})?.children.find((c) => c.layer.id === copy)
        ?.nested?.values.fill;
    expect(nested(b.project)).toBe("#14222b");
    expect(nested(inTheme(b.project, {}))).toBe("#14222b");
  });

  it("can be fixed in all variants but some, where that is taken back", () => {
    const base = { "theme:theme": "night", "theme:density": "calm" };
    const said: Record<string, string>[] = [base, { "theme:theme": "" }];
    expect(fixedTheme(said)).toEqual({ density: "calm" });
    expect(fixedTheme([...said, { "theme:density": "" }])).toBeNull();
  });

  it("lists every combination but the usual one, the simplest first", () => {
    const { b, theme, density } = quay();
    const night = valueNamed(b.project, theme, "night");
    const compact = valueNamed(b.project, density, "compact");
    expect(otherThemes(b.project)).toEqual([
      { [density]: compact },
      { [theme]: night },
      { [theme]: night, [density]: compact },
    ]);
  });

  it("that is deleted leaves what was usual, with its values and what is fixed to them", () => {
    const { b, component, foam, theme } = quay();
    const night = valueNamed(b.project, theme, "night");
    const day = valueNamed(b.project, theme, "day");
    b.do(setTokenValue(tokenIn(b.project, foam), "#14222b", { [theme]: [night] }));
    b.do(setTokenValue(tokenIn(b.project, foam), "#f0f0f0", { [theme]: [day] }));
    b.look({}, "root", { [`theme:${theme}`]: night });
    const change = removeTheme(b.project, themeIn(b.project, theme));
    b.do(change);
    expect(fillOf(inTheme(b.project, {}), component)).toBe("#f0f0f0");
    expect(tokenIn(b.project, foam).looks).toEqual({});
    expect(JSON.stringify(b.project.pieces)).not.toContain(`theme:${theme}`);
  });

  it("loses a value together with what was said for it alone", () => {
    const { b, foam, theme } = quay();
    const night = valueNamed(b.project, theme, "night");
    b.do(setTokenValue(tokenIn(b.project, foam), "#14222b", { [theme]: [night] }));
    const change = removeThemeValue(b.project, themeIn(b.project, theme), night);
    if (change) b.do(change);
    expect(tokenIn(b.project, foam).looks).toEqual({});
    const last = valueNamed(b.project, theme, "day");
    expect(removeThemeValue(b.project, themeIn(b.project, theme), last)).toBeNull();
  });
});
