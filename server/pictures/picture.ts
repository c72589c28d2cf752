import type { Face } from "#core/layout";
import type { Project } from "#core/project";

/** What a picture of a piece is made from: all that it shows, with the files it uses. */
export interface Sitter {
  readonly project: Project;
  readonly piece: string;
  /** what layout must know of the project's fonts, by the hash of their files */
  readonly faces: ReadonlyMap<string, Face>;
  /** pictures and fonts, by their hash */
  readonly files: ReadonlyMap<string, Uint8Array>;
}
