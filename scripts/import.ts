import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { decodeHere, importProject, openDatabase, packsHere, ProjectLog } from "../server/index.ts";
import { prepareDatabase } from "./database.ts";
import { command, withDatabase } from "./keep/database.ts";

await command(async () => {
  const { positionals } = parseArgs({ allowPositionals: true });
  const [file] = positionals;
  if (!file || positionals.length > 1) throw new Error("usage: ./nubble import FILE");
  const bytes = readFileSync(file);
  await withDatabase(async (url) => {
    await prepareDatabase(url);
    const db = openDatabase(url);
    try {
      const result = await importProject(new ProjectLog(db), bytes, packsHere, decodeHere);
      if (result.kind === "refused") throw new Error(`${file} was not imported: ${result.reason}`);
      console.log(`“${result.name}” is imported: ${result.summary} (/projects/${result.id})`);
      for (const note of result.notes) console.log(`  ${note}`);
    } finally {
      await db.close();
    }
  });
  return 0;
});
