import { useSyncExternalStore } from "react";
import type { FontBook, LayoutEnv } from "#core/layout";

let env: LayoutEnv | null = null;
let loading: Promise<void> | null = null;
const waiting = new Set<() => void>();

const load = async (): Promise<void> => {
  const [fonts, yoga] = await Promise.all([import("#fonts"), import("yoga-layout/load").then((m) => m.loadYoga())]);
  env = { fonts: fonts.default as unknown as FontBook, flex: yoga };
  for (const call of waiting) call();
};

const subscribe = (call: () => void) => {
  waiting.add(call);
  loading ??= load();
  return () => waiting.delete(call);
};

/** Font measures and the flexbox engine, loaded once per window; null until they are there, and on the server. */
export const useEnv = (): LayoutEnv | null => useSyncExternalStore(subscribe, () => env, () => null);
