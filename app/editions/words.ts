import type { Weight } from "#core/system";
import type { Step } from "../services/editions";

const count = (n: number, one: string, many = `${one}s`): string =>
  n === 1 ? `1 ${one}` : `${n === 0 ? "no" : n} ${many}`;
const listed = (names: readonly string[]): string =>
  names.length < 4
    ? names.join(", ")
    : `${names.slice(0, 3).join(", ")} and ${names.length - 3} more`;
const percent = (share: number): string => {
  if (share === 0) return "0 %";
  return share < 0.0005 ? "under 0.1 %" : `${(share * 100).toFixed(1)} %`;
};

/** What people read about editions: publishing them, adopting them, what they change. */
export const editionsWords = {
  // WeightBadge.tsx
  weights: { breaking: "breaking", feature: "feature", patch: "patch" } satisfies Record<
    Weight,
    string
  >,

  // Progress.tsx
  at: ({ at, done, of }: Step): string =>
    ({
      checking: `Checking components: ${done} of ${of}`,
      comparing: `Comparing components: ${done} of ${of}`,
      reporting: `Looking at your pieces: ${done} of ${of}`,
    })[at],
  starting: "Starting…",
  progress: "Progress",
  cancelled: "Cancelled.",
  failed: (why: string) => `This did not work: ${why}`,
  tryAgain: "Try again",
  cancel: "Cancel",

  // BeforeAfter.tsx
  slide: "Slider",
  pixels: "Pixels",
  comparison: "How to compare",
  markedPixels: "Pixels that differ are marked",
  dividerOf: (label: string) => `Divider: ${label}`,
  pixelShare: (share: number) => `${percent(share)} of pixels differ`,

  // Differences.tsx
  looksSame: "Looks the same in every variant",
  beforeAfter: (name: string, variant: string) => `${name}, ${variant}: before and after`,
  changedVariant: (name: string) => `Changed variant of ${name}`,
  showMore: (n: number) => `Show ${n} more`,
  ofValues: "Tokens, themes and files",
  show: "Show",
  filter: (filter: "all" | Weight, n: number) =>
    `${{ all: "All", breaking: "Breaking", feature: "Features", patch: "Patches" }[filter]} · ${n}`,

  // lack.ts
  lacks: {
    unknown: "This edition cannot be found here, or it is damaged. Your project was not changed.",
    newer:
      "This edition was published by a newer Nubble. Update Nubble to use it. Your project was not changed.",
    away: "The server cannot be reached, so the edition could not be loaded. Your project was not changed. Try again when you are online.",
  },

  // Editions.tsx
  editionsOf: (name: string) => `Editions of ${name}`,
  since: (number: string, name: string) => `Changes since ${number}${name ? ` ${name}` : ""}`,
  firstEdition: "First edition",
  firstHolds: (components: number, tokens: number) =>
    `Publish ${count(components, "component")} and ${count(tokens, "token")} for other projects to use. They keep what they use until they take over a newer edition.`,
  publish: "Publish…",
  publishNumber: (number: string) => `Publish ${number}…`,
  nothingChanged: "Nothing changed since the newest edition.",
  published: (number: string) => `Published ${number}.`,

  // Publish.tsx
  publishTitle: (name: string) => `Publish ${name}`,
  number: "Number",
  numberSays: (number: string, weight: string) => `${number} (${weight})`,
  name: "Name",
  nameHint: "Summer timetable",
  follows: (number: string, weight: string) =>
    `${number} follows from the changes: at least one is ${weight}. You may choose a higher number.`,
  firstNumber: "The first edition is always 1.0.0.",
  whyLower: "Why is a lower number right?",
  standsInTheWay: "Before publishing",
  nothingInTheWay: "No broken rules, missing things, loops or unreachable variants.",
  whyAccepted: "Why this is fine",
  accept: "Accept",
  notes: "Notes",
  preview: "Preview notes",
  changedMeanwhile: "The project changed meanwhile. Close this and look at the changes again.",
  savingFirst: "Saving first…",

  // Published.tsx
  publishedEditions: "Published",
  compareAny: "Compare two editions",
  when: "Published",
  use: "Used by",
  more: "More",
  usedBy: (n: number) => (n === 0 ? "nobody" : count(n, "project")),
  notesOf: (number: string) => `Notes on ${number}`,
  actions: (number: string) => `Actions for ${number}`,
  lookAt: "Look at it",
  compareWith: (number: string) => `Compare with ${number}`,
  download: "Download",
  withdrawMore: "Withdraw…",
  offerAgain: "Offer again",
  withdraw: "Withdraw",
  withdrawTitle: (number: string) => `Withdraw ${number}`,
  withdrawMeans:
    "Projects that use this edition keep it, marked as withdrawn. No other project can adopt it.",
  reason: "Reason",
  withdrawnBecause: (why: string) => `Withdrawn: ${why}`,
  loweredBecause: (why: string) => `Lower number: ${why}`,

  // download.ts
  fileMissing: "a file of it is missing",
  notSaved: (why: string) => `The edition was not downloaded: ${why}`,

  // Adopters.tsx
  usedIn: "Where it is used",
  noAdopters: "No project uses this system yet.",
  project: "Project",
  edition: "Edition",
  components: "Components",
  copies: "Copies",
  usedNowhere: "Used nowhere",
  allUsed: "Every component is used.",
  andMore: (n: number) => `and ${n} more`,
  oftenSet: "Often set by hand",
  noneOftenSet: "No option or trait is set in most copies.",
  setIn: (name: string, times: number, copies: number) =>
    `“${name}” is set in ${times} of ${count(copies, "copy", "copies")}`,

  // Comparison.tsx
  compareEditions: "Compare editions",
  from: "from",
  to: "to",
  numberName: (number: string, name: string) => (name === "" ? number : `${number} ${name}`),
  whatChanged: "What changed",
  nothingDiffers: "These two editions are the same.",
  nothingToCompare: "There are no editions to compare yet.",
  toEditions: "Go to editions",

  // Edition.tsx
  running: (name: string) => `${name}, running`,
  loading: "Loading the edition…",
  noComponent: "This edition has no such component.",

  // adopted/Adopted.tsx
  adoptedBy: (name: string) => `Systems ${name} uses`,
  adoptMore: "Adopt a system…",
  noneAdopted:
    "This project uses no system yet. Adopt one to place its components and follow its tokens.",
  isNewest: "This is the newest edition.",
  newerThere: (number: string, name: string) => `${number}${name ? ` ${name}` : ""} is available.`,
  declinedBecause: (why: string) => `Not taken over: ${why}`,
  seeReport: "See what changes",
  end: "Stop using",
  endMeans: "Possible once nothing of it is used",
  endedAdoption: (name: string, number: string) => `Stopped using ${name} ${number}.`,
  usesOfIt: (components: number, copies: number) =>
    components === 0
      ? "None of its components is placed yet."
      : `${count(components, "component")} in ${count(copies, "copy", "copies")}.`,
  inLibrary: "Show its components",
  systemGone: "Its project was deleted. What it published stays.",

  // adopted/Adopt.tsx
  adoptTitle: "Adopt a system",
  noneToAdopt:
    "No other project has published an edition yet. Publish one there: System, Editions.",
  system: "System",
  editionCount: (n: number) => count(n, "edition"),
  adopt: "Adopt",
  adoptNumber: (number: string) => `Adopt ${number}`,
  alreadyAdopted: "This project uses that edition already.",
  adoptedNow: (name: string, number: string) => `Adopted ${name} ${number}.`,

  // adopted/Report.tsx, adopted/ReportRow.tsx, adopted/ByScreen.tsx
  reportTitle: (system: string, number: string, project: string, now: string) =>
    `${system} ${number} for ${project}, now at ${now}`,
  noteWhyNot: "Note why not…",
  takeOverAll: "Take over all",
  takeOverSome: (n: number, of: number) => `Take over ${n} of ${of}`,
  takeOverOf: (name: string) => `Take over ${name}`,
  takeOverHere: "Take over here",
  summary: (components: number, values: boolean, pieces: number, broken: number, lost: number) =>
    `${count(components, "component")}${values ? " and tokens, themes or files" : ""} changed. Of yours, ${count(pieces, "piece")} ${pieces === 1 ? "looks" : "look"} different, ${count(broken, "rehearsal")} no longer ${broken === 1 ? "passes" : "pass"}, ${count(lost, "thing")} you set ${lost === 1 ? "is" : "are"} gone. Nothing changes until you take it over, and you can undo it.`,
  brokenRehearsals: "Rehearsals that no longer pass",
  brokenCount: (n: number) =>
    `${count(n, "rehearsal")} of yours no longer ${n === 1 ? "passes" : "pass"}`,
  rehearsalOn: (name: string, piece: string) => `“${name}” on ${piece}`,
  failsAt: (step: number, why: string) => `fails at step ${step}: ${why}`,
  view: (view: "here" | "screens" | Weight, n: number) =>
    `${{ here: "Affects you", breaking: "Breaking", feature: "Features", patch: "Patches", screens: "By piece" }[view]} · ${n}`,
  layerOn: (layer: string, piece: string) => `${layer} on ${piece}`,
  noneLooksDifferent: "No copy of yours looks different",
  beforeAfterPlace: (name: string) => `${name}: before and after`,
  changedCopy: "Changed copy",
  leaveAsIs: "Leave as is",
  staysBefore: "It stays at the edition you use now.",
  sayInstead: "Use instead:",
  insteadOf: (name: string, layer: string) => `Instead of ${name} for ${layer}`,
  affectsNothing: "Nothing of yours is affected.",
  copiesOn: (copies: number, pieces: readonly string[]) =>
    `${count(copies, "copy", "copies")} on ${listed(pieces)}`,
  resized: (
    name: string,
    before: { readonly width: number; readonly height: number },
    after: { readonly width: number; readonly height: number },
  ) =>
    `${name}: ${Math.round(before.width)} × ${Math.round(before.height)} becomes ${Math.round(after.width)} × ${Math.round(after.height)} px.`,
  doesOtherwise: (name: string, does: string) => `${name} ${does}.`,
  pushes: (names: readonly string[]) => `Pushes ${listed(names)}.`,
  looksDifferent: "looks different",
  noReport: "There is no newer edition to look at.",
  toAdopted: "Go to adopted systems",

  // adopted/Decline.tsx
  declineTitle: (number: string) => `Why is ${number} not taken over?`,
  saveNote: "Save note",
} as const;
