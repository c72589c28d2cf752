import { useDeferredValue, useEffect, useRef, useState } from "react";
import type { ReactNode } from "react";
import { variantsOf } from "#core/looks";
import type { Piece } from "#core/project";
import { ProjectOverride, useProject } from "../../session/context";
import { useBench } from "./state";

/**
 * Pieces with more painted layers than this cannot follow a dragging hand on every card and in
 * every panel.
 */
const HEAVY = 300;
const CARDS = 12;
export const isHeavy = (piece: Piece | undefined, variants: number): boolean =>
  piece !== undefined && Object.keys(piece.layers).length * Math.min(CARDS, variants) > HEAVY;

/** A value as it was at most `ms` ago while `lags` holds; at once when it does not any more. */
export const useLagged = <T,>(value: T, lags: boolean, ms: number): T => {
  const [shown, setShown] = useState(value);
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  });
  useEffect(() => {
    if (!lags) return;
    const timer = setInterval(() => setShown(latest.current), ms);
    return () => clearInterval(timer);
  }, [lags, ms]);
  if (!lags && shown !== value) setShown(value);
  return lags ? shown : value;
};

/**
 * Parts that show an edit of a large piece a moment after the stage has: the sheet, the tree, Try.
 * Small pieces are shown at once.
 */
export const Later = ({ children }: { children: ReactNode }) => {
  const project = useProject();
  const piece = project.pieces[useBench((s) => s.pieceId)];
  const editing = useBench((s) => s.editing);
  const heavy = isHeavy(piece, piece ? variantsOf(piece).length : 1);
  const later = useDeferredValue(useLagged(project, heavy && editing, 250));
  return <ProjectOverride value={heavy ? later : null}>{children}</ProjectOverride>;
};
