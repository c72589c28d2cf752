import { FORMAT } from "../../project";
import { assetPath, editionPath, FILE_VERSION, MANIFEST, momentPath, PROJECT } from "./file";
import type { Entries, Manifest, ProjectFile } from "./file";

const encoder = new TextEncoder();
const json = (value: unknown): Uint8Array => encoder.encode(JSON.stringify(value, null, 2));

/** The files of a project file, still to be packed; `madeAt` is in ISO 8601. */
export const projectEntries = (
  { project, moments, assets, editions }: ProjectFile,
  madeAt: string,
): Entries => {
  const manifest: Manifest = {
    nubble: "project",
    version: FILE_VERSION,
    format: FORMAT,
    name: project.name,
    madeAt,
    project: PROJECT,
    moments: moments.map(({ name }, i) => ({ name, file: momentPath(i) })),
    assets: [...assets].map(([hash, { type }]) => ({ hash, type, file: assetPath(hash) })),
    editions: [...editions.keys()].map((hash) => ({ hash, file: editionPath(hash) })),
  };
  return {
    [MANIFEST]: json(manifest),
    [PROJECT]: json(project),
    ...Object.fromEntries(moments.map((moment, i) => [momentPath(i), json(moment.project)])),
    ...Object.fromEntries([...assets].map(([hash, { bytes }]) => [assetPath(hash), bytes])),
    // to the letter: their hash is that of their text
    ...Object.fromEntries(
      [...editions].map(([hash, { text }]) => [editionPath(hash), encoder.encode(text)]),
    ),
  };
};
