import { markUnused } from "#core/edit";
import {
  conditionText,
  onlyScope,
  restingVariant,
  suggestedScope,
  variantFrom,
  variantKey,
  variantName,
} from "#core/looks";
import type { Condition, Variant } from "#core/project";
import type { MenuItem } from "../../../ui/floating/ContextMenu";
import type { Arranging } from "../../commands/arranging";
import type { Workpiece } from "../../state/workpiece";
import { stageWords } from "../words";

interface Here {
  readonly workpiece: Workpiece;
  readonly variant: Variant;
  readonly arranging: Arranging;
}

/** What can be done with a card as a whole. */
export const variantMenu = ({ workpiece, variant, arranging }: Here): MenuItem[] => {
  const { piece, state } = workpiece;
  if (!piece) return [];
  const key = variantKey(piece, variant);
  const resting = key === variantKey(piece, restingVariant(piece));
  const pinned = state.grid.pinned.some((v) => variantKey(piece, v) === key);
  const held = state.heldVariant;
  const looked = variantFrom(piece, state.variant);
  const other = variantKey(piece, looked) !== key ? looked : state.also[0];
  const against = other ?? restingVariant(piece);
  const suggested = suggestedScope(piece, variant);
  const wider = Object.keys(suggested).length < Object.keys(onlyScope(piece, variant)).length;
  const unuse = (when: Condition): void => {
    workpiece.run((_, now) => markUnused(now, when));
  };
  return [
    {
      label: stageWords.renameVariant,
      disabled: Object.keys(piece.traits).length === 0,
      onPick: () => state.rename(`variant ${key}`),
    },
    {
      label: stageWords.showOnlyCard,
      onPick: () => {
        state.look(variant);
        state.showOnly(variant);
      },
    },
    {
      label: pinned ? stageWords.unpin : stageWords.pinTop,
      onPick: () => {
        const others = state.grid.pinned.filter((v) => variantKey(piece, v) !== key);
        state.setGrid({ ...state.grid, pinned: pinned ? others : [...others, variant] });
      },
    },
    "line",
    {
      label:
        variantKey(piece, against) === key
          ? stageWords.compareSelectAnotherCard
          : stageWords.compare(variantName(piece, against)),
      disabled: variantKey(piece, against) === key,
      onPick: () => state.openDialog({ kind: "compare", a: against, b: variant }),
    },
    { label: stageWords.copyLook, onPick: () => arranging.copyVariant(variant) },
    {
      label:
        held?.piece === piece.id
          ? stageWords.pasteLook(variantName(piece, held.variant))
          : stageWords.pasteLook2,
      disabled: held?.piece !== piece.id || variantKey(piece, held.variant) === key,
      onPick: () => arranging.pasteVariant(variant),
    },
    {
      label: stageWords.resetVariant,
      disabled: resting,
      onPick: () => arranging.reset(variant),
    },
    "line",
    {
      label: stageWords.markVariantAsUnused,
      disabled: resting,
      onPick: () => unuse(onlyScope(piece, variant)),
    },
    ...(wider && !resting
      ? [
          {
            label: stageWords.markAsUnusedWhere(conditionText(piece, suggested)),
            onPick: () => unuse(suggested),
          },
        ]
      : []),
  ];
};
