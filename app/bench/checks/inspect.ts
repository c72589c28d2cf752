import { proxy } from "comlink";
import { useEffect } from "react";
import type { Id } from "#core/basics";
import { neighbourhood } from "#core/checks";
import { baseProject } from "#core/looks";
import type { LayoutEnv } from "#core/layout";
import type { Project } from "#core/project";
import type { Inspection, Inspector } from "../../../workers/inspector";
import { inspector } from "../../services/inspector";
import { useBenchStore, usePiece } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";

/**
 * How long nothing must have changed before a piece is looked through, ms: edits under way come
 * first.
 */
const CALM = 700;

type Tell = NonNullable<Parameters<Inspector["inspect"]>[2]>;

const inspect = async (
  env: LayoutEnv,
  project: Project,
  piece: Id,
  tell: Tell,
): Promise<Inspection | null> => (await inspector(env)).inspect(project, piece, proxy(tell));

/**
 * Looks the piece on the bench through, in a worker, whenever it has come to rest after an edit.
 */
export const useInspection = (env: LayoutEnv): void => {
  const project = useDisplayedProject();
  const piece = usePiece();
  const store = useBenchStore();
  useEffect(() => {
    let stale = false;
    store.getState().beginInspecting();
    const timer = setTimeout(() => {
      const near = neighbourhood(baseProject(project), piece);
      const tell: Tell = (sofar, looked) => {
        if (!stale) store.getState().inspectedSoFar(sofar, looked);
      };
      void inspect(env, near, piece.id, tell).then((inspection) => {
        if (!stale && inspection) store.getState().inspected(inspection);
      });
    }, CALM);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
    // other pieces matter as well: an edit of a placed component is an edit of what is checked here
  }, [env, project, piece, store]);
};
