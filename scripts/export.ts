import { writeFileSync } from "node:fs";
import { parseArgs } from "node:util";
import {
  exportProject,
  listProjects,
  openDatabase,
  packsHere,
  ProjectLog,
} from "../server/index.ts";
import { command, withDatabase } from "./keep/database.ts";

/** The project that is called so, by its id or its name. */
const projectCalled = async (called: string): Promise<string> => {
  const all = await listProjects();
  const byId = all.find(({ id }) => id === called);
  const [first, second] = byId ? [byId] : all.filter(({ name }) => name === called);
  if (!first)
    throw new Error(
      `no project is called “${called}”. There are ${all.map(({ name }) => name).join(", ") || "none"}`,
    );
  if (second)
    throw new Error(`several projects are called “${called}”: give the id of one instead`);
  return first.id;
};

await command(async () => {
  const { positionals } = parseArgs({ allowPositionals: true });
  const [called, file] = positionals;
  if (!called || !file || positionals.length > 2)
    throw new Error("usage: ./nubble export PROJECT FILE");
  await withDatabase(async (url) => {
    const db = openDatabase(url);
    try {
      const exported = await exportProject(
        new ProjectLog(db),
        await projectCalled(called),
        packsHere,
      );
      if (!exported) throw new Error(`“${called}” is not there any more`);
      writeFileSync(file, exported.bytes);
      console.log(`${file}: ${exported.name}, ${exported.bytes.byteLength} bytes`);
    } finally {
      await db.close();
    }
  });
  return 0;
});
