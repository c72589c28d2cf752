/** What people read in rehearsals. */
export const rehearsalsWords = {
  // AddStep.tsx
  wholePiece: "the whole piece",
  pointAt: (name: string) => `point at ${name}`,
  press: "press",
  release: "release",
  movePointerAway: "move the pointer away",
  tap: (name: string) => `tap ${name}`,
  pressTab: "press Tab",
  pressEnter: "press Enter",
  enterText: (name: string) => `enter text in ${name}`,
  wait200Ms: "wait 200 ms",
  waitUntilMotionSettles: "wait until motion settles",
  traitHasValue: "a trait has a value",
  textVisible: "a text is visible",
  visible: (name: string) => `${name} is visible`,
  addStep: "Add step",
  expect: "Expect",

  // StepWords.tsx
  wait: "wait",
  waitMilliseconds: "Wait in milliseconds",
  drag: (path: string) => `drag ${path}`,
  pixelsRight: "Pixels to the right",
  pxRight: "px right,",
  pixelsDown: "Pixels down",
  pxDown: "px down in",
  timeDragMilliseconds: "Time of the drag in milliseconds",
  expectOrShow: (kind: string, at: string, path: string) =>
    `${kind === "trait" ? "expect" : "set:"} ${at ? `${path}: ` : ""}`,
  enter: "enter",
  into: (path: string) => `in ${path}`,
  trait: "Trait",
  is: "is",
  value: "Value",
  expect2: "expect",
  text: "Text",
  visibility: "Visibility",
  visible2: "is visible",
  notVisible: "is not visible",
  expectBe: (key: string, path: string) => `expect the ${key} of ${path} to be`,
  expectedValue: "Expected value",
  tolerance: "Tolerance",

  // StepLine.tsx
  moveStepUp: (place: number) => `Move step ${place} up`,
  moveStepDown: (place: number) => `Move step ${place} down`,
  removeStep: (place: number) => `Remove step ${place}`,

  // Rehearsals.tsx
  running: "Running…",
  allPassed: "All passed",
  passed: "Passed",
  msFailing: (failing: number, keys: number, passed: string, now: number) =>
    `${failing ? `${failing} of ${keys} failed` : passed}, in ${Math.max(1, Math.round(now))} ms.`,
  stopped: "Stopped.",
  stepMs: (step: number, at: number, why: string) =>
    `Step ${step + 1} at ${Math.round(at)} ms: ${why}.`,
  noStepsYetRecord: "No steps yet. Record them in Try, or add them here.",
  runNowWithoutWaiting: "Run now, without waiting in real time",
  run: "Run",
  playTry: "Play in Try",
  rehearsalSequenceActionsResult:
    "A rehearsal is a sequence of actions and the result you expect: “press, move off, release: it stays off”. Record one in Try; it runs again after every edit.",
  rehearsalName: "Rehearsal name",
  doubleClickOrF2: "Double-click or F2 to rename",
  delete: (name: string) => `Delete ${name}`,
  newRehearsal: "New rehearsal",
  runAll: "Run all",

  // AddStep.tsx
  click: (name: string) => `click ${name}`,
  dragName: (name: string) => `drag ${name}`,
  theOf: (key: string, name: string) => `the ${key} of ${name}`,

  // Rehearsals.tsx
  failed: (failing: number, count: number) => `${failing} of ${count} failed`,
  allPassed2: (count: number) => `all ${count} passed`,
};
