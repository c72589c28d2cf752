/** What people read in project. */
export const projectWords = {
  // text.ts
  change: "Change",

  // change.ts
  notName: "not a name",
  valuesAreNestedMore: (valueDepth: number) =>
    `values are nested more than ${valueDepth} levels deep`,
  notJsonValue: "not a JSON value",

  // scalars.ts
  idMustBeLetters: "an id must be letters, digits, _ or -",
  idReserved: "this id is reserved",
  nameCannotBeEmpty: "a name cannot be empty",
  nameCanHaveAt: "a name can have at most 120 characters",

  // schema.ts
  textTooLong: (most: number) => `a text can have at most ${most} characters`,
  areLimited: (most: number, what: string) => `${what} are limited to ${most}`,
  thereNoProperty: (key: string) => `there is no property “${key}”`,
  keyframeNeedsValueProperty: "a keyframe needs a value for its property",
  recordMustBeKept: "a record must be kept under its own id",
  wrongValue: "wrong value",
  hasNoRootLayer: (name: string) => `“${name}” has no root layer`,
  hasNoPlaceTree: (name: string) => `“${name}” has no place in the tree`,
  cannotBePlacedInside: (name: string) => `“${name}” cannot be placed inside itself`,
  wouldBeNestedMore: (name: string, depth: number) =>
    `“${name}” would be nested more than ${depth} layers deep`,
  areLimited2: (limitsAt: number, what: string) => `${what} are limited to ${limitsAt}`,
  dataNotValid: "the data is not valid",
  at: (message: string, place: string) => `${message} (at ${place})`,

  // accept.ts
  pieceMustBeKept: "a piece must be kept under its own id",
  belongsToSystem:
    "It belongs to a system that this project uses. Make it independent to change it here.",
  idCannotChange: "an id cannot change",
  pieceHasNo: (field: string) => `a piece has no “${field}”`,
  allCannotBeReplaced: (field: string) => `all ${field} cannot be replaced at once`,
  changeMustSayWhere: "a change must say where",
  allPiecesCannotBe: "all pieces cannot be replaced at once",
  allCannotBeReplacedAtOnce: (top: string) => `all ${top} cannot be replaced at once`,
  projectHasNo: (top: string) => `a project has no “${top}”`,
  changeTooLargeMb: (megabytes: string, megabytes2: string) =>
    `the change is too large: ${megabytes} MB; the limit is ${megabytes2} MB`,
  placeChangeHasNo: "a place in the change has no proper name",

  // judge.ts
  whatWouldRestoreNo: "what it would restore is no longer known",

  // scalars.ts
  notPlaceOrder: "not a place in an order",

  // schema.ts
  stepsWithJumpNone: "steps with jump-none need a count of 2 or more",
  giveReason: "give a reason",
  notPathData: "not path data",
};
