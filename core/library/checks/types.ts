import type { Id } from "../../basics";
import type { Change } from "../../project";

export const systemChecks = [
  "alike",
  "trait-names",
  "role-states",
  "no-role",
  "own-style",
  "own-motion",
  "undescribed",
] as const;
export type SystemCheck = (typeof systemChecks)[number];

/** What a look at all components together has found. */
export interface SystemFinding {
  /** the same for the same finding after other edits */
  readonly id: string;
  readonly check: SystemCheck;
  readonly text: string;
  /** the components it is about */
  readonly pieces: readonly Id[];
  readonly fixes: readonly { readonly label: string; readonly change: Change }[];
}
