import type { StateCreator } from "zustand";
import type { Inspection as Found } from "../../../workers/inspector";

/** What looking the piece through has come to. */
export interface Inspection {
  /** what the checks and rehearsals came to; null before they were first made */
  readonly inspection: Found | null;
  /** true from an edit until it has been looked through */
  readonly inspecting: boolean;
  readonly beginInspecting: () => void;
  readonly inspected: (inspection: Found) => void;
  /** takes what some rehearsals, run again, came to */
  readonly rehearsed: (results: Found["rehearsals"]) => void;
}

export const inspection: StateCreator<Inspection> = (set) => ({
  inspection: null,
  inspecting: true,
  beginInspecting: () => set({ inspecting: true }),
  inspected: (found) => set({ inspection: found, inspecting: false }),
  rehearsed: (results) =>
    set(({ inspection: found }) => ({
      inspection: found && { ...found, rehearsals: { ...found.rehearsals, ...results } },
    })),
});
