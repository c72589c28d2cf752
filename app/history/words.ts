import type { PieceFate } from "#core/history";

const changes = (n: number): string => (n === 1 ? "1 change" : `${n} changes`);

const fates: Readonly<Record<PieceFate, string>> = {
  made: "Made since",
  changed: "Changed since",
  removed: "Deleted since",
};

/** What people read of history. */
export const historyPageWords = {
  // History.tsx
  title: "History",
  none: "Nothing has been changed since the project was made. Each sitting at work will be listed here.",
  choose: "Choose a sitting to see the project as it was then.",
  older: "Show older",
  olderFailed: "The server is not responding. Try again in a moment.",

  // Strip.tsx
  sittings: "Sittings",
  beginning: "Project made",
  thisWindow: "This window",
  unknownBrowser: "Unknown browser",
  changes,
  noPiece: "Project settings",
  andMore: (n: number) => ` and ${n} more`,
  times: (label: string, n: number) => (n === 1 ? label : `${label} ×${n}`),

  // Moment.tsx
  moment: "Moment",
  loading: "Loading this moment",
  failed: "This moment could not be loaded. Nothing was changed. Try again.",
  tryAgain: "Try again",
  nameIt: "Name this moment",
  name: "Name of this moment",
  rename: "Rename",
  removeName: "Remove name",
  openBench: "Open this moment",
  open: "Open",
  play: "Play",
  compareWithNow: "Compare with now",
  restoreAll: "Restore all…",
  restorePiece: "Restore…",
  restoreNamed: (name: string) => `Restore ${name}…`,
  openNamed: (name: string) => `Open ${name} of this moment`,
  sameAsNow: "The project is the same now.",
  otherwise: "Nothing but tokens, themes, files or settings is different now.",
  different: (n: number) =>
    n === 1 ? "1 piece is different now" : `${n} pieces are different now`,
  then: "Then",
  now: "Now",
  notThere: "not there",
  fate: (fate: PieceFate) => fates[fate],
  eachChange: "Changes of this sitting",
  named: "Named",

  // Restore.tsx
  restoreTitle: (what: string) => `Restore ${what}?`,
  theProject: "the project",
  restoreMeans: (when: string) =>
    `It becomes what it was on ${when}, by one change that can be undone. Nothing is lost: the present state stays in History.`,
  undoes: (n: number) => (n === 1 ? "This takes back 1 change:" : `This takes back ${n} changes:`),
  undoesNewest: (n: number) => `This takes back more than ${n} changes, such as:`,
  looking: "Looking for what it takes back…",
  cannotTell: "The server is not responding, so what it takes back cannot be listed.",
  nothingToRestore: "It is the same already.",
  removed: (name: string) => `${name} is deleted.`,
  broughtBack: (name: string) => `${name} comes back.`,
  changedBack: (name: string) => `${name} is changed back.`,
  restore: "Restore",
  cancel: "Cancel",
  restored: (what: string) => `${what} is restored.`,
  undo: "Undo",

  // Compare.tsx
  compareMoments: "Compare two moments",
  from: "From",
  to: "to",
  present: "now",
  after: (n: number) => `after change ${n}`,
  whatChanged: "What changed",
  nothingDiffers: "The two moments are the same.",
  toHistory: "Back to History",
};
