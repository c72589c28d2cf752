/** What a trait or one of its values stands for. */
const meanings: Readonly<Record<string, string>> = {
  neutral: "being so or not",
  hover: "being pointed at",
  press: "being pressed",
  focus: "having the keyboard’s focus",
  checked: "being checked",
  selected: "being selected",
  pressed: "being turned on",
  expanded: "being open",
  disabled: "being disabled",
  current: "being the current one",
};
/** Names of values that say no more than that something is so, or is not. */
const neutral: readonly string[] = ["on", "off", "yes", "no", "true", "false"];

/** What people read in library. */
export const libraryWords = {
  // offered.ts
  yes: "yes",
  no: "no",

  // spoken.ts
  insideCopy: "what the copy in it does",
  or: " or ",
  wants: (key: string, does: string) => `${key} ${does}`,
  does: {
    use: "uses it",
    check: "turns it on and off",
    next: "goes to the next one",
    previous: "goes to the previous one",
    first: "goes to the first one",
    last: "goes to the last one",
    more: "makes it more",
    less: "makes it less",
  },
  noState: "a trait that says whether it is on",
  noName: "a name",

  // checks
  fixAll: (check: string) => `Fix: ${check}`,
  checks: {
    alike: "nearly the same components",
    "trait-names": "names that differ",
    "role-states": "roles without states",
    "no-role": "components without a role",
    "own-style": "text outside the system",
    "own-motion": "motions outside the system",
    undescribed: "components without a description",
  },
  alike: (kept: string, spare: string) => `${kept} and ${spare} are nearly the same.`,
  supersede: (spare: string) => `Mark ${spare} as superseded`,
  spelled: (component: string, called: string, usual: string, meaning: string) =>
    `${component} says “${called}” for ${meaning}; most others say “${usual}”.`,
  meanings,
  neutral,
  alignNames: (component: string) => `Align names in ${component}`,
  hasNoRole: (component: string) =>
    `${component} can be clicked, but nothing in it says what it is to a screen reader.`,
  setRole: (role: string) => `Set role ${role}`,
  lacksStates: (component: string, role: string, states: string) =>
    `${component} is a ${role} that does not show when it is ${states}.`,
  contacts: { hover: "pointed at", press: "pressed", focus: "focused" },
  addStates: "Add these states",
  ownStyle: (component: string, layers: string) =>
    `${component} has text without a text style: ${layers}.`,
  ownMotion: (motion: string, components: string) => `${components}: ${motion}.`,
  follow: (token: string) => `Use ${token}`,
  undescribed: (component: string) => `${component} has no description.`,
};
