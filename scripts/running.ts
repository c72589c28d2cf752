import { join } from "node:path";
import { readRunState } from "./run/state.ts";
import { answers, root } from "./serve.ts";

/** What is said when another start holds the lock. */
const state = readRunState(join(process.env.NUBBLE_DATA ?? join(root, ".data"), "running.json"));
if (state && (await answers(state.address)))
  console.log(
    `Nubble is already running at ${state.address}. To stop it, press Ctrl-C in the terminal where it was started.`,
  );
else
  console.log(
    "Another ./nubble start is just starting or stopping here. Wait a moment, then try again.",
  );
