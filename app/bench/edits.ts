import { useMemo } from "react";
import { clearValue, duplicateLayers, moveSaying, removeLayers, setValues, topmost } from "#core/edit";
import type { Edits } from "#core/edit";
import { conditionText, exactly, originOf, suggestedScope, valuesIn } from "#core/looks";
import { newId } from "#core/project";
import type { Condition, Id, Variant } from "#core/project";
import type { Value } from "#core/properties";
import { useSession } from "../store/session-context";
import { PATIENCE } from "../store/session";
import type { Session } from "../store/session";
import { activeOf, useBenchStore } from "./state";
import type { BenchState } from "./state";
import type { StoreApi } from "zustand";

/** The edits made from several places of the bench: stage, sheet, keys. */
export class BenchEdits {
  constructor(private readonly session: Session, private readonly store: StoreApi<BenchState>) {}

  private get active() {
    const state = this.store.getState();
    const piece = this.session.project.pieces[state.pieceId];
    return piece ? activeOf(piece, state) : null;
  }

  /** Says values in the present scope; tells when a more specific look hides them in the card one looks at. */
  set(edits: Edits, gesture: string | null = null, patience?: number): void {
    const active = this.active;
    if (!active) return;
    if (!this.session.edit(setValues(active.piece, active.whens, edits), gesture, patience)) return;
    this.store.getState().put({ hint: this.hiddenNote(edits) });
  }

  private hiddenNote(edits: Edits): string | null {
    const active = this.active;
    if (!active) return null;
    for (const [id, values] of Object.entries(edits)) {
      const layer = active.piece.layers[id];
      for (const [key, value] of layer ? Object.entries(values) : []) {
        if (!layer) continue;
        const origin = originOf(this.session.project, active.piece, active.variant, layer, key);
        const winner = origin.from === null ? undefined : active.piece.looks[origin.from];
        if (winner && JSON.stringify(origin.value) !== JSON.stringify(value)) {
          return `Set, but this card still shows its own ${key}, said where ${conditionText(active.piece, winner.when)}. Clear it in the sheet to see the new one here.`;
        }
      }
    }
    return null;
  }

  /** Says values for exactly some variants, whatever cards are chosen; one step of undo with others of the same gesture. */
  setIn(variants: readonly Variant[], edits: Edits, gesture: string | null = null): void {
    const active = this.active;
    if (active && variants.length) this.session.edit(setValues(active.piece, variants.length > 1 ? exactly(active.piece, variants) : suggestedScope(active.piece, variants[0] as Variant), edits), gesture);
  }

  /** Says what a look says elsewhere: in a wider scope or a narrower one. */
  move(layerIds: readonly Id[], keys: readonly string[], look: Id, to: Condition): void {
    const active = this.active;
    const change = active && moveSaying(active.piece, look, layerIds, keys, to);
    if (change) this.session.edit(change);
  }

  /** Takes back what looks say about properties, so that they are inherited again; one step of undo. */
  clearAll(list: readonly { look: Id; layer: Id; key: string }[]): void {
    const gesture = `clear ${newId()}`;
    for (const { look, layer, key } of list) {
      const active = this.active;
      if (active && active.piece.looks[look]?.changes[layer]?.[key] !== undefined) this.session.edit(clearValue(active.piece, look, layer, key), gesture);
    }
    this.session.settle();
  }

  /** Tells something beside the scope, until it is closed or the next edit. */
  note(hint: string): void { this.store.getState().put({ hint }); }

  nudge(ids: readonly Id[], dx: number, dy: number): void {
    const active = this.active;
    if (!active) return;
    const edits = Object.fromEntries(topmost(active.piece, ids).map((id) => {
      const layer = active.piece.layers[id];
      const v = layer ? valuesIn(this.session.project, active.piece, active.variant, layer) : {};
      const next: Record<string, Value> = {};
      if (dx) next.x = (v.x as number) + dx;
      if (dy) next.y = (v.y as number) + dy;
      return [id, next];
    }));
    if (Object.keys(edits).length) this.set(edits, `nudge ${ids.join()}`, PATIENCE);
  }

  remove(ids: readonly Id[]): void {
    const active = this.active;
    if (!active || topmost(active.piece, ids).length === 0) return;
    this.session.edit(removeLayers(active.piece, ids));
    this.store.getState().choose([]);
  }

  duplicate(ids: readonly Id[], by = 12): readonly Id[] {
    const active = this.active;
    if (!active || topmost(active.piece, ids).length === 0) return [];
    const made = duplicateLayers(active.piece, ids, by);
    this.session.edit(made.change);
    this.store.getState().choose(made.ids);
    return made.ids;
  }
}

export const useEdits = (): BenchEdits => {
  const session = useSession();
  const store = useBenchStore();
  return useMemo(() => new BenchEdits(session, store), [session, store]);
};
