import { useEffect } from "react";
import { neighbourhood } from "#core/checks";
import type { PieceMap } from "#core/checks";
import type { LayoutEnv } from "#core/layout";
import type { Arranged } from "../../../workers/arrange";
import type { Inspection, Inspector } from "../../../workers/inspector";
import { inspector } from "../../services/inspector";
import { useProject } from "../../session/context";
import { useBenchStore, usePiece } from "../state/state";

/**
 * How long nothing must have changed before a piece is looked through, ms: edits under way come
 * first.
 */
const CALM = 700;

/** Where the places of a map lie; computed in the worker. */
export const arranged = async (env: LayoutEnv, map: PieceMap): Promise<Arranged> =>
  (await inspector(env)).arrangeMap(map);

const inspect = async (
  env: LayoutEnv,
  ...what: Parameters<Inspector["inspect"]>
): Promise<Inspection | null> => (await inspector(env)).inspect(...what);

/**
 * Looks the piece on the bench through, in a worker, whenever it has come to rest after an edit.
 */
export const useInspection = (env: LayoutEnv): void => {
  const project = useProject();
  const piece = usePiece();
  const store = useBenchStore();
  useEffect(() => {
    let stale = false;
    store.getState().put({ inspecting: true });
    const timer = setTimeout(() => {
      void inspect(env, neighbourhood(project, piece), piece.id).then((inspection) => {
        if (!stale && inspection) store.getState().put({ inspection, inspecting: false });
      });
    }, CALM);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
    // other pieces matter as well: an edit of a placed component is an edit of what is checked here
  }, [env, project, piece, store]);
};
