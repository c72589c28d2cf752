import { projectFileWords } from "#core/formats/project";
import type { ProjectFile } from "#core/formats/project";
import { newId } from "#core/project";
import { storeAsset } from "../assets";
import { EditionContentRow } from "../database";
import { decodeApart } from "../decoding/apart";
import type { Decode } from "../decoding/decode";
import type { ProjectLog } from "../log/log";
import type { Packer } from "./packer";

/** What became of a file: the project it was, in words, and what is otherwise than in the file. */
export type Imported =
  | {
      readonly kind: "imported";
      readonly id: string;
      readonly name: string;
      readonly summary: string;
      readonly notes: readonly string[];
    }
  | { readonly kind: "refused"; readonly reason: string };

/** Keeps pictures and fonts; gives why some are not. */
const keepAssets = async ({ assets }: ProjectFile, decode: Decode): Promise<readonly string[]> => {
  const notes: string[] = [];
  for (const [hash, { bytes }] of assets) {
    // whoever made the file may have put anything into it
    const answer = await storeAsset(Buffer.from(bytes), decode);
    if (answer.kind === "refused")
      notes.push(projectFileWords.fileRefused(`assets/${hash.slice(0, 8)}…`, answer.reason));
  }
  return notes;
};

/** Keeps what adopted editions hold: known by its hash, it is the same wherever it comes from. */
const keepEditions = async ({ editions }: ProjectFile): Promise<void> => {
  for (const [hash, { format, text }] of editions)
    await EditionContentRow.findOrCreate({
      where: { hash },
      defaults: { hash, format, body: text },
    });
};

/**
 * Makes a project of a project file, with another id, its named moments as its history. What cannot
 * be taken is named; without the project itself nothing is made.
 */
export const importProject = async (
  log: ProjectLog,
  bytes: Uint8Array,
  packer: Packer,
  decode: Decode = decodeApart,
): Promise<Imported> => {
  const read = await packer.unpack(bytes);
  if (!read.ok) return { kind: "refused", reason: read.reason };
  const { file } = read;
  const refused = await keepAssets(file, decode);
  await keepEditions(file);
  const id = newId();
  await log.createWith(id, file.project, file.moments);
  const { project, assets, moments } = file;
  const pieces = Object.keys(project.pieces).length;
  return {
    kind: "imported",
    id,
    name: project.name,
    summary: projectFileWords.imported(pieces, assets.size - refused.length, moments.length),
    notes: [...read.notes, ...refused],
  };
};
