import { entryOf, present } from "../basics";
import type { Id } from "../basics";
import { ROOT, byOrder } from "../project";
import type { Layer, LayerChanges, Look, OptionKey, Piece, Project, Variant } from "../project";
import { OPTION, TRAIT } from "../properties";
import type { LayerValues, SpecifiedValue, Values } from "../properties";
import { cascade, changesIn, looksIn } from "./cascade";
import { fixedTheme, hasThemes, inTheme } from "./themes";
import { resolveTokens } from "./tokens";
import { restOf, traitsOf, variantFrom } from "./variants";

/**
 * A layer with its values in the present variant; equal results keep their identity from one
 * resolving to the next.
 */
export interface ComputedLayer {
  readonly layer: Layer;
  readonly values: LayerValues;
  readonly children: readonly ComputedLayer[];
  /**
   * an instance's placed component, resolved in its own variant; null when it is missing or would
   * contain itself
   */
  readonly nested: ComputedLayer | null;
}

const childTable = new WeakMap<object, ReadonlyMap<Id, readonly Layer[]>>();

/** A piece's layers by parent, in order. */
export const childrenOf = (piece: Pick<Piece, "layers">): ReadonlyMap<Id, readonly Layer[]> => {
  const known = childTable.get(piece.layers);
  if (known) return known;
  const table = new Map<Id, Layer[]>();
  for (const layer of Object.values(piece.layers).sort(byOrder)) {
    if (layer.parent === null) continue;
    const list = table.get(layer.parent);
    if (list) list.push(layer);
    else table.set(layer.parent, [layer]);
  }
  childTable.set(piece.layers, table);
  return table;
};

/**
 * The variant a placed copy starts in: what the instance says, the component's rest for the others.
 */
export const startOf = (component: Piece, values: LayerValues): Variant =>
  Object.fromEntries(
    traitsOf(component).map((t) => {
      const wanted = values[TRAIT + t.id];
      return [t.id, typeof wanted === "string" && t.values[wanted] ? wanted : restOf(t)];
    }),
  );

/** Layer values set by an instance's options: layer id → property → value. */
export type Overrides = ReadonlyMap<Id, LayerChanges>;
const none: Overrides = new Map();
const noChildren: readonly ComputedLayer[] = [];

const overrideCache = new WeakMap<LayerValues, { component: Piece; overrides: Overrides }>();

/** What the options a copy sets come to inside its component. */
export const overridesFrom = (component: Piece, values: LayerValues): Overrides => {
  const known = overrideCache.get(values);
  if (known?.component === component) return known.overrides;
  const overrides = findOverrides(component, values);
  overrideCache.set(values, { component, overrides });
  return overrides;
};

const givenCache = new WeakMap<LayerValues, WeakMap<object, LayerValues>>();

/**
 * An instance's values with options that were set while running; kept, so that equal questions have
 * one answer.
 */
export const withOptions = (
  values: LayerValues,
  given: Readonly<Record<Id, SpecifiedValue>>,
): LayerValues => {
  const known = entryOf(givenCache, values, () => new WeakMap());
  let merged = known.get(given);
  if (!merged) {
    const options = Object.entries(given).map(([k, v]) => [OPTION + k, v]);
    // only keys of options are added, which may have any value
    merged = { ...values, ...Object.fromEntries(options) } as LayerValues;
    known.set(given, merged);
  }
  return merged;
};

/** Whether a copy's value is of the kind its option sets: the option may have changed since. */
const suits = (key: OptionKey, value: SpecifiedValue): boolean => {
  if (key.startsWith(OPTION)) {
    return true;
  }
  if (key === "visible") {
    return typeof value === "boolean";
  }
  return key === "fill"
    ? typeof value === "string" || typeof value === "object"
    : typeof value === "string";
};

const findOverrides = (component: Piece, values: LayerValues): Overrides => {
  let out: Map<Id, LayerChanges> | undefined;
  for (const option of Object.values(component.options)) {
    const value = values[OPTION + option.id];
    if (value === undefined || !suits(option.key, value)) continue;
    out ??= new Map();
    out.set(option.layer, { ...out.get(option.layer), [option.key]: value });
  }
  return out ?? none;
};

const holderCache = new WeakMap<object, ReadonlySet<Id>>();

/**
 * Layers that are an instance or hold one: what they show may change without an edit of their own
 * piece.
 */
const holdersOf = (piece: Piece): ReadonlySet<Id> => {
  let holders = holderCache.get(piece.layers);
  if (!holders)
    holderCache.set(
      piece.layers,
      (holders = withAncestors(
        piece,
        Object.values(piece.layers)
          .filter((l) => l.kind === "instance")
          .map((l) => l.id),
      )),
    );
  return holders;
};

const withAncestors = (piece: Piece, ids: Iterable<Id>): Set<Id> => {
  const out = new Set<Id>();
  for (const id of ids)
    for (
      let at = piece.layers[id];
      at && !out.has(at.id);
      at = at.parent === null ? undefined : piece.layers[at.parent]
    )
      out.add(at.id);
  return out;
};

/**
 * The layers about which two runs of looks differ; null when the runs are not comparable look by
 * look.
 */
