import type { Copy, Lost, Mapping } from "#core/system";

/** What is lost in a copy, told from all else that is. */
const keyOf = ({ piece, layer }: Copy, { look, rule, key, name }: Lost): string =>
  JSON.stringify([piece, layer, look ?? rule ?? "", key ?? name]);

/** What is said instead of what is lost, as far as somebody has chosen. */
export class Mappings {
  constructor(private readonly chosen: ReadonlyMap<string, Mapping> = new Map()) {}

  get all(): readonly Mapping[] {
    return [...this.chosen.values()];
  }

  of(copy: Copy, lost: Lost): string {
    return this.chosen.get(keyOf(copy, lost))?.to ?? "";
  }

  /** With another choice; "" to say what was said before. */
  with(copy: Copy, lost: Lost, to: string): Mappings {
    const next = new Map(this.chosen);
    const key = keyOf(copy, lost);
    if (to === "") next.delete(key);
    else next.set(key, { piece: copy.piece, layer: copy.layer, lost, to });
    return new Mappings(next);
  }
}
