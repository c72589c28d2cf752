import { join } from "node:path";
import { buildThreads } from "./run/threads.ts";
import { root } from "./serve.ts";

await buildThreads(join(process.env.NUBBLE_BUILD ?? join(root, "build"), "server"));
