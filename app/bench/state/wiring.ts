import type { StateCreator } from "zustand";
import type { Id } from "#core/basics";
import type { Wire } from "#core/edit";
import type { Variant } from "#core/project";

/** A wire that was drawn, until it is made a rule. */
export interface Wired {
  /** where it ended, px on screen */
  readonly x: number;
  readonly y: number;
  readonly layers: readonly Id[];
  readonly from: readonly Variant[];
  readonly to: Wire;
}

/** The wire in hand. */
export interface Wiring {
  /** true while a wire is being drawn */
  readonly wiring: boolean;
  readonly wired: Wired | null;
  readonly beginWire: () => void;
  /** ends drawing; with what was drawn, when it led somewhere */
  readonly endWire: (wired: Wired | null) => void;
}

export const wiring: StateCreator<Wiring> = (set) => ({
  wiring: false,
  wired: null,
  beginWire: () => set({ wiring: true, wired: null }),
  endWire: (wired) => set({ wiring: false, wired }),
});
