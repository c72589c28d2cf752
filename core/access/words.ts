/** Words by which traits and their values are known. */
export const accessWords = {
  // propose.ts
  namesOf: {
    checked: ["checked", "ticked", "on", "switched on", "toggled"],
    selected: ["selected", "chosen", "picked"],
    pressed: ["toggled on", "engaged"],
    expanded: ["expanded", "open", "opened", "unfolded"],
    disabled: ["disabled", "inactive", "unavailable"],
    current: ["current", "here"],
  } as Readonly<Record<string, readonly string[]>>,
  negative: {
    words: [
      "no",
      "off",
      "none",
      "false",
      "closed",
      "collapsed",
      "folded",
      "hidden",
      "empty",
      "idle",
      "default",
      "normal",
      "enabled",
      "active",
      "available",
    ] as readonly string[],
    beginnings: ["not ", "un"] as readonly string[],
  },
  mixed: ["mixed", "partly", "some", "partial", "indeterminate"] as readonly string[],
};
