import { useEffect, useMemo } from "react";
import type { ReactNode } from "react";
import { variantsOf } from "#core/looks";
import type { Piece, Project } from "#core/project";
import { DisplayedContext, useDisplayedSource } from "../../session/displayed";
import { LateProject } from "../../session/late";
import { useBenchStore } from "./context";

/**
 * Pieces with more painted layers than this cannot follow a dragging hand on every card and in
 * every panel.
 */
const HEAVY = 300;
const CARDS = 12;
export const isHeavy = (piece: Piece | undefined, variants: number): boolean =>
  piece !== undefined && Object.keys(piece.layers).length * Math.min(CARDS, variants) > HEAVY;

/** How long panels may show a large piece as it was, while one edit follows the other, ms. */
const BUSY = 300;

/**
 * What cannot wait: edits of small pieces, and edits that leave a piece with other layers or
 * traits, for what is chosen is chosen at once.
 */
const cannotWait = (before: Piece | undefined, after: Piece | undefined): boolean =>
  !before ||
  !after ||
  !isHeavy(after, variantsOf(after).length) ||
  before.layers !== after.layers ||
  before.traits !== after.traits;

/**
 * Parts that show an edit of a large piece a moment after the stage has: the sheet, the tree, Try.
 * Small pieces are shown at once.
 */
export const Later = ({ children }: { children: ReactNode }) => {
  const source = useDisplayedSource();
  const store = useBenchStore();
  const late = useMemo(() => {
    const { pieceId } = store.getState();
    return new LateProject(
      source,
      (shown: Project, next: Project) => cannotWait(shown.pieces[pieceId], next.pieces[pieceId]),
      (since) => (store.getState().editing || since < BUSY ? BUSY : 0),
    );
  }, [source, store]);
  useEffect(() => late.follow(), [late]);
  return <DisplayedContext.Provider value={late}>{children}</DisplayedContext.Provider>;
};
