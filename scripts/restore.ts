import { join } from "node:path";
import { parseArgs } from "node:util";
import { command, withDatabase } from "./keep/database.ts";
import { restore } from "./keep/restore.ts";
import { root } from "./serve.ts";

await command(async () => {
  const { positionals, values } = parseArgs({
    allowPositionals: true,
    options: { replace: { type: "boolean", default: false } },
  });
  const [file] = positionals;
  if (!file || positionals.length > 1) throw new Error("usage: ./nubble restore FILE [--replace]");
  const moment = new Date().toISOString().replaceAll(/[:.]/g, "-");
  const before = join(process.env.NUBBLE_DATA ?? join(root, ".data"), `before-${moment}.backup`);
  const { projects, changes, files, madeAt } = await withDatabase((url) =>
    restore(url, file, { replaces: values.replace, before }),
  );
  console.log(`Restored ${projects} projects, ${changes} changes, ${files} files as of ${madeAt}.`);
  if (values.replace) console.log(`What was there before is in ${before}.`);
  return 0;
});
