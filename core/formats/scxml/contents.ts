import { effectText } from "../../describe";
import type { Effect, EffectOf, EffectType, Piece, Project } from "../../project";
import { escape } from "./xml";

/**
 * What an effect is in a chart: executable content (SCXML §4), or null where the regions of the
 * traits say it.
 */
export type EffectContent<K extends EffectType> = (
  effect: EffectOf<K>,
  project: Project,
  piece: Piece,
) => string | null;

/** What a chart cannot do itself is logged in words. */
export const told = (effect: Effect, project: Project, piece: Piece): string =>
  `<log label="does" expr="${escape(JSON.stringify(effectText(project, piece, effect)))}"/>`;
