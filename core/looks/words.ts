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
  anotherShape: (name: string) => `${name}: another shape`,
  setDifferently: (name: string) => `${name}: set differently`,
  isShown: (layer: string, shown: boolean) =>
    `${layer} is ${shown ? "shown" : "not shown any more"}`,
  fromTo: (layer: string, property: string, from: string, to: string) =>
    `${layer}: ${property} from ${from} to ${to}`,
  traitIs: (trait: string, values: string) => `${trait} is ${values}`,
  or: " or ",
  and: " and ",
};
