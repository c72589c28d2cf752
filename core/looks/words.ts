/** What the resting variant is called where its values have no better name. */
export const restingName = "default";

/** What people read in looks. */
export const looksWords = {
  // variants.ts
  onlyVariant: "only variant",
  deletedTrait: "a deleted trait",
  deletedValue: "a deleted value",

  // differences.ts
  noOwnValue: "no own value",
  deletedToken: "a deleted token",
  differentShape: (name: string) => `${name}: different shape`,
  setDifferently: (name: string) => `${name}: set differently`,
  is: (layer: string, shown: boolean) => `${layer} is ${shown ? "visible" : "hidden"}`,
  fromTo: (layer: string, property: string, from: string, to: string) =>
    `${layer}: ${property} from ${from} to ${to}`,
  traitIs: (trait: string, values: string) => `${trait} is ${values}`,
  or: " or ",
  and: " and ",
};
