import type { StateCreator } from "zustand";
import type { Inspection as Found } from "../../../workers/inspector";

/** What looking the piece through has come to. */
export interface Inspection {
  /** what the checks and rehearsals came to; null before they were first made */
  readonly inspection: Found | null;
  /** true from an edit until it has been looked through */
  readonly inspecting: boolean;
  /** how many situations were looked at, while what the first of them came to is shown; else null */
  readonly looked: number | null;
  readonly beginInspecting: () => void;
  readonly inspected: (inspection: Found) => void;
  /** takes what the first situations came to, if that is told now, and how many were looked at */
  readonly inspectedSoFar: (sofar: Found | null, looked: number) => void;
  /** takes what some rehearsals, run again, came to */
  readonly rehearsed: (results: Found["rehearsals"]) => void;
}

export const inspection: StateCreator<Inspection> = (set) => ({
  inspection: null,
  inspecting: true,
  looked: null,
  beginInspecting: () => set({ inspecting: true, looked: null }),
  inspected: (found) => set({ inspection: found, inspecting: false, looked: null }),
  inspectedSoFar: (sofar, count) =>
    set(({ inspection: before, looked }) =>
      sofar
        ? { inspection: sofar, looked: count }
        : { inspection: before, looked: looked && count },
    ),
  rehearsed: (results) =>
    set(({ inspection: found }) => ({
      inspection: found && { ...found, rehearsals: { ...found.rehearsals, ...results } },
    })),
});
