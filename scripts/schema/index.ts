// Writes the published schemas anew: `npm run schema`, whenever what projects hold has changed.
import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { schemas, schemaText } from "./schemas.ts";
import { root } from "../serve.ts";

const folder = join(root, "docs/schema");
mkdirSync(folder, { recursive: true });
for (const [file, schema] of Object.entries(schemas()))
  writeFileSync(join(folder, file), schemaText(schema));
