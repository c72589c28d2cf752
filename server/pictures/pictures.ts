import { createHash } from "node:crypto";
import { startScreen } from "#core/edit";
import type { Face } from "#core/layout";
import { tableEntry } from "#core/project";
import type { Project } from "#core/project";
import { ownPieces, partsOf, worldOf } from "#core/world";
import { readAsset, readAssetFace } from "../assets";
import { editionsSeenBy } from "../contents";
import { PictureRow } from "../database";
import type { ProjectLog } from "../log/log";
import { logger } from "../logger";
import { Threads } from "../threads";
import type { Sitter } from "./picture";

/** How long drawing one picture may take, ms. */
const PATIENCE = 10_000;

const threads = new Threads("painter", 300);

/** The piece a project is known by: its first component, or the screen it starts with. */
export const facePiece = (project: Project): string | null => {
  const component = ownPieces(project).find(({ kind }) => kind === "component");
  return (component ?? startScreen(project))?.id ?? null;
};

const filesOf = async (project: Project): Promise<Pick<Sitter, "faces" | "files">> => {
  const faces = new Map<string, Face>();
  const files = new Map<string, Uint8Array>();
  for (const asset of Object.values(project.assets)) {
    if (asset.kind === "icon") continue;
    const kept = await readAsset(asset.hash);
    if (kept) files.set(asset.hash, kept.bytes);
    const face = asset.kind === "font" ? await readAssetFace(asset.hash) : null;
    if (face) faces.set(asset.hash, face);
  }
  return { faces, files };
};

const draw = async (project: Project, piece: string): Promise<string | null> => {
  const sitter: Sitter = { project, piece, ...(await filesOf(project)) };
  const drawn = await threads.run<string | null>(sitter, PATIENCE);
  if (drawn.ok) return drawn.value;
  logger.warn({ error: drawn.error }, "a picture of a project could not be made");
  return null;
};

/** A piece with all it is made of, of a project with all that it has adopted. */
const partsIn = async (project: Project, piece: string): Promise<Project> => {
  const editions = new Map(Object.entries(await editionsSeenBy(project)));
  return partsOf(worldOf(project, editions), [piece]);
};

/** A piece as it looked after a change; null where there was none. Throws ProjectDamaged. */
export const pictureAt = async (
  log: ProjectLog,
  id: string,
  seq: number,
  piece: string,
): Promise<string | null> => {
  const snapshot = await log.at(id, seq);
  if (!snapshot || !tableEntry(snapshot.project.pieces, piece)) return null;
  return draw(await partsIn(snapshot.project, piece), piece);
};

/** The picture a project had when it was asked for last. */
type Kept = Pick<PictureRow, "source" | "body">;

/** Makes or confirms the picture of a project as it is now. */
const renewed = async (log: ProjectLog, id: string, old: Kept | null): Promise<string | null> => {
  const snapshot = await log.read(id);
  if (!snapshot) return null;
  const { generation, seq, project } = snapshot;
  const piece = facePiece(project);
  if (piece === null) return null;
  const { name: _, ...shown } = await partsIn(project, piece);
  const source = createHash("sha256")
    .update(threads.print)
    .update(JSON.stringify([piece, shown]))
    .digest("hex");
  const isSame = old?.source === source;
  const body = isSame ? old.body : await draw({ ...shown, name: project.name }, piece);
  await PictureRow.upsert({ projectId: id, generation, seq, source, body });
  return body;
};

/** Pictures that are being made. */
const making = new Map<string, Promise<string | null>>();

/**
 * The picture of a project as it is now, an SVG that needs no other file; null where there is none.
 * It is kept, and made anew once what it shows has changed. Throws ProjectDamaged.
 */
export const pictureOf = async (log: ProjectLog, id: string): Promise<string | null> => {
  const head = await log.head(id);
  if (!head) return null;
  const old = await PictureRow.findByPk(id);
  if (old?.generation === head.generation && old.seq === head.seq) return old.body;
  const underWay = making.get(id);
  if (underWay) return underWay;
  const work = renewed(log, id, old).finally(() => making.delete(id));
  making.set(id, work);
  return work;
};
