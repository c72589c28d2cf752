import { readFileSync } from "node:fs";
import { Ajv2020 } from "ajv/dist/2020";
import { describe, expect, it } from "vitest";
import { projectEntries } from "#core/formats/project";
import { apply, set } from "#core/project";
import { kelpwayKit } from "../../demo/index";
import { schemas, schemaText } from "./schemas";

const published = (file: string): string =>
  readFileSync(new URL(`../../docs/schema/${file}`, import.meta.url), "utf8");
const validating = (file: string) =>
  // names of formats are said, not looked at
  new Ajv2020({ strict: false, validateFormats: false }).compile(
    JSON.parse(published(file)) as object,
  );

describe("the published schemas", () => {
  it("are what Nubble reads today (otherwise: npm run schema)", () => {
    for (const [file, schema] of Object.entries(schemas()))
      expect(published(file)).toBe(schemaText(schema));
  });

  it("agree with the demo project, by another validator", () => {
    const validate = validating("project.schema.json");
    expect([validate(kelpwayKit()), validate.errors]).toEqual([true, null]);
    const wrong = ["pieces", "alert-switch", "layers", "knob", "kind"];
    expect(validate(apply(kelpwayKit(), [set(wrong, "hologram")]).doc)).toBe(false);
  });

  it("agree with what project files say of themselves", () => {
    const project = kelpwayKit();
    const file = { project, moments: [], assets: new Map(), editions: new Map() };
    const { "nubble.json": bytes } = projectEntries(file, "2026-12-02T08:00:00.000Z");
    const manifest = JSON.parse(new TextDecoder().decode(bytes)) as object;
    const validate = validating("nubble.schema.json");
    expect([validate(manifest), validate.errors]).toEqual([true, null]);
    expect(validate({ ...manifest, nubble: "other" })).toBe(false);
  });
});
