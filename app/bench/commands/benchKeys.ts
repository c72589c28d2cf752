import type { Id } from "#core/basics";
import { addUsualRule } from "#core/edit";
import { childrenOf } from "#core/looks";
import { ROOT } from "#core/project";
import { useSettings } from "../../services/settings";
import type { KeyEntry } from "../../ui/keys";
import type { Workpiece } from "../state/workpiece";
import type { Arranging } from "./arranging";
import type { BenchEdits } from "./edits";
import { fresh } from "./inserting";
import type { Inserter } from "./inserting";
import { commandsWords } from "./words";

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

/** Goes to where values of the sheet are looked for by name. */
const findValue = ({ workpiece: { state } }: BenchHands): void => {
  state.openTab("sheet");
  useSettings.getState().fold(false);
  const field = () => document.querySelector<HTMLElement>("[data-sheet-find]");
  // at once where it is there: the next letter is meant for it
  if (field()) field()?.focus();
  else requestAnimationFrame(() => field()?.focus());
};

const onlyChosen = ({ workpiece: { state } }: BenchHands): Id | null =>
  state.chosen.length === 1 ? (state.chosen[0] ?? null) : null;

/** Adds the rule one most likely wants for a layer, or for the whole piece. */
const addRule = ({ workpiece }: BenchHands, id: Id | null): void => {
  const made = workpiece.make((project, piece) =>
    addUsualRule(project, piece, id === ROOT ? null : id),
  );
  if (made) workpiece.state.showRules([made.id]);
};

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
  run: ({ insert }) => insert.take(kind),
});

/** The keys that work anywhere on the bench unless one is typing. */
export const benchKeys = {
  box: inserting("box", commandsWords.insertBox),
  ellipse: inserting("ellipse", commandsWords.insertEllipse),
  line: inserting("line", commandsWords.insertLine),
  polygon: inserting("polygon", commandsWords.insertTriangle),
  text: inserting("text", commandsWords.insertText),
  icon: {
    keys: ["i"],
    words: commandsWords.insertIcon,
    run: () => document.querySelector<HTMLElement>("[data-insert=icon]")?.click(),
  },
  pen: {
    keys: ["p"],
    words: commandsWords.drawPathPen,
    run: ({ workpiece }) => workpiece.state.toggleTool("pen"),
  },
  ruler: {
    keys: ["m"],
    words: commandsWords.measure,
    run: ({ workpiece }) => workpiece.state.toggleTool("ruler"),
  },
  dropper: {
    keys: ["q"],
    words: commandsWords.pickColourFromReference,
    when: ({ workpiece }) => workpiece.piece?.reference != null,
    run: ({ workpiece }) => workpiece.state.toggleTool("dropper"),
  },
  nudge: nudging(1, commandsWords.moveSelectedLayersPx),
  nudgeFar: nudging(10, commandsWords.moveThemPx),
  remove: {
    keys: ["Delete", "Backspace"],
    words: commandsWords.deleteSelectedLayers,
    run: ({ workpiece, edits }) => edits.remove(workpiece.state.chosen),
  },
  chooseAll: { keys: ["$mod+a"], words: commandsWords.selectAllSiblings, run: chooseAll },
  duplicate: {
    keys: ["$mod+d"],
    words: commandsWords.duplicateAgainRepeatSame,
    run: ({ workpiece, edits }) => {
      edits.duplicate(workpiece.state.chosen);
    },
  },
  group: {
    keys: ["$mod+g"],
    words: commandsWords.group,
    run: ({ arranging }) => arranging.wrap("group"),
  },
  ungroup: {
    keys: ["$mod+Shift+g"],
    words: commandsWords.ungroup,
    run: ({ arranging }) => arranging.unwrap(),
  },
  combine: {
    keys: ["u"],
    words: commandsWords.combineShapes,
    run: ({ arranging }) => arranging.wrap("compound"),
  },
  extract: {
    keys: ["n"],
    words: commandsWords.createComponent,
    run: ({ arranging }) => {
      arranging.extract();
    },
  },
  addRule: {
    keys: ["a"],
    words: commandsWords.addRule,
    run: (hands) => addRule(hands, onlyChosen(hands)),
  },
  addRuleOfWhole: {
    keys: ["Shift+a"],
    words: commandsWords.addRuleOfWhole,
    run: (hands) => addRule(hands, null),
  },
  scale: {
    keys: ["s"],
    words: commandsWords.scale,
    run: ({ workpiece }) => workpiece.state.openDialog({ kind: "scale" }),
  },
  lock: {
    keys: ["k"],
    words: commandsWords.lockUnlock,
    run: (hands) => hands.arranging.lock(!lead(hands)?.locked),
  },
  replace: {
    keys: ["$mod+f"],
    words: commandsWords.findReplaceValue,
    run: ({ workpiece }) => workpiece.state.openDialog({ kind: "replace" }),
  },
  insertHere: {
    keys: ["Enter"],
    words: commandsWords.insertDefaultSizeInto,
    when: ({ workpiece }) => workpiece.state.tool === "draw",
    run: ({ workpiece, insert }) => insert.simple(workpiece.state.drawn),
  },
  points: {
    keys: ["Enter"],
    words: commandsWords.editPointsPath,
    when: (hands) => onlyChosen(hands) !== null && lead(hands)?.kind === "path",
    run: (hands) => hands.workpiece.state.shape(onlyChosen(hands)),
  },
  rename: {
    keys: ["F2"],
    words: commandsWords.rename,
    when: (hands) => lead(hands) !== undefined,
    run: (hands) => hands.workpiece.state.rename(lead(hands)?.id ?? null),
  },
  fit: {
    keys: ["Shift+f"],
    words: commandsWords.fitAllCards,
    run: ({ workpiece }) => workpiece.state.showOnly(null),
  },
  find: { keys: ["/"], words: commandsWords.findValue, run: findValue },
  drawer: {
    keys: ["w"],
    words: commandsWords.collapseExpandDrawer,
    run: () => {
      const { folded, fold } = useSettings.getState();
      fold(!folded);
    },
  },
  back: { keys: ["Escape"], words: commandsWords.goUpOneLevel, run: backOut },
  restart: {
    keys: ["r"],
    words: commandsWords.restartTry,
    run: ({ workpiece }) => workpiece.state.restart(),
  },
  help: {
    keys: ["[Shift]+?"],
    words: commandsWords.showTheseShortcuts,
    run: ({ workpiece }) => workpiece.state.openDialog({ kind: "keys" }),
  },
} as const satisfies Record<string, BenchKey>;
