export type { MachineEvent } from "./events";
export type { State, Timer } from "./state";
export type { ActiveInstance, Input, Path, Point } from "./types";

// the machine, on its virtual clock
export { revise, shownVariant, start } from "./machine";
export { byHand } from "./input/direct";
export { advance, step } from "./compiled/step";
export { advanceReadably, stepReadably } from "./readable/step";
export { nextDue } from "./time/wait";
export { changed, copyOf } from "./state";
export type { Draft } from "./state";
export { fireRule } from "./rules/fire";
export { movesOf } from "./time/moves";
export { dragged } from "./input/drag";

// what runs: copies, components, rules
export { liveAt, withinScreen } from "./chain";
export { chainAt as chainOf } from "./compiled/program";
export { troubleText } from "./rules/trouble-text";
export { ancestry, brokenRule, hiddenIn, liveCopies, rulesOf } from "./piece";
export { resolveMotion, resolveNumbers, resolveTimed } from "./tokens";
export { componentsAt } from "./components";
export { backOf, between, endsOf, startsOf } from "./ends";
export { targetValue } from "./rules/target";

// kinds of rules
export { DOUBLE } from "./input/pressing";
export { SLOP, usualDrag } from "./input/drag";
export { isContact, isOfPiece, isPointed, isPressed, triggerOf } from "./rules/triggers";
export { claimOf, isNavigation, isShown } from "./rules/effects";
export { contest } from "./rules/contest";
export { rivalsIn } from "./rules/rivals";
export type { Rival } from "./rules/rivals";
export { listeningLayers } from "./rules/listening";

// what is seen of a state
export { shownNumber } from "./compiled/program";
export { focusStops, nextStop, usable } from "./input/focus";
export { isEntry } from "./input/forms";
export { layersWith, saidIn } from "./saying";
export { withMoments } from "./time/clips";
export { frontPath, overlayOf, overlayPart, overlayStyle } from "./surface";
