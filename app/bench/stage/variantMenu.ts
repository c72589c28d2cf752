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
import type { Piece, Variant } from "#core/project";
import type { MenuItem } from "../../ui/ContextMenu";
import type { Session } from "../../session/session";
import type { Arranging } from "../state/arranging";
import { heldVariant } from "../state/arranging";
import type { BenchState } from "../state/state";

interface Here {
  readonly piece: Piece;
  readonly variant: Variant;
  readonly state: BenchState;
  readonly session: Session;
  readonly arranging: Arranging;
}

/** What can be done with a card as a whole. */
export const variantMenu = ({ piece, variant, state, session, arranging }: Here): MenuItem[] => {
  const key = variantKey(piece, variant);
  const resting = key === variantKey(piece, restingVariant(piece));
  const pinned = state.grid.pinned.some((v) => variantKey(piece, v) === key);
  const held = heldVariant();
  const looked = variantFrom(piece, state.variant);
  const other = variantKey(piece, looked) !== key ? looked : state.also[0];
  const against = other ?? restingVariant(piece);
  const suggested = suggestedScope(piece, variant);
  const wider = Object.keys(suggested).length < Object.keys(onlyScope(piece, variant)).length;
  return [
    {
      label: "Name this variant …",
      disabled: Object.keys(piece.traits).length === 0,
      onPick: () => state.put({ renaming: `variant ${key}` }),
    },
    {
      label: "Show it alone, large",
      onPick: () => {
        state.look(variant);
        state.put({ only: variant, zoom: "fit" });
      },
    },
    {
      label: pinned ? "Unpin" : "Pin to the top",
      onPick: () =>
        state.put({
          grid: {
            ...state.grid,
            pinned: pinned
              ? state.grid.pinned.filter((v) => variantKey(piece, v) !== key)
              : [...state.grid.pinned, variant],
          },
        }),
    },
    "line",
    {
      label:
        variantKey(piece, against) === key
          ? "Compare with another card (choose one first)"
          : `Compare with “${variantName(piece, against)}” …`,
      disabled: variantKey(piece, against) === key,
      onPick: () => state.put({ dialog: { kind: "compare", a: against, b: variant } }),
    },
    { label: "Hold this variant's look", onPick: () => arranging.copyVariant(variant) },
    {
      label:
        held?.piece === piece.id
          ? `Make it look like “${variantName(piece, held.variant)}”`
          : "Make it look like a held one",
      disabled: held?.piece !== piece.id || variantKey(piece, held.variant) === key,
      onPick: () => arranging.pasteVariant(variant),
    },
    { label: "Reset the whole variant", disabled: resting, onPick: () => arranging.reset(variant) },
    "line",
    {
      label: "Not used: only this one",
      disabled: resting,
      onPick: () => {
        session.edit(markUnused(piece, onlyScope(piece, variant)));
      },
    },
    ...(wider && !resting
      ? [
          {
            label: `Not used: where ${conditionText(piece, suggested)}`,
            onPick: () => {
              session.edit(markUnused(piece, suggested));
            },
          },
        ]
      : []),
  ];
};
