import { present } from "../basics";
import type { Id } from "../basics";
import { Declarations } from "../looks";
import { ROOT, orderAfter } from "../project";
import type { Layer, Piece, Trait, Variant, VariantNote } from "../project";
import { defaultsOf, hundredths } from "../properties";
import type { SpecifiedValue } from "../properties";
import { fewestDeclarations } from "./minimal";
import type { NamePlan } from "./names";
import type { Drawing, DrawnLayer, Track } from "./types";

/** More combinations that nobody drew than this are not marked one by one. */
const MOST_MISSING = 64;

const traitsFrom = (plan: NamePlan): Trait[] => {
  const out: Trait[] = [];
  plan.traits.forEach((t, pattern) => {
    const values: { id: string; name: string; order: string }[] = [];
    t.values.forEach((name, i) =>
      values.push({ id: `v${pattern}-${i}`, name, order: orderAfter(values) }),
    );
    const first = plan.rows[0]?.[pattern];
    const rest = values.find((v) => v.name === first);
    out.push({
      id: `trait${pattern}`,
      name: t.name,
      order: orderAfter(out),
      pattern: pattern % 10,
      rest: rest && rest !== values[0] ? rest.id : null,
      values: Object.fromEntries(values.map((v) => [v.id, v])),
    });
  });
  return out;
};

const combinations = (traits: readonly Trait[]): Variant[] =>
  traits.reduce<Variant[]>(
    (list, t) => list.flatMap((v) => Object.keys(t.values).map((id) => ({ ...v, [t.id]: id }))),
    [{}],
  );

/** A part of a track, and the number of the drawing it is in. */
interface Lead {
  readonly part: DrawnLayer;
  readonly drawing: number;
}

/** What is not taken from a drawing's values: place, size and whether a layer is there. */
const saidApart = new Set(["x", "y", "width", "height", "visible"]);

/** A component being made of paired drawings. */
class Building {
  private readonly traits: readonly Trait[];
  private readonly traitIds: readonly Id[];
  /** each drawing's own variant by the plan */
  private readonly variants: readonly Variant[];
  private readonly parts: readonly ReadonlyMap<Id, DrawnLayer>[];
  private readonly layerOf: ReadonlyMap<Id, Id>;
  private readonly owner: ReadonlyMap<Id, Track>;
  private readonly looks = new Declarations();
  private readonly layers: Layer[] = [];

  constructor(
    private readonly drawings: readonly Drawing[],
    private readonly tracks: readonly Track[],
    private readonly plan: NamePlan,
  ) {
    this.traits = traitsFrom(plan);
    this.traitIds = this.traits.map((t) => t.id);
    this.variants = plan.rows.map((row) => variantNamed(this.traits, row));
    this.parts = drawings.map((d) => new Map(d.layers.map((l) => [l.id, l])));
    this.layerOf = new Map(tracks.map((t, i) => [t.id, i === 0 ? ROOT : `layer${i}`]));
    this.owner = new Map(
      tracks.flatMap((t) => t.parts.flatMap((p) => (p === null ? [] : [[p, t] as const]))),
    );
  }

  piece(id: Id, order: string, unusedMissing: boolean): Piece {
    for (const track of this.tracks) this.addTrack(track);
    const notes = unusedMissing ? this.missingNotes() : [];
    return {
      id,
      kind: "component",
      name: this.plan.component,
      order,
      traits: Object.fromEntries(this.traits.map((t) => [t.id, t])),
      layers: Object.fromEntries(this.allLayers().map((l) => [l.id, l])),
      looks: this.looks.table((i) => `look${i}`),
      rules: {},
      options: {},
      signals: {},
      rehearsals: {},
      accepted: {},
      samples: {},
      notes: Object.fromEntries(notes.map((n) => [n.id, n])),
      reference: null,
    };
  }

  /** A track's layer in a drawing. */
  private partIn(track: Track, drawing: number): DrawnLayer | undefined {
    return this.parts[drawing]?.get(track.parts[drawing] ?? "");
  }

  /** The first drawing's layer of a track. */
  private leadOf(track: Track): Lead | null {
    const drawing = track.parts.findIndex((p) => p !== null);
    const part = drawing < 0 ? undefined : this.partIn(track, drawing);
    return part ? { part, drawing } : null;
  }

  private parentOf(track: Track): Track {
    const around = this.leadOf(track)?.part.parent ?? null;
    return (around === null ? undefined : this.owner.get(around)) ?? present(this.tracks[0]);
  }

  private addTrack(track: Track): void {
    const lead = this.leadOf(track);
    if (!lead) return;
    const isRoot = track === this.tracks[0];
    const parent = isRoot ? null : this.parentOf(track);
    const parentId = parent && (this.layerOf.get(parent.id) ?? ROOT);
    const id = present(this.layerOf.get(track.id));
    this.layers.push({
      id,
      kind: isRoot ? "box" : lead.part.kind,
      name: isRoot ? this.plan.component : track.name,
      parent: parentId,
      order: orderAfter(this.layers.filter((l) => l.parent === parentId)),
    });
    const there = this.drawings.map((_, d) => this.partIn(track, d));
    this.sayVisible(id, there);
    if (parent) this.sayPlace(id, there, parent);
    this.saySize(id, there, lead.part);
    this.sayValues(id, there, lead.part);
  }

