import { noteListing } from "./listing";
import { logger } from "./logger";
import { ProjectDamaged } from "./log/damage";
import type { ProjectLog } from "./log/log";
import { facePiece } from "./pictures/pictures";

/** Why the tile of a project shows no picture. */
export type Tile =
  | { readonly kind: "empty" }
  | { readonly kind: "damaged"; readonly reason: string }
  /** there is one, or it could not be made */
  | { readonly kind: "fine" }
  | { readonly kind: "unknown" };

/** Looks through a project: whether it can be read, and has anything to show. */
export const tileOf = async (log: ProjectLog, id: string): Promise<Tile> => {
  try {
    const snapshot = await log.read(id);
    if (!snapshot) return { kind: "unknown" };
    await noteListing(id, snapshot.project);
    return { kind: facePiece(snapshot.project) === null ? "empty" : "fine" };
  } catch (error) {
    if (!(error instanceof ProjectDamaged)) throw error;
    logger.error({ project: id, error }, "a project cannot be read");
    return { kind: "damaged", reason: error.reason };
  }
};
