/** What people read in rehearsals. */
export const allRehearsalsWords = {
  // AllRehearsals.tsx
  run: (all: number) => `${all} to run`,
  stepAfterMs: (step: number, at: number, why: string) =>
    `: step ${step + 1}, after ${Math.round(at)} ms: ${why}.`,
  rehearsals: "Rehearsals",
  failAllPass: (going: string, count: number, total: number, failed: number) =>
    `${going === "runs" ? `${count} of ${total} …` : ""}${going === "stopped" || going === "done" ? `${failed ? `${failed} of ${count} fail` : `All ${count} pass`}${going === "stopped" ? ", then stopped" : ""}.` : ""}`,
  stop: "Stop",
  runAll: (total: number) => `Run all ${total}`,
  fail: (failed: number, all: number) => `${failed} of ${all} fail`,
  ran: (run: number, all: number) => `${run} of ${all}`,
  pass: (all: number) => `all ${all} pass`,
};
