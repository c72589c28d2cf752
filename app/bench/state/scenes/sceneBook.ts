import type { LayoutBox, LayoutEnv } from "#core/layout";

type Side = "width" | "height";
type Listen = () => void;

/**
 * How each shown variant looks, by the key of its card; cards out of sight as they looked last. It
 * stands beside the rest of the bench's state: it changes with every edit, and only the cards that
 * look different then are told.
 */
export class SceneBook {
  private made: LayoutEnv | null = null;
  private scenes: ReadonlyMap<string, LayoutBox | null> = new Map();
  private readonly ofCard = new Map<string, Set<Listen>>();
  private readonly ofAny = new Set<Listen>();

  /** What layouts are made with; null before the stage has drawn. */
  get env(): LayoutEnv | null {
    return this.made;
  }

  /** Whether anything was laid out yet. */
  get laid(): boolean {
    return this.scenes.size > 0;
  }

  has(key: string): boolean {
    return this.scenes.has(key);
  }

  get(key: string): LayoutBox | null {
    return this.scenes.get(key) ?? null;
  }

  /** All that is laid out. */
  get all(): readonly LayoutBox[] {
    return [...this.scenes.values()].filter((placed) => placed !== null);
  }

  /** The card that comes first; null before there are any. */
  get firstKey(): string | null {
    const [first] = this.scenes.keys();
    return first ?? null;
  }

  /** The largest width or height of the shown variants, px of the piece; at least 1. */
  largest(side: Side): number {
    return Math.max(1, ...[...this.scenes.values()].map((placed) => placed?.[side] ?? 0));
  }

  /** Takes what the stage has laid out, and tells the cards that look different by it. */
  put(env: LayoutEnv, next: ReadonlyMap<string, LayoutBox | null>): void {
    const before = this.scenes;
    this.made = env;
    this.scenes = next;
    const changed = [...next.keys()].filter((key) => before.get(key) !== next.get(key));
    if (changed.length === 0 && before.size === next.size) return;
    for (const key of changed) for (const call of this.ofCard.get(key) ?? []) call();
    for (const call of this.ofAny) call();
  }

  /** Calls whenever a card looks different. Answers how to stop. */
  subscribe(key: string, call: Listen): Listen {
    const calls = this.ofCard.get(key) ?? new Set();
    this.ofCard.set(key, calls.add(call));
    return () => {
      calls.delete(call);
      if (calls.size === 0 && this.ofCard.get(key) === calls) this.ofCard.delete(key);
    };
  }

  /** Calls whenever any card looks different. Answers how to stop. */
  readonly subscribeAll = (call: Listen): Listen => {
    this.ofAny.add(call);
    return () => this.ofAny.delete(call);
  };
}
