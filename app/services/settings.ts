import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { Variant } from "#core/project";

interface Settings {
  /** whether letters alone are keys (WCAG 2.1.4 asks that this can be switched off) */
  readonly letters: boolean;
  /** whether the drawer shows its tabs alone */
  readonly folded: boolean;
  /** whether the drawer stands beside the stage where the window is wide enough */
  readonly beside: boolean;
  /** groups of the sheet that show their captions alone */
  readonly foldedGroups: readonly string[];
  /** whether building a first part step by step is still offered */
  readonly offersGuide: boolean;
  /** the piece that is built step by step; null for none */
  readonly guided: string | null;
  /** the theme each project is shown in */
  readonly themes: Readonly<Record<string, Variant>>;
  readonly setTheme: (project: string, theme: Variant) => void;
  /** the components last inserted in each project, newest first */
  readonly recent: Readonly<Record<string, readonly string[]>>;
  readonly inserted: (project: string, component: string) => void;
  readonly guide: (piece: string) => void;
  readonly endGuide: () => void;
  readonly setLetters: (letters: boolean) => void;
  readonly fold: (folded: boolean) => void;
  readonly setBeside: (beside: boolean) => void;
  readonly toggleGroup: (group: string) => void;
}

const MOST_RECENT = 6;

/** What somebody has set for this browser. There is one of it, as there is one of its store. */
export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      letters: true,
      folded: false,
      beside: false,
      foldedGroups: [],
      offersGuide: true,
      guided: null,
      themes: {},
      setTheme: (project, theme) =>
        set(({ themes }) => ({ themes: { ...themes, [project]: theme } })),
      recent: {},
      inserted: (project, component) =>
        set(({ recent }) => {
          const others = (recent[project] ?? []).filter((id) => id !== component);
          return { recent: { ...recent, [project]: [component, ...others].slice(0, MOST_RECENT) } };
        }),
      guide: (piece) => set({ guided: piece }),
      endGuide: () => set({ guided: null, offersGuide: false }),
      setLetters: (letters) => set({ letters }),
      fold: (folded) => set({ folded }),
      setBeside: (beside) => set({ beside }),
      toggleGroup: (group) =>
        set(({ foldedGroups: all }) => ({
          foldedGroups: all.includes(group) ? all.filter((g) => g !== group) : [...all, group],
        })),
    }),
    {
      name: "nubble.settings",
      partialize: ({
        letters,
        folded,
        beside,
        foldedGroups,
        offersGuide,
        guided,
        themes,
        recent,
      }) => ({
        recent,
        letters,
        folded,
        beside,
        foldedGroups,
        offersGuide,
        guided,
        themes,
      }),
    },
  ),
);
