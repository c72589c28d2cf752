import { createContext, useContext, useMemo } from "react";
import { createStore, useStore } from "zustand";
import type { StoreApi } from "zustand";
import type { Id } from "#core/basics";
import type { Gap, Guide, Wire } from "#core/edit";
import type { LayoutBox, LayoutEnv, Rect } from "#core/layout";
import {
  exactly,
  reached,
  sameConditions,
  suggestedScope,
  variantFrom,
  variantKey,
} from "#core/looks";
import { ROOT } from "#core/project";
import type { Condition, Motion, Piece, Step, Variant } from "#core/project";
import type { Inspection } from "../../../workers/inspector";
import { useProject } from "../../session/context";

/** Lines and numbers drawn over the card one works on. */
export interface Marks {
  readonly guides: readonly Guide[];
  readonly gaps: readonly Gap[];
  readonly marquee: Rect | null;
  readonly readout: { readonly text: string; readonly x: number; readonly y: number } | null;
}
export const noMarks: Marks = { guides: [], gaps: [], marquee: null, readout: null };

/**
 * A moment of a change, shown on a card instead of what is there at rest; `path` is where a layer
 * goes meanwhile, px of the piece.
 */
export interface Preview {
  readonly key: string;
  readonly placed: LayoutBox;
  /** ms */ readonly at: number;
  readonly path: readonly (readonly [number, number])[];
}

export type DrawerTab = "sheet" | "rules" | "timing" | "map" | "checks" | "rehearsals";

/** Steps to be shown in Try; whose, when they are a rehearsal's. */
interface Showing {
  readonly steps: readonly Step[];
  readonly rehearsal: Id | null;
}

/** A window over the bench for a larger task. */
type Dialog =
  | { readonly kind: "compare"; readonly a: Variant; readonly b: Variant }
  | { readonly kind: "gather" }
  | { readonly kind: "replace" };

/**
 * What of the grid of cards is shown: which traits go down, which values are left out, which cards
 * always stay.
 */
export interface GridView {
  readonly down: readonly Id[] | null;
  readonly hidden: Readonly<Record<Id, readonly Id[]>>;
  readonly pinned: readonly Variant[];
}
export const wholeGrid: GridView = { down: null, hidden: {}, pinned: [] };

