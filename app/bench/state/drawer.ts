import type { StateCreator } from "zustand";
import type { Id } from "#core/basics";
import type { Clip } from "#core/edit";
import type { Variant } from "#core/project";

export const drawerTabs = ["sheet", "rules", "timing", "map", "checks", "rehearsals"] as const;
export type DrawerTab = (typeof drawerTabs)[number];

/** A window over the bench for a larger task. */
type Dialog =
  | { readonly kind: "compare"; readonly a: Variant; readonly b: Variant }
  | { readonly kind: "gather" }
  | { readonly kind: "replace" }
  | { readonly kind: "scale" }
  | { readonly kind: "readymade" }
  /** copied layers show components that nothing here brings */
  | { readonly kind: "bring"; readonly clip: Clip; readonly inPlace: boolean }
  | { readonly kind: "keys" };

/** Something told beside the scope, and what is offered about it. */
interface Hint {
  readonly text: string;
  readonly offer: { readonly label: string; readonly run: () => void } | null;
}

/** What the drawer shows, and what is open over the bench. */
export interface Drawer {
  readonly tab: DrawerTab;
  readonly onlyDifferences: boolean;
  /** rows of the sheet are shown whose names hold this; all for an empty text */
  readonly sought: string;
  /** why what was typed into the sheet was not taken */
  readonly problem: string | null;
  readonly dialog: Dialog | null;
  readonly hint: Hint | null;
  readonly openTab: (tab: DrawerTab) => void;
  /** opens the rules with some of them chosen, so that one sees what was made */
  readonly showRules: (rules: readonly Id[]) => void;
  readonly showOnlyDifferences: (only: boolean) => void;
  readonly seek: (text: string) => void;
  readonly setProblem: (problem: string | null) => void;
  readonly openDialog: (dialog: Dialog) => void;
  readonly closeDialog: () => void;
  readonly tell: (hint: Hint | null) => void;
}

/** What else of the bench showing rules changes. */
interface Touched {
  readonly chosenRules: readonly Id[];
}

export const drawer: StateCreator<Drawer & Touched, [], [], Drawer> = (set) => ({
  tab: "sheet",
  onlyDifferences: false,
  sought: "",
  problem: null,
  dialog: null,
  hint: null,
  openTab: (tab) => set({ tab }),
  showRules: (chosenRules) => set({ tab: "rules", chosenRules, hint: null }),
  showOnlyDifferences: (onlyDifferences) => set({ onlyDifferences }),
  seek: (sought) => set({ sought }),
  setProblem: (problem) => set({ problem }),
  openDialog: (dialog) => set({ dialog }),
  closeDialog: () => set({ dialog: null }),
  tell: (hint) => set({ hint }),
});
