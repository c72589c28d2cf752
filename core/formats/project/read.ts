import { z } from "zod";
import { FORMAT, isNewer, isOlder, readProject } from "../../project";
import type { Project } from "../../project";
import { FILE_VERSION, MANIFEST, manifestSchema, MOST_MOMENTS } from "./file";
import type { Entries, KeptEdition, KeptFile, Manifest, NamedProject, ProjectFile } from "./file";
import { projectFileWords as words } from "./words";

/** A project file that was read, and what is otherwise than in it: sentences for who imports it. */
export type ReadProjectFile =
  | { readonly ok: true; readonly file: ProjectFile; readonly notes: readonly string[] }
  | { readonly ok: false; readonly reason: string };

/** SHA-256 in hexadecimal digits. */
type Digest = (bytes: Uint8Array) => string;

const decoder = new TextDecoder("utf-8", { fatal: true });

const jsonOf = (bytes: Uint8Array): unknown => {
  try {
    return JSON.parse(decoder.decode(bytes));
  } catch {
    return undefined;
  }
};

const refused = (reason: string): ReadProjectFile => ({ ok: false, reason });

type ReadPart = { ok: true; project: Project } | { ok: false; reason: string };

/** Reads one of the projects of a file. */
const projectIn = (entries: Entries, name: string): ReadPart => {
  const bytes = entries[name];
  if (!bytes) return { ok: false, reason: words.lacks(name) };
  const data = jsonOf(bytes);
  if (data === undefined) return { ok: false, reason: words.notJson(name) };
  const read = readProject(data);
  return read.ok ? read : { ok: false, reason: words.notProject(name, read.error) };
};

const momentsIn = (
  entries: Entries,
  { moments }: Manifest,
  notes: string[],
): readonly NamedProject[] =>
  moments.flatMap(({ name, file }) => {
    const read = projectIn(entries, file);
    if (read.ok) return [{ name, project: read.project }];
    notes.push(words.momentLeftOut(name, read.reason));
    return [];
  });

const assetsIn = (entries: Entries, { assets }: Manifest, digest: Digest, notes: string[]) => {
  const found = new Map<string, KeptFile>();
  for (const { hash, type, file } of assets) {
    const bytes = entries[file];
    if (!bytes) continue;
    if (digest(bytes) === hash) found.set(hash, { type, bytes });
    else notes.push(words.notWhatWasWritten(file));
  }
  return found;
};

/** The format that the text of an edition says it is in; null for what is none. */
const editionFormat = (bytes: Uint8Array): number | null => {
  const data = jsonOf(bytes);
  if (typeof data !== "object" || data === null || !("format" in data)) return null;
  const { format } = data;
  return typeof format === "number" && Number.isInteger(format) && format > 0 ? format : null;
};

const editionsIn = (entries: Entries, { editions }: Manifest, digest: Digest, notes: string[]) => {
  const found = new Map<string, KeptEdition>();
  for (const { hash, file } of editions) {
    const bytes = entries[file];
    if (!bytes) continue;
    const format = digest(bytes) === hash ? editionFormat(bytes) : null;
    if (format !== null) found.set(hash, { format, text: decoder.decode(bytes) });
    else notes.push(words.notWhatWasWritten(file));
  }
  return found;
};

/** What the project names that the file does not bring. */
const lacking = ({ project, assets, editions }: ProjectFile): readonly string[] => [
  ...Object.values(project.assets)
    .filter((asset) => asset.kind !== "icon" && !assets.has(asset.hash))
    .map(({ name }) => words.lackingFile(name)),
  ...Object.values(project.adoptions)
    .filter(({ edition }) => !editions.has(edition))
    .map(({ name }) => words.lackingEdition(name)),
];

/** What tells who can read a file, whatever else it says. */
const claimsSchema = z.object({
  nubble: z.string(),
  version: z.number().default(1),
  format: z.number().default(1),
  moments: z.array(z.unknown()).default([]),
});

/** What a manifest says, or why the file cannot be read here. */
const manifestOf = (
  entries: Entries,
): { ok: true; manifest: Manifest } | { ok: false; reason: string } => {
  const bytes = entries[MANIFEST];
  const data = bytes && jsonOf(bytes);
  const claims = claimsSchema.safeParse(data);
  if (!claims.success) return { ok: false, reason: words.notOne };
  const { version, format, moments } = claims.data;
  if (isNewer(format)) return { ok: false, reason: words.newer(format, FORMAT) };
  if (version > FILE_VERSION) return { ok: false, reason: words.newer(version, FILE_VERSION) };
  if (moments.length > MOST_MOMENTS)
    return { ok: false, reason: words.tooManyMoments(MOST_MOMENTS) };
  const read = manifestSchema.safeParse(data);
  return read.success
    ? { ok: true, manifest: read.data }
    : { ok: false, reason: words.notJson(MANIFEST) };
};

/**
 * Reads the unpacked files of a project file. Projects of an older format are written anew, those
 * of a newer one refused; parts that are damaged are left out and named, the project itself alone
 * must be whole. Files are looked for where the manifest says, and nowhere else.
 */
export const readEntries = (entries: Entries, digest: Digest): ReadProjectFile => {
  const found = manifestOf(entries);
  if (!found.ok) return refused(found.reason);
  const { manifest } = found;
  const read = projectIn(entries, manifest.project);
  if (!read.ok) return refused(read.reason);
  const notes: string[] = [];
  const file: ProjectFile = {
    project: read.project,
    moments: momentsIn(entries, manifest, notes),
    assets: assetsIn(entries, manifest, digest, notes),
    editions: editionsIn(entries, manifest, digest, notes),
  };
  const upgraded = isOlder(manifest.format) ? [words.upgraded(manifest.format, FORMAT)] : [];
  return { ok: true, file, notes: [...upgraded, ...notes, ...lacking(file)] };
};
