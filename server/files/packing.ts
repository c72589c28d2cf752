import { createHash } from "node:crypto";
import { unzipSync, zipSync } from "fflate";
import type { Zippable } from "fflate";
import { LARGEST_FILE, projectEntries, projectFileWords, readEntries } from "#core/formats/project";
import type { Entries, ProjectFile, ReadProjectFile } from "#core/formats/project";

/** What it may unpack to, bytes, and how many files it may hold. */
const LARGEST_UNPACKED = 400_000_000;
const MOST_FILES = 25_000;

/** What is asked of who packs: a project file of what it holds, or the other way. */
export type Packing =
  | { readonly kind: "pack"; readonly file: ProjectFile; readonly madeAt: string }
  | { readonly kind: "unpack"; readonly bytes: Uint8Array };

const sha256 = (bytes: Uint8Array): string => createHash("sha256").update(bytes).digest("hex");

const packed = (entries: Entries): Uint8Array => {
  const files: Zippable = {};
  for (const [path, bytes] of Object.entries(entries))
    // pictures and fonts are packed already
    files[path] = [bytes, { level: path.startsWith("assets/") ? 0 : 6 }];
  return zipSync(files);
};

/** Why an archive is not unpacked. */
class TooMuch extends Error {}

const unpacked = (bytes: Uint8Array): Entries => {
  let size = 0;
  let count = 0;
  const found = unzipSync(bytes, {
    // what files claim is counted before anything is unpacked; more is not written than claimed
    filter: ({ originalSize }) => {
      size += originalSize;
      count += 1;
      if (size > LARGEST_UNPACKED)
        throw new TooMuch(`it unpacks to more than ${LARGEST_UNPACKED / 1e6} MB`);
      if (count > MOST_FILES) throw new TooMuch(`it holds more than ${MOST_FILES} files`);
      return true;
    },
  });
  // names of files are keys that anyone may choose
  return Object.assign(Object.create(null) as Record<string, Uint8Array>, found);
};

/** Packs a project file (ZIP, PKWARE APPNOTE 6.3). */
export const pack = (file: ProjectFile, madeAt: string): Uint8Array =>
  packed(projectEntries(file, madeAt));

/** Unpacks and reads a project file; the reason where that cannot be. */
export const unpack = (bytes: Uint8Array): ReadProjectFile => {
  if (bytes.byteLength > LARGEST_FILE)
    return { ok: false, reason: projectFileWords.tooLarge(LARGEST_FILE / 1e6) };
  try {
    return readEntries(unpacked(bytes), sha256);
  } catch (error) {
    const reason =
      error instanceof TooMuch ? error.message : "it is not a project file, or damaged";
    return { ok: false, reason };
  }
};
