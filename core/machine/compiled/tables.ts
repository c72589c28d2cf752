import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import type { Variant } from "../../project";
import type { State } from "../state";
import type { Path } from "../types";

export type TraitsByPath = State["traits"];

/** As many tables of traits are kept before all are forgotten: long runs must not fill memory. */
const MOST_KEPT = 50_000;

/**
 * Tables of traits by path, equal ones kept as one object: what follows from them is then found by
 * that object, and nothing need be written on the way.
 */
export class TraitTables {
  private byContent = new Map<string, TraitsByPath>();
  private following = new WeakMap<TraitsByPath, Map<Path, Map<Variant, TraitsByPath>>>();
  private readonly numbers = new WeakMap<Variant, number>();
  private count = 0;

  /** The number of a variant, for texts that name it. */
  readonly numberOf = (variant: Variant): number =>
    entryOf(this.numbers, variant, () => ++this.count);

  private contentOf(traits: TraitsByPath): string {
    const parts = Object.entries(traits).map(([path, v]) => `${path} ${this.numberOf(v)}`);
    return parts.sort().join("\n");
  }

  /** A table with the variant of one path put in. Variants have to be one object when equal. */
  put(traits: TraitsByPath, path: Path, variant: Variant): TraitsByPath {
    const known = this.following.get(traits)?.get(path)?.get(variant);
    if (known) return known;
    if (this.byContent.size > MOST_KEPT) {
      this.byContent = new Map();
      this.following = new WeakMap();
    }
    const next = { ...traits, [path]: variant };
    const kept = entryOf(this.byContent, this.contentOf(next), () => next);
    const byPath = entryOf(
      this.following,
      traits,
      () => new Map<Path, Map<Variant, TraitsByPath>>(),
    );
    entryOf(byPath, path, () => new Map<Variant, TraitsByPath>()).set(variant, kept);
    return kept;
  }
}

/** Lists of paths, equal ones kept as one object. */
export class PathLists {
  private readonly known = new Map<string, readonly Path[]>();

  one(list: readonly Path[]): readonly Path[] {
    return entryOf(this.known, list.join("\n"), () => list);
  }
}

/** The keys under which states note who set a trait last, or which rule waits: "path trait". */
export class PairKeys {
  private readonly known = new Map<Path, Map<Id, string>>();

  key(path: Path, id: Id): string {
    let ids = this.known.get(path);
    if (!ids) this.known.set(path, (ids = new Map<Id, string>()));
    let key = ids.get(id);
    if (key === undefined) ids.set(id, (key = `${path} ${id}`));
    return key;
  }
}
