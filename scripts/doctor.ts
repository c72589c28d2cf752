import { parseArgs } from "node:util";
import { examine, openDatabase } from "../server/index.ts";
import { command, withDatabase } from "./keep/database.ts";

await command(async () => {
  const { values } = parseArgs({ options: { mend: { type: "boolean", default: false } } });
  return withDatabase(async (url) => {
    const db = openDatabase(url);
    try {
      const found = await examine(db, (done, of) => {
        if (done % 100 === 0 || done === of) console.log(`  ${done} of ${of} projects`);
      });
      for (const { project, text, mend } of found) {
        const does = values.mend && mend !== null;
        if (does) await mend();
        console.log(`${project ?? "all"}: ${text}${does ? " – mended" : ""}`);
      }
      const left = found.filter(({ mend }) => mend === null || !values.mend);
      if (left.length === 0) console.log("Everything is as it was written.");
      else if (left.some(({ mend }) => mend !== null))
        console.log("Add --mend to mend what can be mended.");
      return left.length === 0 ? 0 : 1;
    } finally {
      await db.close();
    }
  });
});