/** What one sees and has chosen on the bench; none of it is part of the project. */
export interface BenchState {
  readonly pieceId: Id;
  /** chosen layers, the first one leads */
  readonly chosen: readonly Id[];
  /** rules chosen in the drawer, to be changed together */
  readonly chosenRules: readonly Id[];
  /** what the checks and rehearsals came to; null before they were first made */
  readonly inspection: Inspection | null;
  /** true from an edit until it has been looked through */
  readonly inspecting: boolean;
  /** the rehearsal whose steps are open */
  readonly rehearsal: Id | null;
  readonly showing: Showing | null;
  /**
   * true while a wire is being drawn; then what it was drawn from and to, until it is made a rule
   */
  readonly wiring: boolean;
  readonly wired: {
    readonly x: number;
    readonly y: number;
    readonly layers: readonly Id[];
    readonly from: readonly Variant[];
    readonly to: Wire;
  } | null;
  readonly preview: Preview | null;
  /** the effect of a rule whose own motion is timed */
  readonly timedEffect: { readonly rule: Id; readonly effect: number } | null;
  /**
   * a way between two variants that is timed without a rule, while the same rule is chosen beside
   * it
   */
  readonly trial: {
    readonly beside: Id | undefined;
    readonly from: Variant;
    readonly to: Variant;
    readonly motion: Motion;
    /** what the motion was before, and by which gesture it was changed last */ readonly past: readonly Motion[];
    readonly gesture: string | null;
  } | null;
  /** where the running copy is, and the rules it waits for */
  readonly running: {
    readonly variant: Variant;
    readonly waits: readonly { readonly rule: Id; /** ms of its clock */ readonly left: number }[];
    /** when that was so, ms of the page */ readonly since: number;
    /** how fast its clock goes */ readonly rate: number;
  } | null;
  /** a variant that Try shall show */
  readonly wanted: Variant | null;
  /** the step being shown, counted from 0 */
  readonly shownStep: number;
  /** the card one is looking at */
  readonly variant: Variant;
  /** further cards chosen with it: the next edit reaches them all */
  readonly also: readonly Variant[];
  /** a scope other than the suggested one, until another card is looked at */
  readonly scope: readonly Condition[] | null;
  /** "fit", or px on screen per px of the piece */
  readonly zoom: number | "fit";
  readonly tab: DrawerTab;
  readonly onlyDifferences: boolean;
  /** true while an edit is being made: cards it does not reach step back */
  readonly editing: boolean;
  readonly hint: string | null;
  /** what is offered about the hint */
  readonly offer: { readonly label: string; readonly run: () => void } | null;
  /** why what was typed into the sheet was not taken */
  readonly problem: string | null;
  readonly restarts: number;
  readonly renaming: Id | null;
  readonly marks: Marks | null;
  /** with the pen or the ruler a press on a card does not choose */
  readonly tool: "choose" | "pen" | "ruler" | "dropper";
  /** the path whose points are being edited */
  readonly shaping: Id | null;
  readonly dialog: Dialog | null;
  readonly grid: GridView;
  /** the one card shown large, until all are shown again */
  readonly only: Variant | null;
  /** how each shown variant looks, by its key: read by edits, not by what is rendered */
  /** goes up whenever the scenes have changed */
  readonly sceneCount: number;
  readonly scenes: { current: ReadonlyMap<string, LayoutBox | null>; env: LayoutEnv | null };
  readonly look: (variant: Variant, also?: readonly Variant[]) => void;
  readonly reach: (scope: readonly Condition[] | null) => void;
  readonly choose: (layers: readonly Id[]) => void;
  readonly put: (
    part: Partial<
      Pick<
        BenchState,
        | "zoom"
        | "tab"
        | "onlyDifferences"
        | "editing"
        | "hint"
        | "offer"
        | "problem"
        | "renaming"
        | "marks"
        | "tool"
        | "shaping"
        | "dialog"
        | "grid"
        | "only"
        | "sceneCount"
        | "chosenRules"
        | "inspection"
        | "inspecting"
        | "rehearsal"
        | "showing"
        | "shownStep"
        | "running"
        | "preview"
        | "timedEffect"
        | "trial"
        | "wanted"
        | "wiring"
        | "wired"
      >
    >,
  ) => void;
  readonly restart: () => void;
}

/**
 * What of the bench one finds again when one comes back to a piece, for as long as the window is
 * open.
 */
const places = new Map<Id, Partial<BenchState>>();
const keptParts = [
  "chosen",
  "variant",
  "also",
  "scope",
  "zoom",
  "tab",
  "onlyDifferences",
  "chosenRules",
  "timedEffect",
  "trial",
  "rehearsal",
  "grid",
  "only",
] as const;

export const createBench = (pieceId: Id): StoreApi<BenchState> => {
  const store = freshBench(pieceId);
  store.setState(places.get(pieceId) ?? {});
  store.subscribe((s) => places.set(pieceId, Object.fromEntries(keptParts.map((k) => [k, s[k]]))));
  return store;
};

