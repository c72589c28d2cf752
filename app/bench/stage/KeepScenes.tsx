import { useLayoutEffect, useMemo } from "react";
import type { LayoutEnv } from "#core/layout";
import type { Variant } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { useActive, useBench, useBenchStore } from "../state/context";
import { isHeavy, useLagged } from "../state/Later";
import { useScenes } from "../state/scenes";

/** How long other cards may lag behind a hand that drags in a large piece, ms. */
const LAG = 600;

interface Props {
  readonly env: LayoutEnv;
  readonly variants: readonly Variant[];
}

/**
 * Lays the shown variants out whenever the piece changes, for the cards to show. While one drags in
 * a large piece the card looked at follows at once, the others a little later.
 */
export const KeepScenes = ({ env, variants }: Props) => {
  const store = useBenchStore();
  const id = useBench((s) => s.pieceId);
  const project = useDisplayedProject();
  const piece = project.pieces[id];
  const { variant } = useActive();
  const editing = useBench((s) => s.editing);
  const lags = editing && isHeavy(piece, variants.length);
  const lagged = useLagged(project, lags, LAG);
  const looked = useMemo(() => [variant], [variant]);
  const all = useScenes(env, lagged, lagged.pieces[id], variants);
  const [live] = useScenes(env, project, lags ? piece : undefined, looked);
  useLayoutEffect(() => {
    const scenes = new Map(all.map((s) => [s.key, s.placed]));
    if (live && scenes.has(live.key)) scenes.set(live.key, live.placed);
    store.getState().stageDrawn(env, scenes);
  }, [env, all, live, store]);
  return null;
};
