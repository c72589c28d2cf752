import { createStore } from "zustand";
import type { StoreApi } from "zustand";
import type { Id } from "#core/basics";
import { clipboard } from "./clipboard";
import type { Clipboard } from "./clipboard";
import { drawer } from "./drawer";
import type { Drawer } from "./drawer";
import { inspection } from "./inspection";
import type { Inspection } from "./inspection";
import { selection } from "./selection";
import type { Selection } from "./selection";
import { timing } from "./timing";
import type { Timing } from "./timing";
import { tryout } from "./tryout";
import type { Tryout } from "./tryout";
import { view } from "./view";
import type { View } from "./view";
import { wiring } from "./wiring";
import type { Wiring } from "./wiring";

/** What one sees and has chosen on the bench; none of it is part of the project. */
export interface BenchState
  extends Selection, View, Drawer, Inspection, Tryout, Timing, Wiring, Clipboard {
  readonly pieceId: Id;
}

/** What benches leave behind for those that come after them. */
export interface LeftBehind {
  readonly recall: (piece: Id) => Partial<BenchState>;
  readonly keep: (state: BenchState) => void;
}

/** The state of a bench, as one left it when one was there before. */
export const createBench = (pieceId: Id, memory: LeftBehind): StoreApi<BenchState> => {
  const store = createStore<BenchState>()((...given) => ({
    pieceId,
    ...selection(...given),
    ...view(...given),
    ...drawer(...given),
    ...inspection(...given),
    ...tryout(...given),
    ...timing(...given),
    ...wiring(...given),
    ...clipboard(...given),
    ...memory.recall(pieceId),
  }));
  store.subscribe((state) => memory.keep(state));
  return store;
};
