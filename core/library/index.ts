export { checkSystem, systemChecks } from "./checks";
export type { SystemCheck, SystemFinding } from "./checks";
export { searchComponents } from "./search";
export { spokenParts } from "./spoken";
export type { HeardKey, SpokenPart } from "./spoken";
export { copiesOf, tokensIn, usesByComponent } from "./uses";
export type { Use } from "./uses";
