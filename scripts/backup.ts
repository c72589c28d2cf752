import { parseArgs } from "node:util";
import { backUp } from "./keep/backup.ts";
import { command, withDatabase } from "./keep/database.ts";

await command(async () => {
  const { positionals } = parseArgs({ allowPositionals: true });
  const [file] = positionals;
  if (!file || positionals.length > 1) throw new Error("usage: ./nubble backup FILE");
  const { projects, changes, files } = await withDatabase((url) => backUp(url, file));
  console.log(`${file}: ${projects} projects, ${changes} changes, ${files} files`);
  return 0;
});