  /** Says what is sampled, in as few looks as possible. */
  private say(id: Id, key: string, samples: readonly (SpecifiedValue | undefined)[]): void {
    const known = samples.flatMap((value, d) =>
      value === undefined ? [] : [{ variant: present(this.variants[d]), value }],
    );
    for (const { when, value } of fewestDeclarations(this.traitIds, known))
      this.looks.say(when, id, { [key]: value });
  }

  private sayVisible(id: Id, there: readonly (DrawnLayer | undefined)[]): void {
    const shown = there.map((part) => part !== undefined);
    if (!shown.every(Boolean)) this.say(id, "visible", shown);
  }

  /**
   * A place is told from the container it has in the component, wherever that is in the drawing.
   */
  private sayPlace(id: Id, there: readonly (DrawnLayer | undefined)[], parent: Track): void {
    const from = there.map((part, d) => part && this.originIn(parent, d));
    for (const axis of ["x", "y"] as const)
      this.say(
        id,
        axis,
        there.map((part, d) => part && hundredths(part[axis] - present(from[d])[axis])),
      );
  }

  /** Where the nearest container that is there lies in a drawing. */
  private originIn(parent: Track, drawing: number): { readonly x: number; readonly y: number } {
    for (let track: Track | null = parent; track;) {
      const part = this.partIn(track, drawing);
      if (part) return part;
      track = track === this.tracks[0] ? null : this.parentOf(track);
    }
    return this.drawings[drawing]?.layers[0] ?? { x: 0, y: 0 };
  }

  private saySize(id: Id, there: readonly (DrawnLayer | undefined)[], lead: DrawnLayer): void {
    const fits = (mode: "widthMode" | "heightMode"): boolean =>
      there.every(
        (part) =>
          part === undefined || (part.values[mode] ?? defaultsOf(part.kind)[mode]) === "fit",
      );
    for (const key of ["width", "height"] as const)
      if (!fits(`${key}Mode`) || lead.kind === "path")
        this.say(
          id,
          key,
          there.map((part) => part && hundredths(part[key])),
        );
  }

  private sayValues(id: Id, there: readonly (DrawnLayer | undefined)[], lead: DrawnLayer): void {
    const defaults = defaultsOf(lead.kind);
    const keys = new Set(there.flatMap((part) => Object.keys(part?.values ?? {})));
    for (const key of keys)
      if (!saidApart.has(key))
        this.say(
          id,
          key,
          there.map((part) => part && (part.values[key] ?? defaults[key])),
        );
  }

  /** Combinations that nobody drew, marked as not used; none where there are too many. */
  private missingNotes(): VariantNote[] {
    const all = combinations(this.traits);
    if (all.length - this.variants.length > MOST_MISSING) return [];
    const keyOf = (v: Variant): string => JSON.stringify(this.traitIds.map((t) => v[t]));
    const drawn = new Set(this.variants.map(keyOf));
    const notes: VariantNote[] = [];
    for (const variant of all.filter((v) => !drawn.has(keyOf(v))))
      notes.push({
        id: `note${notes.length}`,
        order: orderAfter(notes),
        when: Object.fromEntries(this.traitIds.map((t) => [t, [present(variant[t])]])),
        name: null,
        unused: true,
      });
    return notes;
  }

  private allLayers(): Layer[] {
    if (this.layers.some((l) => l.id === ROOT)) return this.layers;
    const name = this.plan.component;
    return [{ id: ROOT, kind: "box", name, parent: null, order: "a0" }, ...this.layers];
  }
}

/** The variant of a row of value names. */
const variantNamed = (traits: readonly Trait[], row: readonly string[]): Variant => {
  const idOf = (trait: Trait, name: string | undefined): Id =>
    Object.values(trait.values).find((v) => v.name === name)?.id ??
    Object.keys(trait.values)[0] ??
    "";
  return Object.fromEntries(traits.map((t, i) => [t.id, idOf(t, row[i])]));
};

/**
 * Makes one component of paired drawings: one tree, and looks that say as little as possible. The
 * first drawing's variant rests. A layer that some drawings lack is not shown there. Ids of traits
 * and layers are new; combinations that nobody drew are marked as unused when `unusedMissing` is
 * set.
 */
export const buildGathered = (
  drawings: readonly Drawing[],
  tracks: readonly Track[],
  plan: NamePlan,
  id: Id,
  order: string,
  unusedMissing: boolean,
): Piece => new Building(drawings, tracks, plan).piece(id, order, unusedMissing);
