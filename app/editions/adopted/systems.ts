import { byNumber } from "#core/system";
import type { Offer } from "#core/system";
import type { Adoption } from "#core/project";
import type { EditionAbout } from "#server";

/** A system that can be adopted, or is: its editions, the newest first. */
export interface System {
  readonly id: string;
  readonly name: string;
  /** its project was deleted; what it has published stays */
  readonly isGone: boolean;
  readonly editions: readonly EditionAbout[];
}

export const offerOf = ({ system, systemName, number, hash }: EditionAbout): Offer => ({
  system,
  name: systemName,
  number,
  edition: hash,
});

/** Editions that can be taken over in the place of the one that is used, the newest first. */
export const newerThan = ({ number }: Adoption, system: System | undefined): EditionAbout[] =>
  (system?.editions ?? []).filter(
    (edition) => edition.withdrawn === null && byNumber(edition, { number }) < 0,
  );
