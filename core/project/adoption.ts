import type { Id } from "../basics";

/** That a project uses a system, in one of its editions. */
export interface Adoption {
  readonly id: Id;
  readonly order: string;
  /** the project that publishes the system */
  readonly system: Id;
  /** what the system was called in this edition */
  readonly name: string;
  /** SHA-256 of what the edition holds, in hexadecimal */
  readonly edition: string;
  /** the edition's number, as Semantic Versioning has it */
  readonly number: string;
  /** editions that shall not be taken over, by number, and why not */
  readonly declined?: Readonly<Record<string, string>> | undefined;
}

/** Where a component came from that was made independent. */
export interface Origin extends Pick<Adoption, "system" | "name" | "number"> {
  /** what it is called there */
  readonly piece: Id;
}

/** Between an adoption and what it brings: no id that is made in a project has it. */
const JOINT = ".";

/** What an adoption brings is called so, so that two editions of a system can stand side by side. */
export const qualified = (adoption: Id, id: Id): Id => `${adoption}${JOINT}${id}`;

/** The adoption that brought something; null for what is the project's own. */
export const adoptionOf = (id: Id): Id | null => {
  const at = id.indexOf(JOINT);
  return at < 0 ? null : id.slice(0, at);
};

/** Whether something is the project's own, and not brought by an adoption. */
export const isOwn = (id: Id): boolean => adoptionOf(id) === null;

/** What something that was adopted is called where it comes from. */
export const innerId = (id: Id): Id => id.slice(id.indexOf(JOINT) + 1);
