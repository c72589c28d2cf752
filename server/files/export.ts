import type { KeptEdition, KeptFile, NamedProject, ProjectFile } from "#core/formats/project";
import type { Project } from "#core/project";
import { AssetRow, EditionContentRow } from "../database";
import { editionsSeenBy } from "../contents";
import { momentsOf } from "../history/moments";
import type { ProjectLog } from "../log/log";
import type { Packer } from "./packer";

const assetsOf = async (projects: readonly Project[]): Promise<ReadonlyMap<string, KeptFile>> => {
  const hashes = projects.flatMap((project) =>
    Object.values(project.assets).flatMap((asset) => (asset.kind === "icon" ? [] : [asset.hash])),
  );
  const found = new Map<string, KeptFile>();
  for (const hash of new Set(hashes)) {
    const row = await AssetRow.findByPk(hash, { attributes: ["type", "bytes"] });
    if (row) found.set(hash, { type: row.type, bytes: row.bytes });
  }
  return found;
};

/** Contents of all that projects have adopted, and that this has adopted itself. */
const editionsOf = async (
  projects: readonly Project[],
): Promise<ReadonlyMap<string, KeptEdition>> => {
  const hashes = new Set<string>();
  for (const project of projects)
    for (const hash of Object.keys(await editionsSeenBy(project))) hashes.add(hash);
  const rows = await EditionContentRow.findAll({ where: { hash: [...hashes] } });
  return new Map(rows.map(({ hash, format, body }) => [hash, { format, text: body }]));
};

const contentsOf = async (log: ProjectLog, id: string): Promise<ProjectFile | null> => {
  const snapshot = await log.read(id);
  if (!snapshot) return null;
  const moments: NamedProject[] = [];
  for (const { seq, name } of (await momentsOf(id)).toReversed()) {
    const then = await log.at(id, seq);
    if (then) moments.push({ name, project: then.project });
  }
  const editions = await editionsOf([snapshot.project, ...moments.map((m) => m.project)]);
  // what was adopted brings files of its own
  const seen = Object.values(await editionsSeenBy(snapshot.project));
  const assets = await assetsOf([snapshot.project, ...moments.map((m) => m.project), ...seen]);
  return { project: snapshot.project, moments, assets, editions };
};

/** A project as a file. */
export interface Exported {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/**
 * A project with its files, its named moments and what it has adopted, as one file; null when there
 * is none. Its log stays here. Throws ProjectDamaged.
 */
export const exportProject = async (
  log: ProjectLog,
  id: string,
  packer: Packer,
): Promise<Exported | null> => {
  const file = await contentsOf(log, id);
  if (!file) return null;
  const bytes = await packer.pack(file, new Date().toISOString());
  return { name: file.project.name, bytes };
};
