export { offeredBy } from "./offered";
export type { Offered } from "./offered";
export { checkSystem, fixAll, fixOf, systemChecks } from "./checks";
export type { SystemCheck, SystemFinding } from "./checks";
export { searchComponents } from "./search";
export { spokenParts } from "./spoken";
export type { HeardKey, SpokenPart } from "./spoken";
export { STAGE, stagedSample } from "./staged";
export { copiesOf, tokensIn, usesByComponent } from "./uses";
