import { useMemo } from "react";
import type { Id } from "#core/basics";
import {
  clearValue,
  duplicateLayers,
  moveSaying,
  pasteRules,
  removeLayers,
  rulesAbout,
  rulesAlong,
  setValues,
  topmost,
} from "#core/edit";
import type { Edits, RuleClip } from "#core/edit";
import { conditionText, exactly, originOf, suggestedScope, valuesIn } from "#core/looks";
import { newId } from "#core/project";
import type { Condition, Piece, Variant } from "#core/project";
import { labelOf } from "#core/properties";
import type { Value } from "#core/properties";
import { useSession } from "../../session/context";
import { PATIENCE } from "../../session/session";
import type { Session } from "../../session/session";
import { activeOf, useBenchStore } from "./state";
import type { BenchState } from "./state";
import type { StoreApi } from "zustand";

/** What was duplicated last, and into what. */
let lastCopy: { readonly of: readonly Id[]; readonly made: readonly Id[] } | null = null;

/** The edits made from several places of the bench: stage, sheet, keys. */
export class BenchEdits {
  constructor(
    private readonly session: Session,
    private readonly store: StoreApi<BenchState>,
  ) {}

  private get active() {
    const state = this.store.getState();
    const piece = this.session.project.pieces[state.pieceId];
    return piece ? activeOf(piece, state) : null;
  }

  /**
   * Says values in the present scope; tells when a more specific look hides them in the card one
   * looks at.
   */
  set(edits: Edits, gesture: string | null = null, patience?: number): void {
    const active = this.active;
    if (!active) return;
    if (!this.session.edit(setValues(active.piece, active.whens, edits), gesture, patience)) return;
    this.tellHidden(edits);
  }

  /**
   * An edit that a more specific look hides on a chosen card says so, and offers to clear what
   * hides it.
   */
  private tellHidden(edits: Edits): void {
    const active = this.active;
    const hiding: { look: Id; layer: Id; key: string }[] = [];
    for (const [id, values] of Object.entries(
      active && Object.keys(active.piece.traits).length ? edits : {},
    )) {
      const layer = active?.piece.layers[id];
      for (const [key, value] of layer ? Object.entries(values) : [])
        for (const variant of active?.variants ?? []) {
          if (!layer || !active) continue;
          const origin = originOf(this.session.project, active.piece, variant, layer, key);
          if (
            origin.from !== null &&
            JSON.stringify(origin.value) !== JSON.stringify(value) &&
            !hiding.some((h) => h.look === origin.from && h.layer === id && h.key === key)
          )
            hiding.push({ look: origin.from, layer: id, key });
        }
    }
    const [first] = hiding;
    const state = this.store.getState();
    if (!active || !first) {
      if (state.hint !== null) state.put({ hint: null, offer: null });
      return;
    }
    const words = conditionText(active.piece, active.piece.looks[first.look]?.when ?? {});
    const label = labelOf(first.key) ?? "value";
    this.offer(
      `Set, but this card still shows its own ${label}, said where ${words}.`,
      "Clear that",
      () => {
        this.clearAll(hiding);
        state.put({ hint: null, offer: null });
      },
    );
  }

  /**
   * Says values for exactly some variants, whatever cards are chosen; one step of undo with others
   * of the same gesture.
   */
  setIn(variants: readonly Variant[], edits: Edits, gesture: string | null = null): void {
    const active = this.active;
    if (active && variants.length)
      this.session.edit(
        setValues(
          active.piece,
          variants.length > 1
            ? exactly(active.piece, variants)
            : suggestedScope(active.piece, variants[0] as Variant),
          edits,
        ),
        gesture,
      );
  }

  /** Says what a look says elsewhere: in a wider scope or a narrower one. */
  move(layerIds: readonly Id[], keys: readonly string[], look: Id, to: Condition): void {
    const active = this.active;
    const change = active && moveSaying(active.piece, look, layerIds, keys, to);
    if (change) this.session.edit(change);
  }

