/** What people read in rehearsals. */
export const allRehearsalsWords = {
  // AllRehearsals.tsx
  notRun: (all: number) => `${all} not run`,
  stepMs: (step: number, at: number, why: string) =>
    `: step ${step + 1} at ${Math.round(at)} ms: ${why}.`,
  rehearsals: "Rehearsals",
  failAllPass: (going: string, count: number, total: number, failed: number) =>
    `${going === "runs" ? `${count} of ${total}…` : ""}${going === "stopped" || going === "done" ? `${failed ? `${failed} of ${count} failed` : `All ${count} passed`}${going === "stopped" ? ", stopped early" : ""}.` : ""}`,
  stop: "Stop",
  runAll: (total: number) => `Run all ${total}`,
  failed: (failed: number, all: number) => `${failed} of ${all} failed`,
  ran: (run: number, all: number) => `${run} of ${all}`,
  allPassed: (all: number) => `All ${all} passed`,
};
