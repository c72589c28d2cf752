/** What people read in routes. */
export const routesWords = {
  // editions.ts
  editionMustBeSent: "An edition must be sent as application/json.",
  editionMalformed: "The edition could not be read. Nothing was published.",
  serverAway: "The server cannot be reached. Nothing was changed. Try again when you are online.",
  noSuchEdition: (number: string) => `There is no edition ${number}.`,

  // system/editions.tsx, system/edition.tsx
  editionNotFound: "There is no edition of this number. It may never have been published.",

  // asset.ts
  fileNotFound: "file not found",

  // assets.ts
  fileMustBeSent: "a file must be sent as application/octet-stream",
  projectNotFound: "project not found",
  fileLargerThanMb: (largestPicture: number) => `the file is larger than ${largestPicture} MB`,
  serverHitError: "the server hit an error",

  // trouble.ts
  projectCannotBeRead2: (reason: string) =>
    `This project cannot be read: ${reason}. It was not changed, and other projects are not affected.`,
  diskNubblesDatabaseOn: "The disk that Nubble's database is on is full",
  databaseNotResponding: "The database is not responding",
  savedWorkSafeUnsaved: (what: string) =>
    `${what}. Saved work is safe, and unsaved changes are kept in this browser. Try again in a moment.`,

  // project.tsx
  projectIsBinned: (name: string) => `“${name}” is in the bin. Restore it there to go on with it.`,
  thereNoProjectAddress: "There is no project at this address. It may have been deleted.",
  nubble: (name: string) => `${name} · Nubble`,
  brand: "Nubble",

  // history
  history: "History",
  historyNubble: "History · Nubble",
  compare: "Compare",
  thereNoMoment: "There is no moment at this address. The project may have been deleted.",
  momentCannotBeNamed: "The moment could not be named. Nothing was changed.",

  // bench.tsx
  nubbleName: (name: undefined | string, projectName: undefined | string) =>
    `${name ? `${name} · ` : ""}${projectName ?? "Project"} · Nubble`,
  pieceNotFound: "Piece not found",
  hasNoComponentScreen: (name: string) =>
    `${name} has no component or screen at this address. It may have been deleted; undo restores it in the tab where that happened.`,
  back: (name: string) => `Back to ${name}`,
  openingBench: "Opening the bench",

  // changes.ts
  changeMustBeSent: "a change must be sent as application/json",
  changeLargerThanMb: (change: number) => `the change is larger than ${change} MB`,
  changeMalformed: (reason: string) => `the change is malformed: ${reason}`,
  projectCannotBeRead: "the project cannot be read on the server",

  // projects/list.tsx
  projectsNubble: "Projects · Nubble",
  binNubble: "Bin · Nubble",
  projectIsGone: "The project is not there any more.",
  formCouldNotBe: "The form could not be read.",
  enterNameProject: "Enter a name for the project.",
  name: "Name",
  cancel: "Cancel",

  // nothing.tsx
  thereNoPageAddress:
    "There is no page at this address. Check the address; the page may also have been deleted.",

  // overview.tsx
  rename: "Rename",
  useAsStartScreen: "Use as start screen",
  duplicate: "Duplicate",
  delete: "Delete",
  actions: (name: string) => `Actions for ${name}`,
  open: (name: string) => `Open ${name}`,
  variantRule: (variants: number, rules: number, start: boolean) =>
    `${variants} variant${variants === 1 ? "" : "s"}, ${rules} rule${rules === 1 ? "" : "s"}${start ? " · start screen" : ""}`,
  duplicatedWith: (of: string, rules: number) =>
    `Duplicated ${of} with its ${rules === 1 ? "rule" : `${rules} rules`}.`,
  duplicated: (of: string) => `Duplicated ${of}.`,
  removeRules: "Remove the rules",
  components: "Components",
  firstSwitch: "Build your first switch",
  eightSteps:
    "Eight steps on the real bench, from an empty component to a switch that works. It takes about three minutes.",
  startGuide: "Start",
  noGuide: "No, thanks",
  switch: "Switch",
  noComponentsYetComponent:
    "No components yet. A component is a part you use in many places: a switch, a tab, a card.",
  screens: "Screens",
  noScreensYetScreen:
    "No screens yet. A screen holds copies of components and links to other screens.",
  projectName: "Project name",
  renameText: (text: string) => `Rename to ${text}`,
  component: "Component",
  screen: "Screen",
  system: "System",
  new: (kind: string) => `New ${kind}`,
  deleted: (removed: string) => `Deleted ${removed}.`,

  // system.tsx
  tokens: (name: string) => `Tokens of ${name}`,
  suggestions: "Suggestions",
  timingSheet: (name: string) => `Motions of ${name}`,

  // system.tsx
};