const differing = (before: readonly Look[], after: readonly Look[]): Id[] | null => {
  if (before.length !== after.length) return null;
  const out: Id[] = [];
  for (let i = 0; i < after.length; i++) {
    const a = present(before[i]);
    const b = present(after[i]);
    if (a === b) continue;
    if (a.id !== b.id) return null;
    for (const id of differingIn(a, b)) out.push(id);
  }
  return out;
};

/** What a look differs in from the one before it, kept: every card of a piece asks the same. */
const differences = new WeakMap<Look, { before: Look; ids: readonly Id[] }>();

const differingIn = (before: Look, after: Look): readonly Id[] => {
  const known = differences.get(after);
  if (known?.before === before) return known.ids;
  const a = before.changes;
  const b = after.changes;
  const ids = [
    ...Object.keys(b).filter((id) => a[id] !== b[id]),
    ...Object.keys(a).filter((id) => !(id in b)),
  ];
  differences.set(after, { before, ids });
  return ids;
};

/** What a running machine says of a copy: its traits, and options that were set. */
export interface Running {
  readonly variant: (path: string) => Variant | undefined;
  readonly options?: (path: string) => Readonly<Record<Id, SpecifiedValue>> | undefined;
  /** what it says about layers of a copy, "" for the piece itself */ readonly says?: (
    path: string,
  ) => Overrides | undefined;
}

/** How a piece was resolved at a place the last time. */
interface Before {
  readonly tokens: Project["tokens"];
  readonly assets: Project["assets"];
  readonly layers: Piece["layers"];
  readonly looks: readonly Look[];
  readonly overrides: Overrides;
}

interface Context {
  readonly project: Project;
  readonly piece: Piece;
  readonly looks: readonly Look[];
  readonly path: string;
  readonly overrides: Overrides;
  readonly at: Running;
  readonly inside: readonly Id[];
  /** layers that must be looked at again; null for all */
  readonly touched: ReadonlySet<Id> | null;
}

const mergedCache = new WeakMap<Overrides, WeakMap<Overrides, Overrides>>();

/**
 * What options and a running machine say together, the machine last; kept, so that equal questions
 * have one answer.
 */
const merged = (a: Overrides, b: Overrides): Overrides => {
  const known = entryOf(mergedCache, a, () => new WeakMap());
  let both = known.get(b);
  if (!both)
    known.set(
      b,
      (both = new Map([
        ...a,
        ...[...b].map(([id, changes]) => [id, { ...a.get(id), ...changes }] as const),
      ])),
    );
  return both;
};

/**
 * Layers of one tree, with those of everything placed in it. Pieces that place one another many
 * times over would have more than any computer can hold: what lies beyond is not placed.
 */
const MOST_LAYERS = 30_000;
/** Copies inside copies. */
const DEEPEST_COPY = 40;

const still: Running = { variant: () => undefined };

interface Kept {
  layer: Layer;
  inputs: readonly Values[];
  override: LayerChanges | undefined;
  values: LayerValues;
  node: ComputedLayer | null;
}

const sameChanges = (a: LayerChanges | undefined, b: LayerChanges | undefined): boolean =>
  a === b ||
  (a !== undefined &&
    b !== undefined &&
    Object.keys(a).length === Object.keys(b).length &&
    Object.keys(a).every((k) => a[k] === b[k]));

/** Whether all that a layer's values are made of is what it was. */
const hasSame = (
  kept: Kept,
  layer: Layer,
  inputs: readonly Values[],
  override: LayerChanges | undefined,
): boolean =>
  kept.layer === layer && sameItems(kept.inputs, inputs) && sameChanges(kept.override, override);

const sameItems = (a: readonly unknown[], b: readonly unknown[]): boolean => {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
};

/** A copy's tree as it is wherever the same is placed. */
interface Placed {
  readonly tree: ComputedLayer | null;
  /** layers in it, and copies inside copies */
  readonly layers: number;
  readonly depth: number;
}

/**
 * Trees of copies at rest, kept for resolvers that look at many pieces once: what is placed in
 * several of them the same way is the same object, and so is all that is made of it.
 */
export class SharedCopies {
  readonly #known = new WeakMap<Project, Map<string, Placed>>();

  /** The tree of a component in a variant with options; null where nobody has made it yet. */
  of(project: Project, id: Id, variant: Variant, overrides: Overrides): Placed | null {
    return this.#known.get(project)?.get(this.#key(id, variant, overrides)) ?? null;
  }

  keep(project: Project, id: Id, variant: Variant, overrides: Overrides, placed: Placed): void {
    const known = entryOf(this.#known, project, () => new Map<string, Placed>());
    known.set(this.#key(id, variant, overrides), placed);
  }

  #key(id: Id, variant: Variant, overrides: Overrides): string {
    return JSON.stringify([id, variant, [...overrides]]);
  }
}

/**
 * Resolves trees of one place (a card, a running copy) again and again, keeping whatever did not
 * change. Nested instances take the variant a running machine gives for their path, else the start
 * their instance says.
 */
export class Resolver {
  readonly #kept = new Map<string, Kept>();
  readonly #before = new Map<string, Before>();
  #left = MOST_LAYERS;
  /** how often something was not placed, and how deep the deepest copy lies */
  #cuts = 0;
  #deepest = 0;

