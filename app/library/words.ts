/** What people read in the library. */
export const libraryWords = {
  // Places.tsx
  editions: "Editions",
  adopted: "Adopted",

  // component/AdoptedPage.tsx
  fromSystem: (name: string, number: string) => `From ${name} ${number}`,
  makeIndependent: "Make independent",
  independentMeans: "Copy it into this project; every use here follows the copy",
  independentOf: (name: string, number: string) => `Made independent from ${name} ${number}`,

  // Places.tsx
  places: "Places of the system",
  library: "Library",
  tokens: "Tokens",
  timing: "Timing",

  // Library.tsx
  components: (name: string) => `Components of ${name}`,
  search: "Search components",
  searchHint: "Name, description, trait, token, icon or text",
  sortBy: "Sort by",
  sorts: {
    order: "own order",
    name: "name",
    use: "most used",
    age: "last changed",
    findings: "findings",
  },
  found: (found: number, all: number) => `${found} of ${all}`,
  noneFound: (query: string) => `No component has “${query}” in what it says or shows.`,
  clearSearch: "Clear search",
  empty: "No components yet. Build one, and everybody finds it here.",
  newComponent: "New component",
  component: "Component",

  // Group.tsx
  ungrouped: "Not in a group",
  groupName: "Group name",
  dropForGroup: "Drop here to begin a new group",
  newGroup: "New group",
  newGroupItem: "New group…",
  outOfGroup: "Take out of its group",
  moved: (name: string, group: string) =>
    group === "" ? `Took ${name} out of its group.` : `Moved ${name} to ${group}.`,

  // LibraryTile.tsx
  running: (name: string) => `${name}, running`,
  drag: (name: string) => `Drag ${name} to a group`,
  actions: (name: string) => `Actions for ${name}`,
  variant: (name: string) => `Variant of ${name}`,
  editOnBench: "Edit",
  moveTo: (group: string) => `Move to ${group}`,
  used: (copies: number) => (copies === 0 ? "not used yet" : `used ${copies}×`),
  findings: (count: number) => `${count} finding${count === 1 ? "" : "s"}`,
  status: { draft: "draft", ready: "ready", superseded: "superseded" },
  markAs: { draft: "Mark as draft", ready: "Mark as ready" },
  statusIs: "Status",
  supersededBy: (name: string) => `superseded by ${name}`,
  setStatus: (name: string, status: string) => `${name} is ${status} now.`,

  // Checks.tsx
  checks: "Checks of the system",
  nothingFound: "Nothing to mend in how the components go together.",
  lookingThrough: "Looking through the components…",
  checkNames: {
    alike: "Nearly the same",
    "trait-names": "Names that differ",
    "role-states": "Roles without their states",
    "no-role": "Without a role",
    "own-style": "Text outside the system",
    "own-motion": "Motions outside the system",
    undescribed: "Without a description",
  },
  fixAll: (count: number) => `Fix all ${count}`,
  fixedAll: (count: number) => `Fixed ${count} findings.`,
  showAll: (count: number) => `Show all ${count}`,
  checkComponents: (count: number) => `Check ${count} components in all themes`,
  checking: (done: number, all: number) => `Checked ${done} of ${all}`,
  stop: "Stop",
  componentsAreFine: "No errors and no warnings in any component, in any theme.",
  componentFindings: "In the components themselves",

  // component/ComponentPage.tsx
  noComponent: "There is no such component.",
  toLibrary: "To the library",
  name: "Component name",
  group: "Group",
  noGroup: "none",
  sections: {
    samples: "Samples",
    values: "Traits, options and signals",
    states: "States",
    spoken: "Keyboard and screen readers",
    motions: "Motions",
    tokens: "Tokens",
    uses: "Where it is used",
    findings: "Findings and rehearsals",
  },
  onThisPage: "On this page",
  tryIt: "Try it",
  restart: "Start again",

  // component/About.tsx
  about: {
    description: "What it is",
    use: "When to use it",
    avoid: "When not to use it",
  },
  aboutHints: {
    description: "What it is for, in a sentence or two.",
    use: "Where it is the right choice.",
    avoid: "Where something else is better, and what.",
  },
  write: "Write",
  change: "Change",
  save: "Save",
  cancel: "Cancel",
  markdown: "Markdown: **bold**, *italic*, `code`, lists with “-”, links.",
  saveKeys: "Ctrl+Enter saves, Esc cancels.",

  // component/Samples.tsx
  noSamples: "No samples yet. Show how it is used well, and how it is not.",
  addSample: "Add sample",
  advice: { plain: "example", do: "do", avoid: "avoid" },
  adviceOf: "Advice",
  caption: "Caption",
  noCaption: "Add a caption",
  sample: (number: number) => `Sample ${number}`,
  changeValues: "Change what it shows",
  set: "Set…",
  done: "Done",
  deleteSample: "Delete sample",
  deletedSample: "Deleted the sample.",
  keepAsSample: "Keep as sample",
  keptAsSample: "Kept as a sample below.",

  // component/Values.tsx
  traits: "Traits",
  options: "Options",
  signals: "Signals",
  values: "Values",
  says: "Says",
  sentBy: "Sent by",
  heardBy: "Received by",
  nothing: "no rule",
  nobody: "nothing yet",
  noSignals: "It sends no signals.",
  kind: "Kind",
  usual: "Default",
  kinds: {
    text: "text",
    flag: "yes or no",
    asset: "picture or icon",
    fill: "fill",
    reference: "choice",
  } as Readonly<Record<string, string>>,
  otherKind: "value",

  // component/States.tsx
  moreVariants: (count: number) => `${count} more on the bench`,

  // component/Spoken.tsx
  role: "Role",
  called: "Name",
  states: "States",
  keys: "Keys",
  practice: "WAI-ARIA practice",
  asPractice: "as it should be",
  missing: (what: string) => `missing: ${what}`,
  optional: (what: string) => `may have: ${what}`,
  keyDoes: (keys: string, does: string) => `${keys}: ${does}`,
  or: " or ",
  saysNothing: "It says nothing to screen readers, and no key does anything.",
  noKeys: "none",
  unnamed: "no name",

  // component/Used.tsx
  noMotions: "Nothing moves.",
  ownMotion: "outside the system",
  noTokens: "It follows no token.",
  notUsed: "Not placed anywhere yet.",
  copies: (count: number) => `${count} cop${count === 1 ? "y" : "ies"}`,
  holds: "It holds",

  // component/Found.tsx
  noFindings: "No findings.",
  accepted: (count: number) => `${count} accepted`,
  noRehearsals: "No rehearsals.",
  rehearsals: "Rehearsals",
  findingsTitle: "Findings",
  passed: "passed",
  failed: (why: string) => `failed: ${why}`,
};
