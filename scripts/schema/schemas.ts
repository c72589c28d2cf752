import { z } from "zod";
import { manifestSchema } from "../../core/formats/project/index.ts";
import { FORMAT, projectSchema } from "../../core/project/index.ts";

const schemaOf = (schema: z.ZodType, title: string): object => ({
  title,
  ...z.toJSONSchema(schema, { io: "input", unrepresentable: "any", reused: "ref" }),
});

/** What project files hold as JSON Schema (draft 2020-12), by the files under `docs/schema`. */
export const schemas = (): Readonly<Record<string, object>> => ({
  "project.schema.json": schemaOf(projectSchema, `A project of Nubble, format ${FORMAT}`),
  "nubble.schema.json": schemaOf(manifestSchema, "What a project file of Nubble says of itself"),
});

/** A schema as it is published. */
export const schemaText = (schema: object): string => `${JSON.stringify(schema, null, 2)}\n`;