  /**
   * Takes back what looks say about properties, so that they are inherited again; one step of undo.
   */
  clearAll(list: readonly { look: Id; layer: Id; key: string }[]): void {
    const gesture = `clear ${newId()}`;
    for (const { look, layer, key } of list) {
      const active = this.active;
      if (active && active.piece.looks[look]?.changes[layer]?.[key] !== undefined)
        this.session.edit(clearValue(active.piece, look, layer, key), gesture);
    }
    this.session.endGesture();
  }

  /** Tells something beside the scope, until it is closed or the next edit. */
  note(hint: string): void {
    this.store.getState().put({ hint, offer: null });
  }

  /** Tells something and offers to do something about it. */
  offer(hint: string, label: string, run: () => void): void {
    this.store.getState().put({ hint, offer: { label, run } });
  }

  nudge(ids: readonly Id[], dx: number, dy: number): void {
    const active = this.active;
    if (!active) return;
    const edits = Object.fromEntries(
      topmost(active.piece, ids).map((id) => {
        const layer = active.piece.layers[id];
        const next: Record<string, Value> = {};
        if (!layer) return [id, next];
        const { x, y } = valuesIn(this.session.project, active.piece, active.variant, layer);
        if (dx) next.x = x + dx;
        if (dy) next.y = y + dy;
        return [id, next];
      }),
    );
    if (Object.keys(edits).length) this.set(edits, `nudge ${ids.join()}`, PATIENCE);
  }

  private wayBetween(a: Id | undefined, b: Id | undefined): { dx: number; dy: number } | null {
    const active = this.active;
    const one = active?.piece.layers[a ?? ""];
    const two = active?.piece.layers[b ?? ""];
    if (!active || !one || !two) return null;
    const v = valuesIn(this.session.project, active.piece, active.variant, one);
    const w = valuesIn(this.session.project, active.piece, active.variant, two);
    const dx = w.x - v.x;
    const dy = w.y - v.y;
    return dx || dy ? { dx, dy } : null;
  }

  remove(ids: readonly Id[]): void {
    const active = this.active;
    if (!active || topmost(active.piece, ids).length === 0) return;
    this.session.edit(removeLayers(active.piece, ids));
    this.store.getState().choose([]);
  }

  /**
   * Duplicates layers beside themselves; once more after the duplicates were moved, by the same way
   * again.
   */
  duplicate(ids: readonly Id[], by?: number): readonly Id[] {
    const active = this.active;
    const tops = active ? topmost(active.piece, ids) : [];
    if (!active || tops.length === 0) return [];
    const repeat =
      by === undefined && lastCopy?.made.join() === tops.join()
        ? this.wayBetween(lastCopy.of[0], lastCopy.made[0])
        : null;
    const made = duplicateLayers(active.piece, tops, repeat ?? { dx: by ?? 12, dy: by ?? 12 });
    if (!this.session.edit(made.change)) return [];
    lastCopy = { of: tops, made: made.ids };
    this.store.getState().choose(made.ids);
    this.askForRules(active.piece, made.twins);
    return made.ids;
  }

  /**
   * Duplicated layers do nothing yet: asks once whether what is said about the originals shall be
   * said about them too.
   */
  private askForRules(piece: Piece, twins: ReadonlyMap<Id, Id>): void {
    const n = rulesAbout(piece, [...twins.keys()]).length;
    if (n === 0) return;
    this.offer(
      `Duplicated without ${n === 1 ? "its rule" : `the ${n} rules`} of the original.`,
      n === 1 ? "Bring the rule along" : "Bring the rules along",
      () => {
        const now = this.active?.piece;
        if (!now) return;
        const along = rulesAlong(now, twins);
        if (this.session.edit(along.change)) this.showRules(along.ids);
      },
    );
  }

  /** Opens the rules with some of them chosen, so that one sees what was made. */
  showRules(ids: readonly Id[]): void {
    this.store.getState().put({ tab: "rules", chosenRules: ids, hint: null, offer: null });
  }

  /** Adds copied rules; with rules that name what is not here, says so. */
  pasteRules(clip: RuleClip): void {
    const active = this.active;
    if (!active) return;
    const made = pasteRules(active.piece, clip);
    if (this.session.edit(made.change)) this.showRules(made.ids);
  }
}

export const useEdits = (): BenchEdits => {
  const session = useSession();
  const store = useBenchStore();
  return useMemo(() => new BenchEdits(session, store), [session, store]);
};
