/** What people read in routes. */
export const routesWords = {
  // asset.ts
  thereNoSuchFile: "there is no such file",

  // assets.ts
  fileMustBeSent: "a file must be sent as application/octet-stream",
  thereNoSuchProject: "there is no such project",
  fileLargerThanMb: (largestPicture: number) => `the file is larger than ${largestPicture} MB`,
  serverRanIntoFault: "the server ran into a fault of its own over it",

  // trouble.ts
  thisProjectCannotBe: (reason: string) =>
    `This project cannot be read: ${reason}. Nothing of it was changed, and other projects are not affected.`,
  diskNubblesDatabaseOn: "The disk that Nubble's database is on is full",
  nubblesDatabaseDoesNot: "Nubble's database does not answer at the moment",
  nothingLostWhatWas: (what: string) =>
    `${what}. Nothing is lost: what was saved is in it, and what was not is kept in this browser. Try again in a moment.`,

  // project.tsx
  thereNoProjectAt: "There is no project at this address. It may have been removed.",
  nubble: (name: string) => `${name} · Nubble`,
  brand: "Nubble",

  // bench.tsx
  nubbleName: (name: undefined | string, projectName: undefined | string) =>
    `${name ? `${name} · ` : ""}${projectName ?? "Project"} · Nubble`,
  thereNoSuchPiece: "There is no such piece",
  hasNoComponentOr: (name: string) =>
    `${name} has no component or screen at this address. It may have been removed; undo brings it back where that was done.`,
  back: (name: string) => `Back to ${name}`,
  openingBench: "Opening the bench",

  // changes.ts
  changeMustBeSent: "a change must be sent as application/json",
  changeLargerThanMb: (change: number) => `the change is larger than ${change} MB`,
  changeMalformed: (reason: string) => `the change is malformed: ${reason}`,
  projectCannotBeRead: "the project cannot be read on the server",

  // home.tsx
  projectsNubble: "Projects · Nubble",
  formCouldNotBe: "The form could not be read.",
  giveProjectName: "Give the project a name.",
  cannotBeRead: "cannot be read",
  damagedNothingWasChanged: (reason: string) => `Damaged: ${reason}. Nothing of it was changed.`,
  projects: "Projects",
  newProject: "New project",
  name: "Name",
  harbourApp: "Harbour app",
  make: "Make it",
  notNow: "Not now",
  noProjectsYetMake: "No projects yet. Make one to draw your first component.",
  empty: "empty",
  changed: (number: string, number2: string, when: string) =>
    `${number}, ${number2} · changed ${when}`,

  // nothing.tsx
  thereNoPageAt:
    "There is no page at this address. It may have been mistyped, or what it showed was removed.",

  // overview.tsx
  rename: "Rename",
  startPrototypeHere: "Start the prototype here",
  duplicate: "Duplicate",
  remove: "Remove",
  more: (name: string) => `More for ${name}`,
  open: (name: string) => `Open ${name}`,
  variantRule: (variants: number, rules: number, start: boolean) =>
    `${variants} variant${variants === 1 ? "" : "s"}, ${rules} rule${rules === 1 ? "" : "s"}${start ? " · start of the prototype" : ""}`,
  wasDuplicated: (of: string, rules: number) =>
    `${of} was duplicated with its ${rules === 1 ? "rule" : `${rules} rules`}.`,
  wasDuplicatedOf: (of: string) => `${of} was duplicated.`,
  withoutThem: "Without them",
  components: "Components",
  nothingHereYetComponent:
    "Nothing here yet. A component is a part that is used again and again: a switch, a tab, a card.",
  screens: "Screens",
  noScreensYetScreen:
    "No screens yet. A screen holds copies of components, and its rules lead to other screens.",
  nameProject: "Name of the project",
  renameText: (text: string) => `Rename to ${text}`,
  component: "Component",
  screen: "Screen",
  system: "System",
  play: "Play",
  new: (kind: string) => `New ${kind}`,
  wasRemoved: (removed: string) => `${removed} was removed.`,

  // play.tsx
  prefersReducedMotionReduce: "(prefers-reduced-motion: reduce)",
  backTo: (name: undefined | string) => `← ${name ?? "Back"}`,
  restartR: "Restart (R)",
  startAgain: "Start again",
  thereNothingPlayYet: "There is nothing to play yet",
  thereNoSuchScreen: "There is no such screen",
  prototypeStartsOnScreen: "A prototype starts on a screen. Make one and place a component on it.",
  screenMayHaveBeen: "The screen may have been removed.",

  // system.tsx
  tokens: (name: string) => `Tokens of ${name}`,
  tidy: "To tidy",
  timingSheet: "Timing sheet",

  // system.tsx
};
