import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { planTokens, takeTokens } from "#core/edit";
import { emptyProject } from "#core/edit";
import { readTokens, writeTokens } from "#core/formats/tokens";
import type { ReadToken, TokenFile } from "#core/formats/tokens";
import { accept } from "#core/project";
import type { Project } from "#core/project";
import { kelpwayKit } from "../../../demo/index";

const name = fc
  .string({ unit: fc.constantFrom(..."abcdefgh 01-_/\\"), minLength: 1, maxLength: 8 })
  .filter((s) => s.trim() === s);
const share = fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000);
const hex = fc.integer({ min: 1, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, "0")}`);
const space = fc.constantFrom(
  "srgb",
  "srgb-linear",
  "display-p3",
  "oklab",
  "oklch",
  "xyz-d65",
  "lab",
);

const colour = fc.oneof(
  hex,
  fc.record({
    colorSpace: space,
    components: fc.tuple(share, share, fc.oneof(share, fc.constant("none"))),
    alpha: fc.constantFrom(1, 0.5, 0.25),
  }),
);
const dimension = fc.oneof(
  fc.record({ value: fc.integer({ min: -50, max: 400 }), unit: fc.constantFrom("px", "rem") }),
  fc.integer({ min: 0, max: 90 }).map((n) => `${n}px`),
);
const duration = fc.oneof(
  fc
    .record({ value: fc.integer({ min: 0, max: 900 }), unit: fc.constantFrom("ms", "s") })
    .filter((d) => d.unit === "ms" || d.value <= 600),
  fc.integer({ min: 0, max: 2000 }).map((n) => `${n}ms`),
);
const bezier = fc.tuple(share, share, share, share);
const family = fc.oneof(
  fc.constantFrom("Figtree", "Bitter"),
  fc.constant(["Fraunces", "Georgia", "serif"]),
);
const weight = fc.constantFrom<string | number>("bold", "normal", 350, 600, "extra-light");
const stroke = fc.constantFrom<unknown>("solid", "double", {
  dashArray: [{ value: 2, unit: "px" }],
  lineCap: "round",
});

interface Drawn {
  readonly type: string;
  readonly value: unknown;
}

/** Values of every type of the format; some parts of composites are aliases of the first tokens. */
const drawn = (aliasOf: (type: string) => fc.Arbitrary<unknown>): fc.Arbitrary<Drawn> => {
  const or = (type: string, value: fc.Arbitrary<unknown>) => fc.oneof(value, aliasOf(type));
  const shadow = fc.record({
    color: or("color", colour),
    offsetX: or("dimension", dimension),
    offsetY: dimension,
    blur: dimension.filter((d) => typeof d === "string" || d.value >= 0),
    spread: dimension,
  });
  const of = (type: string, value: fc.Arbitrary<unknown>): fc.Arbitrary<Drawn> =>
    value.map((v) => ({ type, value: v }));
  const stop = fc.record({ color: or("color", colour), position: share });
  return fc.oneof(
    of("color", or("color", colour)),
    of("dimension", or("dimension", dimension)),
    of("fontFamily", family),
    of("fontWeight", weight),
    of("duration", or("duration", duration)),
    of("cubicBezier", bezier),
    of("number", fc.oneof(share, fc.integer({ min: -99, max: 99 }))),
    of("strokeStyle", stroke),
    of(
      "border",
      fc.record({ color: or("color", colour), width: fc.constant("2px"), style: stroke }),
    ),
    of(
      "transition",
      fc.record({ duration: or("duration", duration), delay: duration, timingFunction: bezier }),
    ),
    of("shadow", fc.oneof(shadow, fc.array(shadow, { minLength: 1, maxLength: 3 }))),
    of("gradient", fc.array(stop, { minLength: 2, maxLength: 4 })),
    of(
      "typography",
      fc.record({
        fontFamily: family,
        fontSize: fc.constant({ value: 1.25, unit: "rem" }),
        fontWeight: weight,
        letterSpacing: fc.constant("0.5px"),
        lineHeight: fc.constantFrom<unknown>(1.4, 2, "30px"),
      }),
    ),
    of(
      "asset",
      fc.jsonValue({ maxDepth: 2 }).filter((v) => typeof v !== "string"),
    ),
  );
};

const firsts: Record<string, string> = {
  color: "{first.tide}",
  dimension: "{first.step}",
  duration: "{first.moment}",
};
const first = {
  tide: { $type: "color", $value: "#17495c" },
  step: { $type: "dimension", $value: { value: 8, unit: "px" } },
  moment: { $type: "duration", $value: { value: 180, unit: "ms" } },
};

const described = fc.record(
  {
    $description: fc.constantFrom("Deep water", "For the pier"),
    $deprecated: fc.constantFrom<boolean | string>(true, "Use tide"),
    $extensions: fc.constant({ "org.pier": { depth: [1, 2] } }),
  },
  { requiredKeys: [] },
);

const tokenNode = fc
  .tuple(
    drawn((type) => fc.constant(firsts[type] ?? "{first.tide}")),
    described,
  )
  .map(([{ type, value }, says]) => ({ $type: type, $value: value, ...says }));
const groupNode = fc
  .tuple(described, fc.dictionary(name, tokenNode, { maxKeys: 5 }))
  .map(([says, inner]) => ({ ...says, ...inner }));
const file = fc
  .dictionary(name, fc.oneof(tokenNode, groupNode), { maxKeys: 6 })
  .map((rest) => ({ first, ...rest }));

/** What counts of a token, whichever way it is written. */
const essence = (tokens: readonly ReadToken[]) =>
  tokens.map(({ at, type, value, written, about, deprecated, extensions, themed }) => ({
    at,
    type,
    value,
    written: written === undefined ? undefined : (JSON.parse(written) as unknown),
    about,
    deprecated,
    extensions: extensions === undefined ? undefined : (JSON.parse(extensions) as unknown),
    themed,
  }));

const take = (project: Project, files: readonly TokenFile[]): Project => {
  const plan = planTokens(project, readTokens(files));
  const result = accept(project, takeTokens(project, plan, false));
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

describe("token files", () => {
  it("that were read say the same tokens when they are written", () => {
    fc.assert(
      fc.property(file, (json) => {
        const read = readTokens([{ name: "a.json", text: JSON.stringify(json) }]);
        expect(read.problems).toEqual([]);
        const project = take(emptyProject("Pier"), [
          { name: "a.json", text: JSON.stringify(json) },
        ]);
        const again = readTokens(writeTokens(project));
        const byPath = (a: { at: string }, b: { at: string }) => (a.at < b.at ? -1 : 1);
        expect([...essence(again.tokens)].sort(byPath)).toEqual(
          [...essence(read.tokens)].sort(byPath),
        );
        expect(again.problems).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });

  it("of a project change nothing in it when they are read again", () => {
    for (const project of [kelpwayKit()]) {
      const plan = planTokens(project, readTokens(writeTokens(project)));
      expect(plan.rows.filter((row) => row.state !== "same")).toEqual([]);
      expect(takeTokens(project, plan, true).ops).toEqual([]);
    }
  });
});
