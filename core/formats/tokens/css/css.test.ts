import { describe, expect, it } from "vitest";
import { addTheme, addToken, emptyProject, setTokenValue } from "#core/edit";
import { cssOf, scssOf } from "#core/formats/tokens";
import { valuesOf } from "#core/looks";
import { accept } from "#core/project";
import type { Change, Project, Theme, Token } from "#core/project";
import { kelpwayKit } from "../../../../demo/index";

const pier = (): Project => {
  let project = emptyProject("Pier");
  const run = (change: Change): void => {
    const result = accept(project, change);
    if (!result.ok) throw new Error(result.error);
    project = result.project;
  };
  const foam = addToken(project, "colour", "Foam", "#ffffff", "Sea");
  run(foam.change);
  run(addToken(project, "colour", "Paper", { alias: foam.id }).change);
  run(addToken(project, "length", "Wide gap", 12).change);
  run(addToken(project, "curve", "Out", "ease-out").change);
  run(addToken(project, "border", "Edge", { colour: "none", width: 1, style: "solid" }).change);
  const made = addTheme(project, "Theme", ["day", "night"]);
  run(made.change);
  const night = valuesOf(project.themes[made.id] as Theme)[1]?.id ?? "";
  run(setTokenValue(project.tokens[foam.id] as Token, "#14222b", { [made.id]: [night] }));
  return project;
};

describe("tokens in a style sheet", () => {
  it("are custom properties, aliases by name, and what is otherwise in a theme under its attribute", () => {
    expect(cssOf(pier())).toBe(`:root {
  --sea-foam: #ffffff;
  --paper: var(--sea-foam);
  --wide-gap: 12px;
  --out: ease-out;
  --edge: 1px solid transparent;
}

[data-theme="night"] {
  --sea-foam: #14222b;
}
`);
  });

  it("are Sass variables, and themes a map", () => {
    expect(scssOf(pier())).toBe(`$sea-foam: #ffffff;
$paper: $sea-foam;
$wide-gap: 12px;
$out: ease-out;
$edge: 1px solid transparent;

$themes: (
  "night": (
    "sea-foam": (#14222b),
    "paper": (#14222b),
  ),
);
`);
  });

  it("of the kit have one line each, and none that ends early", () => {
    const kit = kelpwayKit();
    const lines = cssOf(kit)
      .split("\n")
      .filter((line) => line.startsWith("  --"));
    for (const line of lines) expect(line).toMatch(/^ {2}--[\p{L}\p{N}-]+: [^;{}]+;$/u);
    const root = cssOf(kit).split("}")[0] ?? "";
    expect(root.match(/--.*: /g)).toHaveLength(Object.keys(kit.tokens).length);
  });
});
