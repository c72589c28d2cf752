import { contains, piecesOf } from "#core/edit";
import { childrenOf, valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { MenuItem } from "../../ui/ContextMenu";
import { shownKeys } from "../../ui/keys";
import { activeOf } from "../state/active";
import type { Workpiece } from "../state/workpiece";
import type { Arranging } from "./arranging";
import { canCombine } from "./arranging";
import { benchKeys } from "./benchKeys";
import type { BenchEdits } from "./edits";

interface Here {
  readonly workpiece: Workpiece;
  readonly arranging: Arranging;
  readonly edits: BenchEdits;
}

const copyText = (text: string | null): void => {
  if (text !== null) void navigator.clipboard?.writeText(text);
};

/** What can be done with the chosen layers, for the menu on a card and in the tree. */
export const layerMenu = ({ workpiece, arranging, edits }: Here): MenuItem[] => {
  const { project, piece, state } = workpiece;
  if (!piece) return [];
  const chosen = state.chosen.filter((id) => piece.layers[id]);
  const inner = chosen.filter((id) => id !== ROOT);
  const lead = piece.layers[chosen[0] ?? ""];
  const { variant } = activeOf(piece, state);
  const none = inner.length === 0;
  const several = inner.length > 1;
  const values = lead && valuesIn(project, piece, variant, lead);
  const holds = lead && lead.id !== ROOT && (childrenOf(piece).get(lead.id) ?? []).length > 0;
  const components = piecesOf(project, "component").filter(
    (c) => !contains(project, c.id, piece.id),
  );
  const paste = (inPlace: boolean) =>
    void navigator.clipboard?.readText().then(
      (t) => {
        if (!arranging.paste(t, inPlace)) edits.note("There are no copied layers to paste.");
      },
      () =>
        edits.note(
          "The browser does not let Nubble read the clipboard here: press Ctrl+V instead.",
        ),
    );
  return [
    { label: "Cut", keys: "Ctrl+X", disabled: none, onPick: () => copyText(arranging.cut()) },
    { label: "Copy", keys: "Ctrl+C", disabled: none, onPick: () => copyText(arranging.copy()) },
    { label: "Paste", keys: "Ctrl+V", onPick: () => paste(false) },
    { label: "Paste in place", keys: "Ctrl+Shift+V", onPick: () => paste(true) },
    {
      label: "Duplicate",
      keys: shownKeys(benchKeys.duplicate),
      disabled: none,
      onPick: () => {
        edits.duplicate(inner);
      },
    },
    "line",
    { label: "Hold this style", disabled: !lead, onPick: () => arranging.copyStyle() },
    {
      label: state.heldStyle ? `Give the style of ${state.heldStyle.name}` : "Give a held style",
      disabled: !lead || state.heldStyle === null,
      onPick: () => arranging.pasteStyle(),
    },
    {
      label: "Reset in this variant",
      disabled: !lead,
      onPick: () => arranging.reset(variant, chosen),
    },
    "line",
    {
      label: "Group",
      keys: shownKeys(benchKeys.group),
      disabled: none,
      onPick: () => arranging.wrap("group"),
    },
    { label: "Put into a row", disabled: none, onPick: () => arranging.wrap("row") },
    { label: "Put into a column", disabled: none, onPick: () => arranging.wrap("column") },
    ...(canCombine(piece, inner)
      ? [
          {
            label: "Combine shapes",
            keys: shownKeys(benchKeys.combine),
            onPick: () => arranging.wrap("compound"),
          },
        ]
      : []),
    ...(lead?.kind === "compound"
      ? [{ label: "Flatten into one path", onPick: () => void arranging.flatten() }]
      : []),
    {
      label: "Ungroup",
      keys: shownKeys(benchKeys.ungroup),
      disabled: !holds,
      onPick: () => arranging.unwrap(),
    },
    "line",
    {
      label: "Make a component",
      keys: shownKeys(benchKeys.extract),
      disabled: none,
      onPick: () => {
        arranging.extract();
      },
    },
    ...(several
      ? [
          {
            label: `Gather these ${inner.length} as variants …`,
            onPick: () => state.openDialog({ kind: "gather" }),
          },
        ]
      : []),
    ...(lead?.kind === "instance"
      ? [{ label: "Make plain layers of it", onPick: () => arranging.detach() }]
      : []),
    ...(!none && components.length
      ? [
          {
            label: "Replace by a copy of",
            items: components.map((c) => ({
              label: c.name,
              onPick: () => arranging.replaceBy(c.id),
            })),
          },
        ]
      : []),
    "line",
    { label: "Bring to the front", disabled: none, onPick: () => arranging.stackTo("front") },
    { label: "Send to the back", disabled: none, onPick: () => arranging.stackTo("back") },
    {
      label: lead?.locked ? "Unlock" : "Lock",
      keys: shownKeys(benchKeys.lock),
      disabled: none,
      onPick: () => arranging.lock(!lead?.locked),
    },
    {
      label: values?.visible === false ? "Show" : "Hide",
      disabled: none,
      onPick: () => arranging.show(inner, values?.visible === false),
    },
    {
      label: "Rename",
      keys: shownKeys(benchKeys.rename),
      disabled: !lead,
      onPick: () => state.rename(lead?.id ?? null),
    },
    {
      label: "Delete",
      keys: shownKeys(benchKeys.remove),
      disabled: none,
      onPick: () => edits.remove(inner),
    },
  ];
};