const freshBench = (pieceId: Id): StoreApi<BenchState> =>
  createStore<BenchState>((set) => ({
    pieceId,
    chosen: [],
    chosenRules: [],
    inspection: null,
    inspecting: true,
    rehearsal: null,
    showing: null,
    shownStep: 0,
    running: null,
    preview: null,
    timedEffect: null,
    trial: null,
    wanted: null,
    wiring: false,
    wired: null,
    variant: {},
    also: [],
    scope: null,
    zoom: "fit",
    tab: "sheet",
    onlyDifferences: false,
    editing: false,
    hint: null,
    offer: null,
    problem: null,
    restarts: 0,
    renaming: null,
    marks: null,
    tool: "choose",
    shaping: null,
    dialog: null,
    grid: wholeGrid,
    only: null,
    sceneCount: 0,
    scenes: { current: new Map(), env: null },
    look: (variant, also = []) =>
      set((s) =>
        JSON.stringify([s.variant, s.also]) === JSON.stringify([variant, also])
          ? s
          : { variant, also, scope: null },
      ),
    reach: (scope) => set({ scope }),
    choose: (chosen) =>
      set((s) => ({
        chosen,
        renaming: null,
        problem: null,
        shaping:
          s.shaping !== null && chosen.length === 1 && chosen[0] === s.shaping ? s.shaping : null,
      })),
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

export interface Active {
  readonly piece: Piece;
  /** the card looked at */
  readonly variant: Variant;
  /** all chosen cards, the one looked at first */
  readonly variants: readonly Variant[];
  /** the conditions the next edit is made in */
  readonly whens: readonly Condition[];
  readonly suggested: boolean;
}

/** The cards chosen and the scope the next edit has there. */
export const activeOf = (
  piece: Piece,
  state: Pick<BenchState, "variant" | "scope" | "also">,
): Active => {
  const variant = variantFrom(piece, state.variant);
  const keys = new Set([variantKey(piece, variant)]);
  const others = state.also
    .map((v) => variantFrom(piece, v))
    .filter((v) => !keys.has(variantKey(piece, v)) && keys.add(variantKey(piece, v)));
  const variants = [variant, ...others];
  const usual = variants.length > 1 ? exactly(piece, variants) : [suggestedScope(piece, variant)];
  const { scope } = state;
  const holds =
    scope !== null &&
    variants.every((v) => reached(scope, v)) &&
    scope.every((c) => Object.keys(c).every((t) => piece.traits[t]));
  const whens = holds ? scope : usual;
  return { piece, variant, variants, whens, suggested: sameConditions(whens, usual) };
};

export const useActive = (): Active => {
  const piece = usePiece();
  const variant = useBench((s) => s.variant);
  const also = useBench((s) => s.also);
  const scope = useBench((s) => s.scope);
  return useMemo(() => activeOf(piece, { variant, also, scope }), [piece, variant, also, scope]);
};

/** Chooses cards: one alone, or one more or less beside those already chosen. */
export const chooseCard = (
  piece: Piece,
  state: BenchState,
  variant: Variant,
  add: boolean,
): void => {
  if (!add) {
    state.look(variant);
    return;
  }
  const { variants } = activeOf(piece, state);
  const key = variantKey(piece, variant);
  const rest = variants.filter((v) => variantKey(piece, v) !== key);
  const next = rest.length < variants.length && rest.length > 0 ? rest : [variant, ...rest];
  state.look(next[0] as Variant, next.slice(1));
};

/** How the card looked at looks, laid out; null before it was. */
export const activeScene = (active: Active, state: BenchState): LayoutBox | null =>
  state.scenes.current.get(variantKey(active.piece, active.variant) || "only") ?? null;

/** The chosen layers that still exist. */
export const useChosen = (): Id[] => {
  const piece = usePiece();
  return useBench((s) => s.chosen).filter((id) => piece.layers[id]);
};

/** Where new layers go: into the chosen box, else beside the chosen layer, else into the piece. */
export const parentForNew = (piece: Piece, chosen: readonly Id[]): Id => {
  const first = chosen[0] === undefined ? undefined : piece.layers[chosen[0]];
  if (!first) return ROOT;
  return first.kind === "box" &&
    (first.id === ROOT || Object.values(piece.layers).some((l) => l.parent === first.id))
    ? first.id
    : (first.parent ?? ROOT);
};
