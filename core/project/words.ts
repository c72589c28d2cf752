/** What people read in project. */
export const projectWords = {
  // text.ts
  change: "Change",

  // change.ts
  notName: "not a name",
  valuesLieMoreThan: (valueDepth: number) =>
    `values lie more than ${valueDepth} deep in one another`,
  notJsonValue: "not a JSON value",

  // scalars.ts
  idMustBeLetters: "an id must be letters, digits, _ or -",
  thisIdWordEvery: "this id is a word every object knows",
  nameCannotBeEmpty: "a name cannot be empty",
  nameCanHaveAt: "a name can have at most 120 characters",

  // schema.ts
  moreThanAreNot: (most: number, what: string) => `more than ${most} ${what} are not taken`,
  thereNoProperty: (key: string) => `there is no property “${key}”`,
  poseNeedsValueLanes: "a pose needs a value of the lane's property",
  recordMustBeKept: "a record must be kept under its own id",
  wrongValue: "wrong value",
  hasLostRootLayer: (name: string) => `“${name}” has lost its root layer`,
  hasNoPlaceTree: (name: string) => `“${name}” has no place in the tree`,
  wouldBeInsideItself: (name: string) => `“${name}” would be inside itself`,
  wouldLieMoreThan: (name: string, depth: number) =>
    `“${name}” would lie more than ${depth} layers deep`,
  moreThanAreNotTaken: (limitsAt: number, what: string) =>
    `more than ${limitsAt} ${what} are not taken`,
  dataNotValid: "the data is not valid",
  at: (message: string, place: string) => `${message} (at ${place})`,

  // accept.ts
  pieceMustBeKept: "a piece must be kept under its own id",
  idCannotChange: "an id cannot change",
  pieceHasNo: (field: string) => `a piece has no “${field}”`,
  allCannotBeReplaced: (field: string) => `all ${field} cannot be replaced at once`,
  changeMustSayWhere: "a change must say where",
  allPiecesCannotBe: "all pieces cannot be replaced at once",
  allCannotBeReplacedAtOnce: (top: string) => `all ${top} cannot be replaced at once`,
  projectHasNo: (top: string) => `a project has no “${top}”`,
  changeTooLargeMb: (megabytes: string, megabytes2: string) =>
    `the change is too large: ${megabytes} MB, and ${megabytes2} MB is the most`,
  placeChangeHasNo: "a place in the change has no proper name",

  // judge.ts
  whatWouldBringBack: "what it would bring back is not known any more",

  // scalars.ts
  notPlaceOrder: "not a place in an order",

  // schema.ts
  stepsJumpAtNeither: "steps that jump at neither end are at least two",
  sayWhyShouldBe: "say why it is as it should be",
  notPathData: "not path data",
};
