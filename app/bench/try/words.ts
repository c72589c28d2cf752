/** What people read in try. */
export const tryWords = {
  // run.ts
  showing: "Showing …",
  step: (step: number, why: string) => `Step ${step + 1}: ${why}`,

  // Log.tsx
  whatHappened: "What happened",
  usePeopleWillWhat: "Use it as people will: what fires is told here.",

  // TryTools.tsx
  full: "full",
  half: "half",
  quarter: "quarter",
  tenth: "tenth",
  try: (elsewhere: null | string) => `Try${elsewhere !== null ? `: ${elsewhere}` : ""}`,
  ground: "Ground",
  whatPieceLiesOn: "What the piece lies on",
  sideBySide: "Side by side",
  tryCopiesSideBy:
    "Try copies side by side that begin in the chosen cards, or in each value of the first trait",
  stop: "Stop",
  record: "Record",
  stopKeepWhatWas: "Stop and keep what was done as a rehearsal",
  recordWhatYouDo: "Record what you do as a rehearsal",
  restart: "Restart",
  restartR: "Restart (R)",
  tried: "Tried with",
  mouse: "Mouse",
  tabIntoPieceTry: "Tab into the piece to try it by keyboard",
  touch: "Touch",
  pointerFingerNothingHovered: "The pointer is a finger: nothing is hovered",
  speed: "Speed",
  howFastTimeGoes: "How fast time goes",
  goOn: "Go on",
  pause: "Pause",
  stepInTryTools: "Step",
  sixtiethSecondFurtherWhile: "A sixtieth of a second further, while paused",
  lessMotion: "Less motion",
  peopleWhoseSystemAsks: "As for people whose system asks for less motion: changes only fade",
  formsAreSent: "Forms that are sent",
  succeed: "succeed",
  fail: "fail",

  // TryTraits.tsx
  tryName: (name: string) => `${name} in Try`,

  // Try.tsx
  fingerNeverSees: (words: string) => `A finger never sees ${words}.`,
  recording: "recording",
  paused: "paused",
  tryInTry: "Try",

  // TryTools.tsx
  on: (g: string) => `on ${g}`,
  runningPiece: "The running piece",
  time: "Time",
};