  constructor(private readonly shared: SharedCopies | null = null) {}

  /**
   * The piece's tree in a variant; null for a piece that does not exist or has no root. `path`
   * prefixes the nested paths.
   */
  tree(
    project: Project,
    pieceId: Id,
    variant: Variant,
    path = "",
    running: Running = still,
  ): ComputedLayer | null {
    this.#left = MOST_LAYERS;
    return this.#piece(project, pieceId, variant, path, none, running, []);
  }

  #piece(
    project: Project,
    pieceId: Id,
    variant: Variant,
    path: string,
    overrides: Overrides,
    at: Running,
    inside: readonly Id[],
  ): ComputedLayer | null {
    const piece = project.pieces[pieceId];
    const root = piece?.layers[ROOT];
    if (!piece || !root) return null;
    this.#left -= Object.keys(piece.layers).length;
    if (inside.includes(pieceId) || inside.length > DEEPEST_COPY || this.#left < 0) {
      this.#cuts++;
      return null;
    }
    this.#deepest = Math.max(this.#deepest, inside.length);
    const said = at.says?.(path);
    if (said) overrides = merged(overrides, said);
    const looks = looksIn(piece, variant);
    const before = this.#before.get(path);
    const fixed = hasThemes(project) ? fixedTheme(changesIn(looks, ROOT)) : null;
    if (fixed) project = inTheme(project, fixed);
    const { tokens, assets } = project;
    const ids =
      before &&
      before.tokens === tokens &&
      before.assets === assets &&
      before.layers === piece.layers &&
      before.overrides === overrides
        ? differing(before.looks, looks)
        : null;
    this.#before.set(path, { tokens, assets, layers: piece.layers, looks, overrides });
    const touched = ids && withAncestors(piece, ids);
    return this.#layer(
      {
        project,
        piece,
        looks,
        path: path && `${path}/`,
        overrides,
        at,
        inside: [...inside, pieceId],
        touched,
      },
      root,
    );
  }

  #layer(c: Context, layer: Layer): ComputedLayer {
    const key = c.path + layer.id;
    const before = this.#kept.get(key);
    const isTouched = !c.touched || c.touched.has(layer.id) || holdersOf(c.piece).has(layer.id);
    if (!isTouched && before?.node) return before.node;
    const inputs = changesIn(c.looks, layer.id).map((changes) => resolveTokens(c.project, changes));
    const override = c.overrides.get(layer.id);
    const same = before && hasSame(before, layer, inputs, override) ? before : null;
    const values = same
      ? same.values
      : cascade(layer, override ? [...inputs, resolveTokens(c.project, override)] : inputs);
    const layers = childrenOf(c.piece).get(layer.id);
    const children = layers ? layers.map((child) => this.#layer(c, child)) : noChildren;
    const nested = layer.kind === "instance" ? this.#copy(c, key, values) : null;
    const node = same?.node;
    if (node && node.nested === nested && sameItems(node.children, children)) return node;
    const next: ComputedLayer = { layer, values, children, nested };
    this.#kept.set(key, { layer, inputs, override, values, node: next });
    return next;
  }

  /** The root of the component a copy shows; null when it shows none. */
  #copy(c: Context, key: string, values: LayerValues): ComputedLayer | null {
    const component = c.project.pieces[values.component ?? ""];
    if (!component) return null;
    const wanted = c.at.variant(key);
    const given = c.at.options?.(key);
    const fixed = hasThemes(c.project) ? fixedTheme([values]) : null;
    const project = fixed ? inTheme(c.project, fixed) : c.project;
    const variant = wanted ? variantFrom(component, wanted) : startOf(component, values);
    const overrides = overridesFrom(component, given ? withOptions(values, given) : values);
    const make = () => this.#piece(project, component.id, variant, key, overrides, c.at, c.inside);
    if (!this.shared || c.at !== still) return make();
    return this.#sharing(this.shared, [project, component.id, variant, overrides], c.inside, make);
  }

  /** The tree of a copy that others may have asked for; kept for them where all of it is there. */
  #sharing(
    shared: SharedCopies,
    what: readonly [Project, Id, Variant, Overrides],
    inside: readonly Id[],
    make: () => ComputedLayer | null,
  ): ComputedLayer | null {
    const known = shared.of(...what);
    const isFitting =
      known && inside.length + known.depth <= DEEPEST_COPY && known.layers <= this.#left;
    if (isFitting) {
      this.#left -= known.layers;
      this.#deepest = Math.max(this.#deepest, inside.length + known.depth);
      return known.tree;
    }
    const [cuts, left, deepest] = [this.#cuts, this.#left, this.#deepest];
    this.#deepest = 0;
    const tree = make();
    const depth = this.#deepest - inside.length;
    this.#deepest = Math.max(deepest, this.#deepest);
    if (this.#cuts === cuts) shared.keep(...what, { tree, layers: left - this.#left, depth });
    return tree;
  }
}
