import { z } from "zod";
import { propertySchema } from "../properties";
import { id } from "./scalars";
import type { LayerChanges } from "./types";
import { projectWords } from "./words";

/** What a look says about one layer: each value is looked at by the schema of its property. */
const changesOfLayer = z.record(z.string().max(80), z.unknown()).superRefine((changes, context) => {
  for (const [key, v] of Object.entries(changes)) {
    const schema = propertySchema(key);
    if (!schema) {
      context.addIssue({ code: "custom", path: [key], message: projectWords.thereNoProperty(key) });
      continue;
    }
    const result = schema.safeParse(v);
    if (!result.success)
      context.addIssue({
        code: "custom",
        path: [key],
        message: result.error.issues[0]?.message ?? projectWords.wrongValue,
      });
  }
});
// the registry's schemas have seen to each value
export const layerChanges = changesOfLayer as unknown as z.ZodType<LayerChanges>;
export const declarationsSchema = z.record(id, layerChanges);
