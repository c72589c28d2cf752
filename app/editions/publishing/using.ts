import type { ComponentUse } from "#core/system";

/** A project that uses an edition of a system, and how. */
export interface Using {
  readonly projectId: string;
  readonly projectName: string;
  readonly number: string;
  readonly uses: readonly ComponentUse[];
}
