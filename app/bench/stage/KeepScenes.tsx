import { useLayoutEffect, useMemo } from "react";
import type { LayoutEnv } from "#core/layout";
import type { Variant } from "#core/project";
import { useDisplayedSource } from "../../session/displayed";
import { useBenchStore, useWorkpiece } from "../state/context";
import { SceneKeeper } from "./sceneKeeper";

interface Props {
  readonly env: LayoutEnv;
  readonly variants: readonly Variant[];
}

/** Keeps the cards of the stage drawn for as long as it is shown. */
export const KeepScenes = ({ env, variants }: Props) => {
  const source = useDisplayedSource();
  const store = useBenchStore();
  const { scenes } = useWorkpiece();
  const keeper = useMemo(
    () => new SceneKeeper(env, source, store, scenes, variants),
    [env, source, store, scenes, variants],
  );
  useLayoutEffect(() => keeper.keep(), [keeper]);
  return null;
};
