import type { Id } from "../basics";
import type { EffectType, Piece, Project } from "../project";
import { contains, piecesOf } from "./pieces";

/** A screen that rules open over others, and the first of those others. */
export interface OverlayOf {
  readonly piece: Piece;
  readonly over: Piece;
  /** whether one comes to it as to any screen, too */
  readonly isScreenToo: boolean;
}

const leads = (piece: Piece, type: EffectType, screen: Id): boolean =>
  Object.values(piece.rules).some((rule) =>
    rule.effects.some((e) => e.type === type && "screen" in e && e.screen === screen),
  );

/** The screens that lie over others when a rule there, or in what is placed there, opens them. */
export const overlaysOf = (project: Project): readonly OverlayOf[] => {
  const pieces = Object.values(project.pieces);
  const screens = piecesOf(project, "screen");
  return screens.flatMap((piece) => {
    const openers = pieces.filter((p) => leads(p, "open", piece.id));
    const isOpenedOn = (screen: Piece): boolean =>
      openers.some((o) => o.id === screen.id || contains(project, screen.id, o.id));
    const over = screens.find((s) => s.id !== piece.id && isOpenedOn(s));
    const isGoneTo = pieces.some((p) => leads(p, "go", piece.id));
    return over ? [{ piece, over, isScreenToo: isGoneTo || piece.id === project.start }] : [];
  });
};
