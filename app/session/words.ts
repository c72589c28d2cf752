/** What people read in session. */
export const sessionWords = {
  // answer.ts
  serverReturnedError: (status: number) => `the server returned an error (${status})`,

  // session.ts
  momentIsReadOnly:
    "This is an earlier moment, and nothing in it can be changed. Restore it from History first.",
  nothingChanged: (error: string) => `Nothing changed: ${error}.`,
  cannot: (label: string, word: string, error: string) =>
    `Cannot ${word.toLowerCase()} “${label}”: ${error}.`,
  changedElsewhere: (label: string, word: string) =>
    `“${label}” was changed in another window since. What was changed there stays; ${word.toLowerCase()} leaves it out.`,
  stillCannotBeSaved: (label: string, error: string) =>
    `“${label}” still cannot be saved: ${error}.`,
  projectWasReplaced: "The project was deleted or made anew, and this window reloads",
  nubbleWasUpdatedWindow: "Nubble was updated, and this window reloads",
  anotherWindowChangedAt: (place: string, more: string, label: string) =>
    `Another window changed ${place}${more} at the same time as you (“${label}”).`,
  useMine: "Use mine",
  useMineLabel: (label: string) => `Use mine: ${label}`,
  serverNotResponding: "the server is not responding",
  projectWasDeleted: "this project was deleted",
  savedButWasDeleted: (label: string, place: string) =>
    `“${label}” is saved, but ${place} was deleted meanwhile. It shows again once that is restored.`,
  wasRejected: (reason: string) => `it was rejected: ${reason}`,
  someoneElseChangedSame: "someone else changed the same place meanwhile",
  wasSetAside: (change: string, because: string) => `${change} was set aside: ${because}.`,

  // assets.ts
  image: "Image",
  wasNotAddedDamaged: (name: string) =>
    `“${name}” was not added: it is damaged, or not an image format this browser supports.`,
  couldNotUploadServer: (name: string) =>
    `Could not upload “${name}”: the server is not responding. Nothing was changed. Try again.`,
  wasNotAdded: (name: string, reason: string) => `“${name}” was not added: ${reason}.`,
  wasNotAdded2: (name: string) => `“${name}” was not added.`,

  // undoKeys.ts
  undo: "Undo",
  redo: "Redo",

  // SetAside.tsx
  rejected: (reason: string) => `Rejected: ${reason}.`,
  othersChangedSince: (first: string, labels: number, labels2: number) =>
    `Others changed it since: ${first}${labels > 3 ? ` and ${labels2} more` : ""}.`,
  wouldNotChangeAnything: "It would not change anything now.",
  where: "Where",
  now: "Now",
  yours: "Yours",
  morePlaces: (rows: number) => `and ${rows} more places`,
  edited: "Edited",
  earlier: "earlier",
  tryAgain: "Try again",
  keepCurrent: "Keep current",
  discard: "Discard",
  download: (label: string) => `Download: ${label}`,
  downloadInSetAside: "Download",
  editsSetAside: "Edits set aside",
  noEditsAreSet: "No edits are set aside.",
  theseEditsAreNot:
    "These edits are not in the project. They are kept in this browser until you choose.",

  // MomentMark.tsx
  asOf: "As it was on",
  readOnly: "read-only",
  toHistory: "Back to History",

  // SaveMark.tsx
  change: "1 change is",
  changesAre: (n: number) => `${n} changes are`,
  keptThisBrowser: "kept in this browser",
  onlyWindowKeepOpen: "only in this window: keep it open",
  notSaved: (reason: string, count: string, where: string) =>
    `Not saved: ${reason}. ${count} ${where}.`,
  retry: "Retry",
  n1EditSetAside: "1 edit set aside",
  editsSetAsideCount: (count: number) => `${count} edits set aside`,
  saved: "Saved",
  saving: "Saving…",

  // UndoButtons.tsx
  undoRedo: "Undo and redo",
  nothingUndo: "Nothing to undo",
  undoCtrlZ: (undo: string) => `Undo: ${undo} (Ctrl+Z)`,
  nothingRedo: "Nothing to redo",

  // ProjectPlaces.tsx
  pieces: "Pieces",
  system: "System",
  history: "History",
  play: "Play",

  // ProjectBar.tsx
  nubble: "Nubble",
  breadcrumb: "Breadcrumb",

  // pending.ts
  wasKeptNewerVersion: "it was kept by a newer version of Nubble",
  redoCtrlShiftZ: (redo: string) => `Redo: ${redo} (Ctrl+Shift+Z)`,
  undone: (label: string) => `Undone: ${label}`,
  redone: (label: string) => `Redone: ${label}`,
  andMore: (count: number) => ` and ${count} more`,
};
