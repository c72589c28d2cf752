/** What people read in session. */
export const sessionWords = {
  // answer.ts
  serverAnswered: (status: number) => `the server answered ${status}`,

  // session.ts
  notDone: (error: string) => `Not done: ${error}.`,
  canNoLongerBe: (label: string, word: string, error: string) =>
    `“${label}” can no longer be taken ${word === "Undo" ? "back" : "up again"}: ${error}.`,
  stillCannotBeMade: (label: string, error: string) => `“${label}” still cannot be made: ${error}.`,
  nubbleWasRenewedThis: "Nubble was renewed, and this window loads anew",
  anotherWindowChangedAt: (place: string, more: string, label: string) =>
    `Another window changed ${place}${more} at the same time as you (“${label}”).`,
  useMine: "Use mine",
  useMineLabel: (label: string) => `Use mine: ${label}`,
  serverDoesNotAnswer: "the server does not answer",
  thisProjectWasRemoved: "this project was removed",
  savedButWasRemoved: (label: string, place: string) =>
    `“${label}” is saved, but ${place} was removed meanwhile. It will show when that is brought back.`,
  wasNotTaken: (reason: string) => `it was not taken: ${reason}`,
  othersChangedSameMeanwhile: "others changed the same meanwhile",
  wasSetAside: (change: string, because: string) => `${change} was set aside: ${because}.`,

  // assets.ts
  picture: "Picture",
  wasNotTakenNo: (name: string) =>
    `“${name}” was not taken: it is no picture this browser can show, or it is broken.`,
  couldNotBeSent: (name: string) =>
    `“${name}” could not be sent: the server does not answer. Nothing was changed; try again.`,
  wasNotTakenName: (name: string, reason: string) => `“${name}” was not taken: ${reason}.`,
  wasNotTakenName2: (name: string) => `“${name}” was not taken.`,

  // undoKeys.ts
  undo: "Undo",
  redo: "Redo",

  // SetAside.tsx
  wasNotTakenReason: (reason: string) => `It was not taken: ${reason}.`,
  othersChangedSince: (first: string, labels: number, labels2: number) =>
    `Others changed it since: ${first}${labels > 3 ? ` and ${labels2} more` : ""}.`,
  wouldChangeNothingAny: "It would change nothing any more.",
  where: "Where",
  now: "Now",
  yours: "Yours",
  morePlaces: (rows: number) => `and ${rows} more places`,
  made: (when: string, why: string) => `Made ${when}. ${why}`,
  tryAgain: "Try again",
  keepWhatThere: "Keep what is there",
  discard: "Discard",
  download: (label: string) => `Download: ${label}`,
  downloadInSetAside: "Download",
  editsSetAside: "Edits set aside",
  nothingSetAsideAny: "Nothing is set aside any more.",
  theseEditsAreNot:
    "These edits are not in the project. They are kept in this browser until you choose.",

  // SaveMark.tsx
  oneChange: "One change is",
  changesAre: (n: number) => `${n} changes are`,
  keptThisBrowser: "kept in this browser",
  onlyThisWindowLeave: "only in this window: leave it open",
  notSavedYet: (reason: string, count: string, where: string) =>
    `Not saved yet: ${reason}. ${count} ${where}.`,
  tryNow: "Try now",
  n1EditSetAside: "1 edit set aside",
  editsSetAsideCount: (count: number) => `${count} edits set aside`,
  saved: "Saved",
  saving: "Saving…",

  // UndoButtons.tsx
  undoRedo: "Undo and redo",
  nothingUndo: "Nothing to undo",
  undoCtrlZ: (undo: string) => `Undo: ${undo} (Ctrl+Z)`,
  nothingRedo: "Nothing to redo",

  // ProjectBar.tsx
  nubble: "Nubble",
  whereYouAre: "Where you are",

  // pending.ts
  newerNubbleKept: "a newer Nubble kept it",
  redoCtrlShiftZ: (redo: string) => `Redo: ${redo} (Ctrl+Shift+Z)`,
  undone: (label: string) => `Undone: ${label}`,
  redone: (label: string) => `Redone: ${label}`,
  andMore: (count: number) => ` and ${count} more`,
};
