import type { Id } from "../basics";
import type { Asset } from "../properties";
import type { Adoption } from "./adoption";
import type { Theme, Token, TokenGroup } from "./tokens/tokens";
import type { Piece } from "./types";

/** All there is of a piece of work: everything in tables of records by id. */
export interface Project {
  readonly format: number;
  readonly name: string;
  /** the screen a prototype starts on; null: the first */
  readonly start: Id | null;
  readonly pieces: Readonly<Record<Id, Piece>>;
  readonly tokens: Readonly<Record<Id, Token>>;
  readonly groups: Readonly<Record<Id, TokenGroup>>;
  readonly themes: Readonly<Record<Id, Theme>>;
  readonly assets: Readonly<Record<Id, Asset>>;
  /** the systems it uses */
  readonly adoptions: Readonly<Record<Id, Adoption>>;
}
