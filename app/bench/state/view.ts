import type { StateCreator } from "zustand";
import type { Id } from "#core/basics";
import type { Gap, Guide } from "#core/edit";
import type { Rect } from "#core/layout";
import type { Variant } from "#core/project";

/** Lines and numbers drawn over the card one works on. */
export interface Marks {
  readonly guides: readonly Guide[];
  readonly gaps: readonly Gap[];
  readonly marquee: Rect | null;
  readonly readout: { readonly text: string; readonly x: number; readonly y: number } | null;
}
export const noMarks: Marks = { guides: [], gaps: [], marquee: null, readout: null };

/** The pose of a layer that is set on the stage. */
export interface Posing {
  readonly layer: Id;
  readonly key: "comesFrom" | "goesTo";
}

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

/** With any but the first a press on a card does not choose. */
type Tool = "choose" | "draw" | "pen" | "ruler" | "dropper" | "pose";

/** The kinds of layers that are drawn by dragging. */
export const drawnKinds = ["box", "ellipse", "line", "polygon", "text"] as const;
export type DrawnKind = (typeof drawnKinds)[number];

/** The text that is being typed on its card. */
export interface Typing {
  readonly layer: Id;
  /** it was just made: what is typed holds in every variant, as the layer does */
  readonly fresh: boolean;
  /** it was put into the middle of something, and stays there as it grows */
  readonly centred?: boolean;
}

/** How the stage shows the piece, and the tool in hand. */
export interface View {
  /** "fit", or px on screen per px of the piece */
  readonly zoom: number | "fit";
  readonly grid: GridView;
  /** the one card shown large, until all are shown again */
  readonly only: Variant | null;
  readonly tool: Tool;
  /** what the tool "draw" makes */
  readonly drawn: DrawnKind;
  readonly typing: Typing | null;
  readonly posing: Posing | null;
  /** the path whose points are being edited */
  readonly shaping: Id | null;
  /** true while an edit is being made: cards it does not reach step back */
  readonly editing: boolean;
  readonly marks: Marks | null;
  /** the keys of the cards in sight or nearly so */
  readonly near: ReadonlySet<string>;
  readonly setZoom: (zoom: number | "fit") => void;
  readonly setGrid: (grid: GridView) => void;
  /** shows one card alone, or all again, as large as fits */
  readonly showOnly: (variant: Variant | null) => void;
  readonly setTool: (tool: Tool) => void;
  /** takes a tool in hand, or puts it away when it is there already */
  readonly toggleTool: (tool: Tool) => void;
  /** takes in hand what draws layers of a kind */
  readonly draw: (kind: DrawnKind) => void;
  /** sets a pose on the stage, or is done with it */
  readonly pose: (posing: Posing | null) => void;
  readonly type: (typing: Typing | null) => void;
  readonly shape: (layer: Id | null) => void;
  readonly setEditing: (editing: boolean) => void;
  readonly mark: (marks: Marks | null) => void;
  /** notes that a card has come near what one sees, or has gone */
  readonly cardNear: (key: string, near: boolean) => void;
}

export const view: StateCreator<View> = (set) => ({
  zoom: "fit",
  grid: wholeGrid,
  only: null,
  tool: "choose",
  drawn: "box",
  typing: null,
  posing: null,
  shaping: null,
  editing: false,
  marks: null,
  near: new Set(),
  setZoom: (zoom) => set({ zoom }),
  setGrid: (grid) => set({ grid }),
  showOnly: (only) => set({ only, zoom: "fit" }),
  setTool: (tool) => set({ tool }),
  toggleTool: (tool) => set((s) => ({ tool: s.tool === tool ? "choose" : tool })),
  draw: (drawn) => set({ tool: "draw", drawn }),
  pose: (posing) => set({ posing, tool: posing ? "pose" : "choose" }),
  type: (typing) => set({ typing }),
  shape: (shaping) => set({ shaping }),
  setEditing: (editing) => set({ editing }),
  mark: (marks) => set({ marks }),
  cardNear: (key, isNear) =>
    set(({ near }) => {
      if (near.has(key) === isNear) return {};
      const others = [...near].filter((k) => k !== key);
      return { near: new Set(isNear ? [...others, key] : others) };
    }),
});
