import type { StateCreator } from "zustand";
import type { Id } from "#core/basics";
import type { Step, Variant } from "#core/project";

/** Steps to be shown in Try; whose, when they are a rehearsal's. */
export interface Showing {
  readonly steps: readonly Step[];
  readonly rehearsal: Id | null;
}

/** Where the running copy is, and the rules it waits for. */
interface Running {
  readonly variant: Variant;
  readonly waits: readonly { readonly rule: Id; /** ms of its clock */ readonly left: number }[];
  /** when that was so, ms of the page */
  readonly since: number;
  /** how fast its clock goes */
  readonly rate: number;
}

/** What Try runs, shows, and is asked for from elsewhere. */
export interface Tryout {
  readonly running: Running | null;
  /** a variant that Try shall show */
  readonly wanted: Variant | null;
  readonly restarts: number;
  /** the rehearsal whose steps are open */
  readonly rehearsal: Id | null;
  readonly showing: Showing | null;
  /** the step being shown, counted from 0 */
  readonly shownStep: number;
  readonly ran: (running: Running) => void;
  readonly want: (variant: Variant | null) => void;
  readonly restart: () => void;
  readonly openRehearsal: (rehearsal: Id | null) => void;
  readonly show: (showing: Showing | null) => void;
  readonly stepShown: (step: number) => void;
}

export const tryout: StateCreator<Tryout> = (set) => ({
  running: null,
  wanted: null,
  restarts: 0,
  rehearsal: null,
  showing: null,
  shownStep: 0,
  ran: (running) => set({ running }),
  want: (wanted) => set({ wanted }),
  restart: () => set((s) => ({ restarts: s.restarts + 1 })),
  openRehearsal: (rehearsal) => set({ rehearsal }),
  show: (showing) => set({ showing }),
  stepShown: (shownStep) => set({ shownStep }),
});
