/** What people read in rehearsals. */
export const rehearsalsWords = {
  // AddStep.tsx
  wholePiece: "the whole piece",
  pointAt: (name: string) => `point at ${name}`,
  press: "press",
  letGo: "let go",
  movePointerOff: "move the pointer off",
  tapFinger: (name: string) => `tap ${name} with a finger`,
  goOnTab: "go on with Tab",
  pressEnter: "press Enter",
  wait200Ms: "wait 200 ms",
  waitUntilNothingMoves: "wait until nothing moves",
  traitHasValue: "a trait has a value",
  textCanBeRead: "a text can be read",
  there: (name: string) => `${name} is there`,
  addStep: "Add a step",
  expect: "Expect that",

  // StepWords.tsx
  wait: "wait",
  waitMilliseconds: "Wait in milliseconds",
  drag: (path: string) => `drag ${path}`,
  pixelsRight: "Pixels to the right",
  pxAcross: "px across,",
  pixelsDown: "Pixels down",
  pxDown: "px down in",
  timeDragMilliseconds: "Time of the drag in milliseconds",
  expectOrShow: (kind: string, at: string, path: string) =>
    `${kind === "trait" ? "expect that" : "switch by hand:"} ${at ? `${path}: ` : ""}`,
  trait: "Trait",
  is: "is",
  value: "Value",
  expectInStepWords: "expect that",
  text: "Text",
  whetherCanBeRead: "Whether it can be read",
  canBeRead: "can be read",
  cannotBeRead: "cannot be read",
  expectKey: (key: string, path: string) => `expect that the ${key} of ${path} is`,
  expectedValue: "Expected value",
  giveOrTake: "Give or take",

  // StepLine.tsx
  moveStepUp: (place: number) => `Move step ${place} up`,
  moveStepDown: (place: number) => `Move step ${place} down`,
  removeStep: (place: number) => `Remove step ${place}`,

  // Rehearsals.tsx
  running: "Running …",
  allPassed: "All passed",
  passed: "Passed",
  msFailing: (failing: number, keys: number, passed: string, now: number) =>
    `${failing ? `${failing} of ${keys} failed` : passed}, in ${Math.max(1, Math.round(now))} ms.`,
  stopped: "Stopped.",
  stepAfterMs: (step: number, at: number, why: string) =>
    `Step ${step + 1}, after ${Math.round(at)} ms: ${why}.`,
  noStepsYetRecord: "No steps yet. Record them in Try, or add them here.",
  runAtOnceOn: "Run it at once, on the virtual clock",
  run: "Run",
  showMeTry: "Show me in Try",
  rehearsalWhatSomeoneDoes:
    "A rehearsal is what someone does with the piece and what must come of it: “press, move off, let go: it stays off”. Record one in Try; it is run again after every edit.",
  nameRehearsal: "Name of the rehearsal",
  doubleClickOrF2: "Double-click or F2 to rename",
  remove: (name: string) => `Remove ${name}`,
  newRehearsal: "New rehearsal",
  runAll: "Run all",

  // AddStep.tsx
  click: (name: string) => `click ${name}`,
  dragName: (name: string) => `drag ${name}`,
  theOf: (key: string, name: string) => `the ${key} of ${name}`,

  // Rehearsals.tsx
  fail: (failing: number, count: number) => `${failing} of ${count} fail`,
  allPass: (count: number) => `all ${count} pass`,
};
