import { describe, expect, it } from "vitest";
import { changedConditions, changedInThemes, planTokens, takeTokens } from "#core/edit";
import { readTokens } from "#core/formats/tokens";
import type { TokenFile } from "#core/formats/tokens";
import { accept } from "#core/project";
import type { Project, Token } from "#core/project";
import { kelpwayKit } from "../../../demo/index";

const kit = kelpwayKit();
const fileOf = (name: string, buoy: string, value?: string): TokenFile => ({
  name,
  text: JSON.stringify({ Land: { $type: "color", Buoy: { $value: buoy } } }),
  theme: value === undefined ? undefined : { name: "Theme", value },
});
const taken = (project: Project, files: readonly TokenFile[]): Project => {
  const accepted = accept(
    project,
    takeTokens(project, planTokens(project, readTokens(files)), false),
  );
  if (!accepted.ok) throw new Error(accepted.error);
  return accepted.project;
};
const buoyIn = (project: Project): Token | undefined =>
  Object.values(project.tokens).find((t) => t.name === "Buoy");
const looksOf = (token: Token | undefined) =>
  Object.values(token?.looks ?? {}).map((look) => [look.when, look.value]);

describe("files of one value of a theme alone", () => {
  const usual = buoyIn(kit)?.value;

  it("change what a token is there, and nothing elsewhere", () => {
    const buoy = buoyIn(taken(kit, [fileOf("night.json", "#abcdef", "night")]));
    expect(buoy?.value).toBe(usual);
    expect(looksOf(buoy)).toEqual([[{ theme: ["night"] }, "#abcdef"]]);
  });

  it("leave what it is for, and whether it may be used", () => {
    const buoy = buoyIn(kit);
    const said = { about: "Warm accents", deprecated: "Use Rust" };
    const tokens = buoy ? { ...kit.tokens, [buoy.id]: { ...buoy, ...said } } : {};
    const after = taken({ ...kit, tokens }, [fileOf("night.json", "#abcdef", "night")]);
    expect(buoyIn(after)).toMatchObject(said);
  });

  it("are told as changes of that value, and of the pieces that look otherwise there", () => {
    const files = [fileOf("night.json", "#abcdef", "night")];
    const [row] = planTokens(kit, readTokens(files)).rows.filter((r) => r.state === "changed");
    expect(row && changedConditions(row)).toEqual([{ theme: ["night"] }]);
    const changed = changedInThemes(kit, taken(kit, files));
    expect(changed.map((c) => c.piece)).toContain("pier-pin");
    for (const { theme } of changed) expect(theme).toEqual({ theme: "night" });
    // what nobody sees there changes nothing
    const bell = changed.find((c) => c.piece === "route-bell");
    expect(bell?.variants.map((v) => v.rings)).toEqual(["rings-yes", "rings-yes"]);
  });

  it("say what a token is by itself where their value is the usual one", () => {
    const before = looksOf(buoyIn(kit));
    const buoy = buoyIn(taken(kit, [fileOf("day.json", "#abcdef", "day")]));
    expect(buoy?.value).toBe("#abcdef");
    expect(looksOf(buoy)).toEqual(before);
  });

  it("one file for each value of a theme say all of it", () => {
    const buoy = buoyIn(
      taken(kit, [fileOf("day.json", "#111111", "day"), fileOf("night.json", "#222222", "night")]),
    );
    expect(buoy?.value).toBe("#111111");
    expect(looksOf(buoy)).toEqual([[{ theme: ["night"] }, "#222222"]]);
  });

  it("make new tokens, which are the same everywhere until another file says otherwise", () => {
    const bare = { ...kit, tokens: {} };
    const buoy = buoyIn(taken(bare, [fileOf("night.json", "#abcdef", "night")]));
    expect([buoy?.value, looksOf(buoy)]).toEqual(["#abcdef", []]);
  });
});
