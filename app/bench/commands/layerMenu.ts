import type { Id } from "#core/basics";
import { placeable } from "#core/edit";
import { childrenOf, valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { Layer, Piece } from "#core/project";
import type { MenuItem } from "../../ui/floating/ContextMenu";
import { shownKeys } from "../../ui/keys";
import { activeOf } from "../state/active";
import type { Workpiece } from "../state/workpiece";
import type { Arranging } from "./arranging";
import { canCombine } from "./arranging";
import { benchKeys } from "./benchKeys";
import type { BenchEdits } from "./edits";
import { commandsWords } from "./words";

interface Hands {
  readonly workpiece: Workpiece;
  readonly arranging: Arranging;
  readonly edits: BenchEdits;
}

/** What the menu is about. */
interface Here extends Hands {
  readonly piece: Piece;
  /** all that is chosen, the first leads */
  readonly chosen: readonly Id[];
  /** the same without the piece as a whole */
  readonly inner: readonly Id[];
  readonly lead: Layer | undefined;
  /** nothing but the piece as a whole is chosen */
  readonly none: boolean;
}

const copyText = (text: string | null): void => {
  if (text !== null) void navigator.clipboard?.writeText(text);
};

const paste = ({ arranging, edits }: Hands, inPlace: boolean): void =>
  void navigator.clipboard?.readText().then(
    (text) => {
      if (!arranging.paste(text, inPlace)) edits.note(commandsWords.nothingPasteCopySome);
    },
    () => edits.note(commandsWords.browserBlockedAccessClipboard),
  );

const clipboardItems = (here: Here): MenuItem[] => {
  const { arranging, edits, inner, none } = here;
  return [
    {
      label: commandsWords.cut,
      keys: commandsWords.ctrlX,
      disabled: none,
      onPick: () => copyText(arranging.cut()),
    },
    {
      label: commandsWords.copy,
      keys: commandsWords.ctrlC,
      disabled: none,
      onPick: () => copyText(arranging.copy()),
    },
    { label: commandsWords.paste, keys: commandsWords.ctrlV, onPick: () => paste(here, false) },
    { label: commandsWords.pastePlace, keys: "Ctrl+Shift+V", onPick: () => paste(here, true) },
    {
      label: commandsWords.duplicate,
      keys: shownKeys(benchKeys.duplicate),
      disabled: none,
      onPick: () => {
        edits.duplicate(inner);
      },
    },
  ];
};

const styleItems = ({ workpiece, arranging, piece, chosen, lead }: Here): MenuItem[] => {
  const { heldStyle } = workpiece.state;
  const { variant } = activeOf(piece, workpiece.state);
  return [
    { label: commandsWords.copyStyle, disabled: !lead, onPick: () => arranging.copyStyle() },
    {
      label: heldStyle ? commandsWords.pasteStyle(heldStyle.name) : commandsWords.pasteStyle2,
      disabled: !lead || heldStyle === null,
      onPick: () => arranging.pasteStyle(),
    },
    {
      label: commandsWords.resetThisVariant,
      disabled: !lead,
      onPick: () => arranging.reset(variant, chosen),
    },
  ];
};

const combineItems = ({ arranging, piece, inner, lead }: Here): MenuItem[] => [
  ...(canCombine(piece, inner)
    ? [
        {
          label: commandsWords.combineShapes,
          keys: shownKeys(benchKeys.combine),
          onPick: () => arranging.wrap("compound"),
        },
      ]
    : []),
  ...(lead?.kind === "compound"
    ? [{ label: commandsWords.convertOnePath, onPick: () => void arranging.flatten() }]
    : []),
];

const containerItems = (here: Here): MenuItem[] => {
  const { arranging, piece, lead, none } = here;
  const holds = lead && lead.id !== ROOT && (childrenOf(piece).get(lead.id) ?? []).length > 0;
  return [
    {
      label: commandsWords.group,
      keys: shownKeys(benchKeys.group),
      disabled: none,
      onPick: () => arranging.wrap("group"),
    },
    { label: commandsWords.wrapRow, disabled: none, onPick: () => arranging.wrap("row") },
    { label: commandsWords.wrapColumn, disabled: none, onPick: () => arranging.wrap("column") },
    ...combineItems(here),
    {
      label: commandsWords.scale,
      keys: shownKeys(benchKeys.scale),
      onPick: () => here.workpiece.state.openDialog({ kind: "scale" }),
    },
    ...(here.none
      ? [{ label: commandsWords.fitFrame, onPick: () => here.arranging.fitFrame() }]
      : []),
    {
      label: commandsWords.ungroup,
      keys: shownKeys(benchKeys.ungroup),
      disabled: !holds,
      onPick: () => arranging.unwrap(),
    },
  ];
};

/** Putting a copy of a component in the place of what is chosen. */
const replaceItems = ({ workpiece, arranging, piece, none }: Here): MenuItem[] => {
  const { project } = workpiece;
  const components = placeable(project, piece.id);
  if (none || components.length === 0) return [];
  const items = components.map((c) => ({
    label: c.name,
    onPick: () => arranging.replaceBy(c.id),
  }));
  return [{ label: commandsWords.replaceWithCopy, items }];
};

/** Behaviour people wire by hand every time. */
const behaviourItems = ({ workpiece }: Here): MenuItem[] => [
  {
    label: commandsWords.readyMade,
    onPick: () => workpiece.state.openDialog({ kind: "readymade" }),
  },
];

const componentItems = (here: Here): MenuItem[] => {
  const { workpiece, arranging, inner, lead, none } = here;
  return [
    {
      label: commandsWords.createComponent,
      keys: shownKeys(benchKeys.extract),
      disabled: none,
      onPick: () => {
        arranging.extract();
      },
    },
    ...(inner.length > 1
      ? [
          {
            label: commandsWords.gatherLayersAsVariants(inner.length),
            onPick: () => workpiece.state.openDialog({ kind: "gather" }),
          },
        ]
      : []),
    ...(lead?.kind === "instance"
      ? [{ label: commandsWords.convertPlainLayers, onPick: () => arranging.detach() }]
      : []),
    ...replaceItems(here),
  ];
};

const layerItems = ({
  workpiece,
  arranging,
  edits,
  piece,
  inner,
  lead,
  none,
}: Here): MenuItem[] => {
  const { project, state } = workpiece;
  const { variant } = activeOf(piece, state);
  const hidden = lead && valuesIn(project, piece, variant, lead).visible === false;
  return [
    { label: commandsWords.bringFront, disabled: none, onPick: () => arranging.stackTo("front") },
    { label: commandsWords.sendBack, disabled: none, onPick: () => arranging.stackTo("back") },
    {
      label: lead?.locked ? commandsWords.unlock : commandsWords.lock,
      keys: shownKeys(benchKeys.lock),
      disabled: none,
      onPick: () => arranging.lock(!lead?.locked),
    },
    {
      label: hidden ? commandsWords.show : commandsWords.hide,
      disabled: none,
      onPick: () => arranging.show(inner, hidden === true),
    },
    {
      label: commandsWords.rename,
      keys: shownKeys(benchKeys.rename),
      disabled: !lead,
      onPick: () => state.rename(lead?.id ?? null),
    },
    {
      label: commandsWords.delete,
      keys: shownKeys(benchKeys.remove),
      disabled: none,
      onPick: () => edits.remove(inner),
    },
  ];
};

/** What can be done with the chosen layers, for the menu on a card and in the tree. */
export const layerMenu = (hands: Hands): MenuItem[] => {
  const { piece, state } = hands.workpiece;
  if (!piece) return [];
  const chosen = state.chosen.filter((id) => piece.layers[id]);
  const inner = chosen.filter((id) => id !== ROOT);
  const lead = piece.layers[chosen[0] ?? ""];
  const here: Here = { ...hands, piece, chosen, inner, lead, none: inner.length === 0 };
  return [
    ...clipboardItems(here),
    "line",
    ...styleItems(here),
    "line",
    ...containerItems(here),
    "line",
    ...behaviourItems(here),
    "line",
    ...componentItems(here),
    "line",
    ...layerItems(here),
  ];
};
