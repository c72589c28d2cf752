import cluster from "node:cluster";
import { join } from "node:path";

/** How many processes serve; they share one port. */
const processes = Number(process.env.NUBBLE_PROCESSES ?? 1);

// what keeps the others going loads nothing of what they serve
if (processes > 1 && cluster.isPrimary) {
  const { keepWorkers } = await import("./workers");
  keepWorkers(processes);
} else {
  const { startServing } = await import("./serving");
  startServing(join(import.meta.dirname, "../client"));
}
