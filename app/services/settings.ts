import { create } from "zustand";
import { persist } from "zustand/middleware";

interface Settings {
  /** whether letters alone are keys (WCAG 2.1.4 asks that this can be switched off) */
  readonly letters: boolean;
  readonly setLetters: (letters: boolean) => void;
}

/** What somebody has set for this browser. There is one of it, as there is one of its store. */
export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      letters: true,
      setLetters: (letters) => set({ letters }),
    }),
    { name: "nubble.settings", partialize: ({ letters }) => ({ letters }) },
  ),
);
