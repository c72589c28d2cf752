/** What people read about token files. */
export const tokenFileWords = {
  // json.ts
  tooDeep: (most: number) => `more than ${most} groups or values are nested inside one another`,
  tooLarge: (megabytes: number) => `the file is larger than ${megabytes} MB`,
  notJson: (reason: string) => `this is neither JSON nor JSON5${reason && `: ${reason}`}`,

  // walk.ts
  noTokens: "the file holds no tokens",
  notGroup: "a token file is an object of groups and tokens",
  neitherTokenNorGroup: "this is neither a token nor a group",
  nameNotAllowed: (name: string) => `the format does not allow the name “${name}”`,
  cannotExtend: (target: string) =>
    `the group cannot extend “${target}”: there is no such group, or it leads back here`,

  // table.ts
  circle: (way: string) => `its aliases lead in a circle: ${way}`,
  aliasOfNothing: (target: string) => `“${target}” is not in any of the files`,
  tooMany: (most: number) => `a project can have ${most} tokens; the rest was left out`,
  twice: "it is said twice; the later one counts",

  // made.ts
  noType: "it has no type",
  unknownType: (type: string) => `“${type}” is not a type of the format`,
  notOfType: (value: string, type: string) => `${value} is not a value of type “${type}”`,
  otherType: (type: string, target: string, other: string) =>
    `it is a ${type}, but “${target}” is a ${other}`,
  noName: "its name is empty",
  nameTooLong: (name: number, groups: number) =>
    `its name has more than ${name} characters, or its groups more than ${groups}`,
  saysTooMuch: (most: number) => `it says more than ${most} characters`,

  // resolver.ts
  fileMissing: (name: string) => `the resolver names the file “${name}”, which was not chosen`,
  setMissing: (name: string) => `the resolver has no “${name}”`,
  notResolver: "the resolver's sets, modifiers or order are not as the format says",
  tooManyContexts: (most: number) => `a theme can have ${most} values`,

  // write
  combined: (path: string) => `${path} says something for two themes at once`,
};
