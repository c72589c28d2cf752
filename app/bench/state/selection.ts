import type { StateCreator } from "zustand";
import type { Id } from "#core/basics";
import type { Condition, Variant } from "#core/project";
import type { View } from "./view";

/** What is chosen: layers, rules, cards, and the scope the next edit has there. */
export interface Selection {
  /** chosen layers, the first one leads */
  readonly chosen: readonly Id[];
  /** rules chosen in the drawer, to be changed together */
  readonly chosenRules: readonly Id[];
  /** the card one is looking at */
  readonly variant: Variant;
  /** further cards chosen with it: the next edit reaches them all */
  readonly also: readonly Variant[];
  /** a scope other than the suggested one, until another card or layer is chosen */
  readonly scope: readonly Condition[] | null;
  /** the layer, or "variant " and the key of the variant, whose name is being typed */
  readonly renaming: string | null;
  readonly choose: (layers: readonly Id[]) => void;
  readonly chooseRules: (rules: readonly Id[]) => void;
  readonly look: (variant: Variant, also?: readonly Variant[]) => void;
  readonly reach: (scope: readonly Condition[] | null) => void;
  readonly rename: (what: string | null) => void;
}

/** Whether two choices of cards are the same. */
const sameCards = (a: readonly Variant[], b: readonly Variant[]): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

const sameLayers = (a: readonly Id[], b: readonly Id[]): boolean =>
  a.length === b.length && a.every((id) => b.includes(id));

/** What else of the bench choosing changes. */
interface Touched {
  /** the path whose points are being edited */
  readonly shaping: Id | null;
  /** the text that is being typed, and the pose that is set, on the stage */
  readonly typing: View["typing"];
  readonly posing: View["posing"];
  readonly tool: View["tool"];
  /** why what was typed into the sheet was not taken */
  readonly problem: string | null;
}

export const selection: StateCreator<Selection & Touched, [], [], Selection> = (set) => ({
  chosen: [],
  chosenRules: [],
  variant: {},
  also: [],
  scope: null,
  renaming: null,
  choose: (chosen) =>
    set(({ shaping, scope, tool, chosen: before }) => ({
      chosen,
      renaming: null,
      problem: null,
      // what was done to another layer has ended, also where that layer is gone
      typing: null,
      posing: null,
      tool: tool === "pose" ? "choose" : tool,
      // it was meant for what was chosen then
      scope: sameLayers(before, chosen) ? scope : null,
      // one goes on with the points of a path as long as it alone is chosen
      shaping: chosen.length === 1 && chosen[0] === shaping ? shaping : null,
    })),
  chooseRules: (chosenRules) => set({ chosenRules }),
  look: (variant, also = []) =>
    set((s) =>
      sameCards([s.variant, ...s.also], [variant, ...also]) ? s : { variant, also, scope: null },
    ),
  reach: (scope) => set({ scope }),
  rename: (renaming) => set({ renaming }),
});
