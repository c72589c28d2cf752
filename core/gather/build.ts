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

/** The drawings' layers by id, and each drawing's own variant by the plan. */
interface Material {
  readonly drawings: readonly Drawing[];
  readonly tracks: readonly Track[];
  readonly variants: readonly Variant[];
  readonly parts: readonly ReadonlyMap<Id, DrawnLayer>[];
}

/** A track's layer in a drawing, and what it is in: the nearest container that is there too. */
const partIn = (m: Material, track: Track, d: number): DrawnLayer | undefined =>
  m.parts[d]?.get(track.parts[d] ?? "");

/**
 * Makes one component of paired drawings: one tree, and looks that say as little as possible. The
 * first drawing's variant
 * rests. A layer that some drawings lack is not shown there. Ids of traits and layers are new;
 * combinations that nobody
 * drew are marked as unused when `unusedMissing` is set.
 */
export const buildGathered = (
  drawings: readonly Drawing[],
  tracks: readonly Track[],
  plan: NamePlan,
  id: Id,
  order: string,
  unusedMissing: boolean,
): Piece => {
  const traits = traitsFrom(plan);
  const valueId = (t: Trait, name: string | undefined) =>
    Object.values(t.values).find((v) => v.name === name)?.id ?? Object.keys(t.values)[0] ?? "";
  const variants = plan.rows.map((row): Variant =>
    Object.fromEntries(traits.map((t, i) => [t.id, valueId(t, row[i])])),
  );
  const m: Material = {
    drawings,
    tracks,
    variants,
    parts: drawings.map((d) => new Map(d.layers.map((l) => [l.id, l]))),
  };
  const trackIds = traits.map((t) => t.id);
  const layerOf = new Map<Id, Id>();
  tracks.forEach((t, i) => layerOf.set(t.id, i === 0 ? ROOT : `layer${i}`));
  const owner = new Map<Id, Track>();
  for (const t of tracks) for (const p of t.parts) if (p !== null) owner.set(p, t);
  const lead = (t: Track): { part: DrawnLayer; drawing: number } | null => {
    const drawing = t.parts.findIndex((p) => p !== null);
    const part = drawing < 0 ? undefined : partIn(m, t, drawing);
    return part ? { part, drawing } : null;
  };
  const parentOf = (t: Track): Track => {
    const at = lead(t);
    return (
      (at && at.part.parent !== null ? owner.get(at.part.parent) : undefined) ?? present(tracks[0])
    );
  };

  const looks = new Declarations();
  const layers: Layer[] = [];
  const names = new Map<Id, string>();
  tracks.forEach((track, index) => {
    const at = lead(track);
    if (!at) return;
    const layerId = present(layerOf.get(track.id));
    const parent = index === 0 ? null : parentOf(track);
    names.set(layerId, track.name);
    layers.push({
      id: layerId,
      kind: index === 0 ? "box" : at.part.kind,
      name: index === 0 ? plan.component : track.name,
      parent: parent && (layerOf.get(parent.id) ?? ROOT),
      order: orderAfter(layers.filter((l) => l.parent === (parent && layerOf.get(parent.id)))),
    });
    const there = drawings.map((_, d) => partIn(m, track, d));
    const shown = there.map((p) => p !== undefined);
    const says = <T extends SpecifiedValue>(
      key: string,
      valueAt: (p: DrawnLayer, d: number) => T | undefined,
      fallback?: SpecifiedValue,
    ) => {
      const samples = there.flatMap((p, d) => {
        const value = p && valueAt(p, d);
        if (p && value !== undefined) {
          return [{ variant: present(variants[d]), value: value }];
        }
        return p && fallback !== undefined
          ? [{ variant: present(variants[d]), value: fallback }]
          : [];
      });
      for (const s of fewestDeclarations(trackIds, samples))
        looks.say(s.when, layerId, { [key]: s.value });
    };
    if (!shown.every(Boolean))
      for (const s of fewestDeclarations(
        trackIds,
        shown.map((value, d) => ({ variant: present(variants[d]), value })),
      ))
        looks.say(s.when, layerId, { visible: s.value });
    // a place is told from the container it has in the component, wherever that is in the drawing
    const origin = (d: number): { x: number; y: number } => {
      for (let t: Track | null = parent; t; t = t === tracks[0] ? null : parentOf(t)) {
        const p = partIn(m, t, d);
        if (p) return p;
      }
      return m.drawings[d]?.layers[0] ?? { x: 0, y: 0 };
    };
    if (parent) {
      says("x", (p, d) => hundredths(p.x - origin(d).x));
      says("y", (p, d) => hundredths(p.y - origin(d).y));
    }
    const fitting = (key: string) =>
      there.every(
        (p) =>
          p === undefined ||
          p.values[key] === "fit" ||
          (p.values[key] === undefined && defaultsOf(p.kind)[key] === "fit"),
      );
    if (!fitting("widthMode") || at.part.kind === "path") says("width", (p) => hundredths(p.width));
    if (!fitting("heightMode") || at.part.kind === "path")
      says("height", (p) => hundredths(p.height));
    const keys = new Set(there.flatMap((p) => Object.keys(p?.values ?? {})));
    for (const key of keys) {
      if (["x", "y", "width", "height", "visible"].includes(key)) continue;
      const fallback = defaultsOf(at.part.kind)[key];
      says(key, (p) => p.values[key], fallback);
    }
  });

  const notes: VariantNote[] = [];
  if (unusedMissing && combinations(traits).length - variants.length <= MOST_MISSING) {
    const drawn = new Set(variants.map((v) => JSON.stringify(trackIds.map((t) => v[t]))));
    for (const v of combinations(traits)) {
      if (drawn.has(JSON.stringify(trackIds.map((t) => v[t])))) continue;
      notes.push({
        id: `note${notes.length}`,
        order: orderAfter(notes),
        when: Object.fromEntries(trackIds.map((t) => [t, [present(v[t])]])),
        name: null,
        unused: true,
      });
    }
  }
  const root = layers.find((l) => l.id === ROOT);
  return {
    id,
    kind: "component",
    name: plan.component,
    order,
    traits: Object.fromEntries(traits.map((t) => [t.id, t])),
    layers: Object.fromEntries(
      (root
        ? layers
        : [
            {
              id: ROOT,
              kind: "box",
              name: plan.component,
              parent: null,
              order: "a0",
            } satisfies Layer,
            ...layers,
          ]
      ).map((l) => [l.id, l]),
    ),
    looks: looks.table((i) => `look${i}`),
    rules: {},
    options: {},
    signals: {},
    rehearsals: {},
    accepted: {},
    notes: Object.fromEntries(notes.map((n) => [n.id, n])),
    reference: null,
  };
};
