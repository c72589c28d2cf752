import { z } from "zod";
import type { Project } from "../../project";

/** The format of the file itself; that of projects is theirs. */
export const FILE_VERSION = 1;
/** What project files are called at their end, and their media type. */
export const ENDING = ".nubble";
export const MEDIA_TYPE = "application/vnd.nubble.project+zip";

export const MANIFEST = "nubble.json";
export const PROJECT = "project.json";
export const momentPath = (index: number): string => `moments/${index + 1}.json`;
export const assetPath = (hash: string): string => `assets/${hash}`;
export const editionPath = (hash: string): string => `editions/${hash}.json`;

/** The largest file that is taken, bytes. */
export const LARGEST_FILE = 100_000_000;
/** So many named moments a file may hold. */
export const MOST_MOMENTS = 500;

const hash = z.string().regex(/^[0-9a-f]{64}$/);
const path = z.string().min(1).max(200);

/** What a project file says of itself: `nubble.json` in it. */
export const manifestSchema = z.object({
  nubble: z.literal("project"),
  /** of the file */
  version: z.int().min(1),
  /** of the projects in it */
  format: z.int().min(1),
  name: z.string().max(120),
  madeAt: z.iso.datetime(),
  project: z.literal(PROJECT),
  /** named moments, the oldest first */
  moments: z.array(z.object({ name: z.string().min(1).max(120), file: path })).max(MOST_MOMENTS),
  /** pictures and fonts, by the SHA-256 of their bytes */
  assets: z.array(z.object({ hash, type: z.string().max(80), file: path })).max(20_000),
  /** contents of adopted editions, by the SHA-256 of their text */
  editions: z.array(z.object({ hash, file: path })).max(1000),
});
export type Manifest = z.infer<typeof manifestSchema>;

/** A moment that somebody gave a name. */
export interface NamedProject {
  readonly name: string;
  readonly project: Project;
}

/** A picture or font as it is kept. */
export interface KeptFile {
  /** media type; "font" for any font */
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** What an adopted edition holds, to the letter, and the format it is written in. */
export interface KeptEdition {
  readonly format: number;
  readonly text: string;
}

/** All that a project file holds. */
export interface ProjectFile {
  readonly project: Project;
  /** the oldest first */
  readonly moments: readonly NamedProject[];
  readonly assets: ReadonlyMap<string, KeptFile>;
  /** contents of adopted editions, by the SHA-256 of their text */
  readonly editions: ReadonlyMap<string, KeptEdition>;
}

/** Files of an archive by their paths. */
export type Entries = Readonly<Record<string, Uint8Array>>;
