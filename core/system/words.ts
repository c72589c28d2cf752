/** What people read about editions and what they change. */
const variants = (n: number): string => (n === 1 ? "1 variant" : `${n} variants`);
const among = (name: string, n: number): string => `${name} (${variants(n)})`;
const asset = (kind: string): string => kind[0]?.toUpperCase() + kind.slice(1);

export const systemWords = {
  // compare/face.ts
  traitRemoved: (name: string) => `Trait “${name}” was removed.`,
  traitAdded: (name: string, values: string) => `Trait “${name}” is new: ${values}.`,
  traitRenamed: (was: string, is: string) => `Trait “${was}” is called “${is}”.`,
  traitStarts: (name: string, was: string, is: string) =>
    `“${name}” starts as “${is}” instead of “${was}”.`,
  traitSays: (name: string, state: string | null) =>
    state === null
      ? `“${name}” no longer tells assistive technology a state.`
      : `What “${name}” tells assistive technology changed (${state}).`,
  traitMoves: (name: string) => `“${name}” changes with another motion.`,
  valueRemoved: (trait: string, value: string) => `“${value}” of “${trait}” was removed.`,
  valueAdded: (trait: string, value: string) => `“${value}” of “${trait}” is new.`,
  valueRenamed: (trait: string, was: string, is: string) =>
    `“${was}” of “${trait}” is called “${is}”.`,
  optionRemoved: (name: string) => `Option “${name}” was removed.`,
  optionAdded: (name: string) => `Option “${name}” is new.`,
  optionRenamed: (was: string, is: string) => `Option “${was}” is called “${is}”.`,
  optionSets: (name: string) => `Option “${name}” takes another kind of value.`,
  optionUsual: (name: string) => `The default of option “${name}” changed.`,
  signalRemoved: (name: string) => `Signal “${name}” was removed.`,
  signalAdded: (name: string) => `Signal “${name}” is new.`,
  signalRenamed: (was: string, is: string) => `Signal “${was}” is called “${is}”.`,
  signalUnsent: (name: string) => `Signal “${name}” is no longer sent.`,

  // compare/written.ts
  componentRenamed: (was: string, is: string) => `${was} is called ${is}.`,
  statusChanged: (name: string, status: unknown) =>
    `${name} is ${status === "ready" ? "ready" : "a draft"} now.`,
  superseded: (name: string, instead: string | null) =>
    `${name} is superseded${instead === null ? "" : ` by ${instead}`}.`,
  descriptionChanged: (name: string) => `The description of ${name} changed.`,
  samplesChanged: (name: string) => `The samples of ${name} changed.`,

  // compare/looks.ts
  inTheme: (theme: string) => ` with ${theme}`,
  seen: {
    looks: (name: string, n: number, where: string) => `${among(name, n)} looks different${where}.`,
    size: (name: string, n: number, where: string) => `${among(name, n)} has another size${where}.`,
    text: (name: string, n: number, where: string) =>
      `${among(name, n)} shows other words${where}.`,
    role: (name: string, n: number, where: string) =>
      `${among(name, n)} has other roles for assistive technology${where}.`,
    spoken: (name: string, n: number, where: string) =>
      `${among(name, n)} has other labels for assistive technology${where}.`,
  },

  // compare/rules.ts
  ruleAdded: (rule: string) => `New rule: ${rule}.`,
  ruleRemoved: (rule: string) => `Rule removed: ${rule}.`,
  ruleChanged: (was: string, is: string) => `Rule changed from “${was}” to “${is}”.`,
  motionChanged: (rule: string) => `Motion changed: ${rule}.`,
  relied: (name: string, step: number, why: string) =>
    `Rehearsal “${name}” fails at step ${step}: ${why}.`,

  // compare/values.ts
  tokenRemoved: (name: string) => `Token ${name} was removed.`,
  tokenAdded: (name: string) => `Token ${name} is new.`,
  tokenRenamed: (was: string, is: string) => `Token ${was} is called ${is}.`,
  tokenType: (name: string, was: string, is: string) => `Token ${name} is a ${is}, not a ${was}.`,
  tokenValue: (name: string) => `Token ${name} has another value.`,
  tokenThemes: (name: string) => `Token ${name} has other values in themes.`,
  tokenDeprecated: (name: string) => `Token ${name} is deprecated.`,
  tokenAbout: (name: string) => `The description of token ${name} changed.`,
  themeRemoved: (name: string) => `Theme “${name}” was removed.`,
  themeAdded: (name: string) => `Theme “${name}” is new.`,
  themeRenamed: (was: string, is: string) => `Theme “${was}” is called “${is}”.`,
  themeStarts: (name: string, was: string, is: string) =>
    `Theme “${name}” starts as “${is}” instead of “${was}”.`,
  themeValueRemoved: (theme: string, value: string) =>
    `“${value}” of theme “${theme}” was removed.`,
  themeValueAdded: (theme: string, value: string) => `“${value}” of theme “${theme}” is new.`,
  themeValueRenamed: (theme: string, was: string, is: string) =>
    `“${was}” of theme “${theme}” is called “${is}”.`,
  assetRemoved: (kind: string, name: string) => `${asset(kind)} “${name}” was removed.`,
  assetAdded: (kind: string, name: string) => `${asset(kind)} “${name}” is new.`,
  assetRenamed: (kind: string, was: string, is: string) =>
    `${asset(kind)} “${was}” is called “${is}”.`,
  assetChanged: (kind: string, name: string) => `${asset(kind)} “${name}” looks different.`,
  systemRemoved: (name: string) => `${name} is no longer used.`,
  systemAdded: (name: string, number: string) => `${name} ${number} is used now.`,
  systemChanged: (name: string, was: string, is: string) =>
    `${name} is used at ${is} instead of ${was}.`,

  // notes.ts
  ofValues: "Tokens, themes and files",
  weights: { breaking: "Breaking", feature: "New", patch: "Changed" },

  // report/behaviour.ts
  responds: (step: string) => `responds differently to “${step}”`,
  startsAs: (values: readonly string[]) => `starts as ${values.join(", ")}`,

  // report/lost.ts
  lostOption: (name: string) => `Its option “${name}” is gone.`,
  lostTrait: (name: string) => `Its trait “${name}” is gone.`,
  lostValue: (value: string, trait: string) => `“${trait}” can no longer be “${value}”.`,
  lostSignal: (name: string) => `It no longer sends “${name}”.`,
  lostComponent: (name: string) => `${name} is gone.`,

  // adopt/adopt.ts
  adopt: (name: string, number: string) => `Adopt ${name} ${number}`,
  endAdoption: (name: string, number: string) => `Stop using ${name} ${number}`,
  decline: (name: string, number: string) => `Note on ${name} ${number}`,
  takeOver: (name: string, number: string) => `Take over ${name} ${number}`,

  // adopt/independent.ts
  makeIndependent: (name: string) => `Make ${name} independent`,

  // compare/compare.ts
  componentRemoved: (name: string) => `${name} was removed.`,
  componentAdded: (name: string) => `${name} is new.`,
} as const;
