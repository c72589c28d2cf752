import type { Id } from "#core/basics";
import { childrenOf } from "#core/looks";
import { ROOT } from "#core/project";
import type { KeyEntry } from "../../ui/keys";
import type { Workpiece } from "../state/workpiece";
import type { Arranging } from "./arranging";
import type { BenchEdits } from "./edits";
import { fresh } from "./inserting";
import type { Inserter } from "./inserting";

/** What the keys of the bench act on. */
export interface BenchHands {
  readonly workpiece: Workpiece;
  readonly edits: BenchEdits;
  readonly arranging: Arranging;
  readonly insert: Inserter;
}

type BenchKey = KeyEntry<BenchHands>;

const lead = ({ workpiece }: BenchHands) =>
  workpiece.piece?.layers[workpiece.state.chosen[0] ?? ""];

/** Chooses all layers that lie beside the chosen one and are not locked. */
const chooseAll = ({ workpiece }: BenchHands): void => {
  const { piece, state } = workpiece;
  const first = piece?.layers[state.chosen[0] ?? ""];
  const beside = piece ? childrenOf(piece).get(first?.parent ?? ROOT) : [];
  state.choose((beside ?? []).filter((l) => !l.locked).map((l) => l.id));
};

/** Leaves what one is in: a tool, the points of a path, what is chosen, further cards. */
const backOut = ({ workpiece: { state } }: BenchHands): void => {
  if (state.tool !== "choose") state.setTool("choose");
  else if (state.shaping !== null) state.shape(null);
  else if (state.chosen.length === 0 && state.also.length) state.look(state.variant);
  else state.choose([]);
};

const onlyChosen = ({ workpiece: { state } }: BenchHands): Id | null =>
  state.chosen.length === 1 ? (state.chosen[0] ?? null) : null;

const ways = [
  { key: "ArrowLeft", x: -1, y: 0 },
  { key: "ArrowRight", x: 1, y: 0 },
  { key: "ArrowUp", x: 0, y: -1 },
  { key: "ArrowDown", x: 0, y: 1 },
] as const;

/** Moves the chosen layers a step of so many px. */
const nudging = (px: number, words: string): BenchKey => {
  const prefix = px > 1 ? "Shift+" : "";
  return {
    keys: ways.map((w) => prefix + w.key),
    words,
    when: ({ workpiece }) => workpiece.state.chosen.length > 0,
    run: ({ workpiece, edits }, e) => {
      const way = ways.find((w) => w.key === e.key);
      if (way) edits.nudge(workpiece.state.chosen, way.x * px, way.y * px);
    },
  };
};

const inserting = (kind: keyof typeof fresh, words: string): BenchKey => ({
  keys: [fresh[kind].key.toLowerCase()],
  words,
  run: ({ insert }) => insert.simple(kind),
});

/** The keys that work anywhere on the bench unless one is typing. */
export const benchKeys = {
  box: inserting("box", "Insert a box"),
  ellipse: inserting("ellipse", "Insert an ellipse"),
  line: inserting("line", "Insert a line"),
  polygon: inserting("polygon", "Insert a triangle"),
  text: inserting("text", "Insert a text"),
  icon: {
    keys: ["i"],
    words: "Insert an icon",
    run: () => document.querySelector<HTMLElement>("[data-insert=icon]")?.click(),
  },
  pen: {
    keys: ["p"],
    words: "Draw a path with the pen",
    run: ({ workpiece }) => workpiece.state.toggleTool("pen"),
  },
  ruler: {
    keys: ["m"],
    words: "Measure",
    run: ({ workpiece }) => workpiece.state.toggleTool("ruler"),
  },
  dropper: {
    keys: ["q"],
    words: "Pick a colour from the reference picture",
    when: ({ workpiece }) => workpiece.piece?.reference != null,
    run: ({ workpiece }) => workpiece.state.toggleTool("dropper"),
  },
  nudge: nudging(1, "Move the chosen layers by 1"),
  nudgeFar: nudging(10, "Move them by 10"),
  remove: {
    keys: ["Delete", "Backspace"],
    words: "Remove them",
    run: ({ workpiece, edits }) => edits.remove(workpiece.state.chosen),
  },
  chooseAll: { keys: ["$mod+a"], words: "Choose all beside the chosen one", run: chooseAll },
  duplicate: {
    keys: ["$mod+d"],
    words: "Duplicate them; once more, by the same way",
    run: ({ workpiece, edits }) => {
      edits.duplicate(workpiece.state.chosen);
    },
  },
  group: { keys: ["$mod+g"], words: "Group", run: ({ arranging }) => arranging.wrap("group") },
  ungroup: {
    keys: ["$mod+Shift+g"],
    words: "Ungroup",
    run: ({ arranging }) => arranging.unwrap(),
  },
  combine: {
    keys: ["u"],
    words: "Combine shapes",
    run: ({ arranging }) => arranging.wrap("compound"),
  },
  extract: {
    keys: ["n"],
    words: "Make a component",
    run: ({ arranging }) => {
      arranging.extract();
    },
  },
  lock: {
    keys: ["k"],
    words: "Lock, unlock",
    run: (hands) => hands.arranging.lock(!lead(hands)?.locked),
  },
  replace: {
    keys: ["$mod+f"],
    words: "Find and replace a value",
    run: ({ workpiece }) => workpiece.state.openDialog({ kind: "replace" }),
  },
  points: {
    keys: ["Enter"],
    words: "Edit the points of a path",
    when: (hands) => onlyChosen(hands) !== null && lead(hands)?.kind === "path",
    run: (hands) => hands.workpiece.state.shape(onlyChosen(hands)),
  },
  rename: {
    keys: ["F2"],
    words: "Rename",
    when: (hands) => lead(hands) !== undefined,
    run: (hands) => hands.workpiece.state.rename(lead(hands)?.id ?? null),
  },
  fit: {
    keys: ["Shift+f"],
    words: "Fit all cards",
    run: ({ workpiece }) => workpiece.state.showOnly(null),
  },
  back: { keys: ["Escape"], words: "Back out, choose nothing", run: backOut },
  restart: {
    keys: ["r"],
    words: "Restart Try",
    run: ({ workpiece }) => workpiece.state.restart(),
  },
  help: {
    keys: ["[Shift]+?"],
    words: "Show these keys",
    run: ({ workpiece }) => workpiece.state.openDialog({ kind: "keys" }),
  },
} as const satisfies Record<string, BenchKey>;
