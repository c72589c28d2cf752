import type { Id } from "../basics";
import { BASE, newId, orderAfter, set } from "../project";
import type { Condition, LayerChanges, Look, Op, Piece } from "../project";
import type { SpecifiedValue } from "../properties";
import { lookFor } from "./scope";
import { sameCondition } from "./variants";

/**
 * Collects what is to be said about layers, by condition, and makes looks of it: a table of new
 * ones, or steps for a piece that has some.
 */
export class Declarations {
  private readonly list: {
    readonly when: Condition;
    readonly changes: Record<Id, Record<string, SpecifiedValue>>;
  }[] = [];

  private at(when: Condition): Record<Id, Record<string, SpecifiedValue>> | undefined {
    return this.list.find((e) => sameCondition(e.when, when))?.changes;
  }

  /** Says values of a layer where a condition holds; what was said there before is said over. */
  say(when: Condition, layer: Id, values: LayerChanges): void {
    if (Object.keys(values).length === 0) return;
    let changes = this.at(when);
    if (!changes) this.list.push({ when, changes: (changes = {}) });
    changes[layer] = { ...changes[layer], ...values };
  }

  says(when: Condition, layer: Id, key: string): boolean {
    return this.at(when)?.[layer]?.[key] !== undefined;
  }

  /** Steps that say all of it in a piece: in looks that exist, or in new ones behind them. */
  ops(piece: Piece): Op[] {
    const looks: { order: string; id: string }[] = Object.values(piece.looks);
    return this.list.flatMap(({ when, changes }): Op[] => {
      const known = lookFor(piece, when);
      const at = ["pieces", piece.id, "looks"];
      if (known)
        return Object.entries(changes).map(([layer, values]) =>
          set([...at, known.id, "changes", layer], { ...known.changes[layer], ...values }),
        );
      const look: Look = { id: newId(), when, order: orderAfter(looks), changes };
      looks.push(look);
      return [set([...at, look.id], look)];
    });
  }

  /**
   * The looks of a new piece; the one that holds always is the base look, which is there even when
   * it says nothing.
   */
  table(name: (i: number) => Id = newId): Record<Id, Look> {
    const out: Look[] = [];
    const all = this.at({}) ? this.list : [{ when: {}, changes: {} }, ...this.list];
    for (const [i, { when, changes }] of all.entries())
      out.push({
        id: Object.keys(when).length ? name(i) : BASE,
        when,
        order: orderAfter(out),
        changes,
      });
    return Object.fromEntries(out.map((l) => [l.id, l]));
  }
}
