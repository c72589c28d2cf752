import { createContext, useContext } from "react";
import { createStore, useStore } from "zustand";
import type { StoreApi } from "zustand";
import { meets, sameCondition, suggestedScope, variantFrom } from "#core/looks";
import type { Condition, Id, Piece, Variant } from "#core/project";
import { ROOT } from "#core/project";
import { useProject } from "../store/session-context";

export type DrawerTab = "sheet" | "rules";

/** What one sees and has chosen on the bench; none of it is part of the project. */
export interface BenchState {
  readonly pieceId: Id;
  /** chosen layers, the first one leads */
  readonly chosen: readonly Id[];
  /** the card one is looking at */
  readonly variant: Variant;
  /** a scope other than the suggested one, until another card is looked at */
  readonly scope: Condition | null;
  /** "fit", or px on screen per px of the piece */
  readonly zoom: number | "fit";
  readonly tab: DrawerTab;
  readonly onlyDifferences: boolean;
  /** true while an edit is being made: cards it does not reach step back */
  readonly editing: boolean;
  readonly hint: string | null;
  /** why what was typed into the sheet was not taken */
  readonly problem: string | null;
  readonly restarts: number;
  readonly renaming: Id | null;
  look(variant: Variant): void;
  reach(scope: Condition | null): void;
  choose(layers: readonly Id[]): void;
  put(part: Partial<Pick<BenchState, "zoom" | "tab" | "onlyDifferences" | "editing" | "hint" | "problem" | "renaming">>): void;
  restart(): void;
}

export const createBench = (pieceId: Id): StoreApi<BenchState> => createStore<BenchState>((set) => ({
  pieceId, chosen: [], variant: {}, scope: null, zoom: "fit", tab: "sheet", onlyDifferences: false, editing: false, hint: null, problem: null, restarts: 0, renaming: null,
  look: (variant) => set((s) => (JSON.stringify(s.variant) === JSON.stringify(variant) ? s : { variant, scope: null })),
  reach: (scope) => set({ scope }),
  choose: (chosen) => set({ chosen, renaming: null, problem: null }),
  put: (part) => set(part),
  restart: () => set((s) => ({ restarts: s.restarts + 1 })),
}));

export const BenchContext = createContext<StoreApi<BenchState> | null>(null);

const useStoreApi = (): StoreApi<BenchState> => {
  const store = useContext(BenchContext);
  if (!store) throw new Error("there is no bench around this part");
  return store;
};

export const useBench = <T>(pick: (s: BenchState) => T): T => useStore(useStoreApi(), pick);
export const useBenchStore = useStoreApi;

/** The piece on the bench as it is now. The bench is only shown while it exists. */
export const usePiece = (): Piece => {
  const project = useProject();
  const piece = project.pieces[useBench((s) => s.pieceId)];
  if (!piece) throw new Error("the piece on the bench is gone");
  return piece;
};

export interface Active { readonly piece: Piece; readonly variant: Variant; readonly when: Condition; readonly suggested: boolean }

/** The card looked at and the scope the next edit has there. */
export const activeOf = (piece: Piece, state: Pick<BenchState, "variant" | "scope">): Active => {
  const variant = variantFrom(piece, state.variant);
  const usual = suggestedScope(piece, variant);
  const when = state.scope && meets(state.scope, variant) && Object.keys(state.scope).every((t) => piece.traits[t]) ? state.scope : usual;
  return { piece, variant, when, suggested: sameCondition(when, usual) };
};

export const useActive = (): Active => {
  const piece = usePiece();
  const variant = useBench((s) => s.variant);
  const scope = useBench((s) => s.scope);
  return activeOf(piece, { variant, scope });
};

/** The chosen layers that still exist. */
export const useChosen = (): Id[] => {
  const piece = usePiece();
  return useBench((s) => s.chosen).filter((id) => piece.layers[id]);
};

/** Where new layers go: into the chosen box, else beside the chosen layer, else into the piece. */
export const parentForNew = (piece: Piece, chosen: readonly Id[]): Id => {
  const first = chosen[0] === undefined ? undefined : piece.layers[chosen[0]];
  if (!first) return ROOT;
  return first.kind === "box" && (first.id === ROOT || Object.values(piece.layers).some((l) => l.parent === first.id)) ? first.id : (first.parent ?? ROOT);
};
