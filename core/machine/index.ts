export type { MachineEvent } from "./events";
export type { State, Timer } from "./state";
export type { ActiveInstance, Input, Path, Point } from "./types";

// the machine, on its virtual clock
export { advance, byHand, revise, shownVariant, start, step } from "./machine";
export { nextDue } from "./wait";
export { changed } from "./state";
export { fireRule } from "./fire";
export { movesOf } from "./moves";
export { dragged } from "./drag";

// what runs: copies, components, rules
export { chainOf, liveAt, withinScreen } from "./chain";
export { ancestry, brokenRule, hiddenIn, liveCopies, resolveMotion, rulesOf } from "./piece";
export { componentsAt } from "./components";
export { backOf, between, endsOf, startsOf } from "./ends";
export { targetValue } from "./target";

// kinds of rules
export { DOUBLE } from "./contact";
export { SLOP, usualDrag } from "./drag";
export { isContact, isOfPiece, isPointed, isPressed, triggerOf } from "./triggers";
export { claimOf, isNavigation, isShown } from "./effects";
export { contest } from "./contest";

// what is seen of a state
export { focusStops, nextStop, usable } from "./focus";
export { isEntry } from "./forms";
export { saidIn } from "./saying";
export { withMoments } from "./clips";
export { overlayOf, overlayPart, overlayStyle } from "./surface";
