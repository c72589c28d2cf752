/** What people read in looks. */
export const looksWords = {
  // variants.ts
  onlyVariant: "only variant",
  atRest: "at rest",
  removedTrait: "a removed trait",
  removedValue: "a removed value",

  // differences.ts
  nothingOwn: "nothing of its own",
  removedToken: "a removed token",
  notShownAnyMore: "not shown any more",
  anotherShape: (name: string) => `${name}: another shape`,
  setDifferently: (name: string) => `${name}: set differently`,
};
