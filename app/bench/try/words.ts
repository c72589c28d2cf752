/** What people read in try. */
export const tryWords = {
  // run.ts
  playing: "Playing…",
  step: (step: number, why: string) => `Step ${step + 1}: ${why}`,

  // Log.tsx
  eventLog: "Event log",
  clickHoverTypeEach: "Click, hover or type. Each rule that runs is listed here.",

  // TryTools.tsx
  full: "100 %",
  half: "50 %",
  quarter: "25 %",
  tenth: "10 %",
  try: (elsewhere: null | string) => `Try${elsewhere !== null ? `: ${elsewhere}` : ""}`,
  background: "Background",
  backgroundBehindPiece: "Background behind the piece",
  sideBySide: "Side by side",
  trySeveralSideSide:
    "Try several side by side, starting in the selected cards or in each value of the first trait",
  stop: "Stop",
  record: "Record",
  stopSaveAsRehearsal: "Stop and save as a rehearsal",
  recordRehearsal: "Record a rehearsal",
  restart: "Restart",
  restartR: "Restart (R)",
  inputDevice: "Input device",
  mouse: "Mouse",
  pressTabUseKeyboard: "Press Tab to use the keyboard",
  touch: "Touch",
  touchInputWithoutHover: "Touch input, without hover",
  playbackSpeed: "Playback speed",
  resume: "Resume",
  pause: "Pause",
  stepInTryTools: "Step",
  advanceSWhilePaused: "Advance by 1/60 s while paused",
  reducedMotion: "Reduced motion",
  previewPeopleWhoAsk: "Preview for people who ask for reduced motion: changes only fade",

  // TryTraits.tsx
  traitsOfCopies: "Traits of copies",
  copyTrait: (copy: string, trait: string) => `${copy}: ${trait}`,
  tryName: (name: string) => `${name} in Try`,

  // Try.tsx
  notReachableTouch: (words: string) => `Not reachable by touch: ${words}.`,
  recording: "recording",
  paused: "paused",
  tryInTry: "Try",

  // TryTools.tsx
  on: (g: string) => `on ${g}`,
  runningPiece: "The running piece",
  time: "Time",
};
