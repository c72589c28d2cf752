import { byOrder } from "../project/ids";
import { ROOT } from "../project/types";
import type { Id, Layer, LayerChanges, Look, Piece, Project, Variant } from "../project/types";
import { OPTION, TRAIT } from "../properties/registry";
import type { Value, Values } from "../properties/types";
import { cascade, changesIn, looksIn } from "./cascade";
import { restOf, traitsOf, variantFrom } from "./variants";

/** A layer with its values in the present variant; equal results keep their identity from one resolving to the next. */
export interface Resolved {
  readonly layer: Layer;
  readonly values: Values;
  readonly children: readonly Resolved[];
  /** an instance's placed component, resolved in its own variant; null when it is missing or would contain itself */
  readonly nested: Resolved | null;
}

const childTable = new WeakMap<object, ReadonlyMap<Id, readonly Layer[]>>();

/** A piece's layers by parent, in order. */
export const childrenOf = (piece: Piece): ReadonlyMap<Id, readonly Layer[]> => {
  const known = childTable.get(piece.layers);
  if (known) return known;
  const table = new Map<Id, Layer[]>();
  for (const layer of Object.values(piece.layers).sort(byOrder)) {
    if (layer.parent === null) continue;
    const list = table.get(layer.parent);
    if (list) list.push(layer); else table.set(layer.parent, [layer]);
  }
  childTable.set(piece.layers, table);
  return table;
};

/** The variant a placed copy starts in: what the instance says, the component's rest for the others. */
export const startOf = (component: Piece, values: Values): Variant =>
  Object.fromEntries(traitsOf(component).map((t) => {
    const wanted = values[TRAIT + t.id];
    return [t.id, typeof wanted === "string" && t.values[wanted] ? wanted : restOf(t)];
  }));

/** Layer values set by an instance's options: layer id → property → value. */
type Overrides = ReadonlyMap<Id, LayerChanges>;
const none: Overrides = new Map();

const overridesFrom = (component: Piece, values: Values): Overrides => {
  let out: Map<Id, LayerChanges> | undefined;
  for (const option of Object.values(component.options)) {
    const value = values[OPTION + option.id];
    if (value === undefined || (option.key === "text") !== (typeof value === "string")) continue;
    out ??= new Map();
    out.set(option.layer, { ...out.get(option.layer), [option.key]: value });
  }
  return out ?? none;
};

interface Kept { layer: Layer; inputs: readonly object[]; override: readonly (readonly [string, Value])[]; values: Values; node?: Resolved }

const sameItems = (a: readonly unknown[], b: readonly unknown[]): boolean => a.length === b.length && a.every((x, i) => x === b[i]);

/**
 * Resolves trees of one place (a card, a running copy) again and again, keeping whatever did not change.
 * Nested instances take the variant `variantAt` gives for their path, else the start their instance says.
 */
export class Resolver {
  private kept = new Map<string, Kept>();

  /** The piece's tree in a variant; null for a piece that does not exist or has no root. `path` prefixes the nested paths. */
  tree(project: Project, pieceId: Id, variant: Variant, path = "", variantAt: (path: string) => Variant | undefined = () => undefined): Resolved | null {
    return this.piece(project, pieceId, variant, path, none, variantAt, []);
  }

  private piece(project: Project, pieceId: Id, variant: Variant, path: string, overrides: Overrides, at: (p: string) => Variant | undefined, inside: readonly Id[]): Resolved | null {
    const piece = project.pieces[pieceId];
    const root = piece?.layers[ROOT];
    if (!piece || !root || inside.includes(pieceId)) return null;
    const looks = looksIn(piece, variant);
    return this.layer({ project, piece, looks, path: path && `${path}/`, overrides, at, inside: [...inside, pieceId] }, root);
  }

  private layer(c: { project: Project; piece: Piece; looks: readonly Look[]; path: string; overrides: Overrides; at: (p: string) => Variant | undefined; inside: readonly Id[] }, layer: Layer): Resolved {
    const key = c.path + layer.id;
    const inputs = changesIn(c.looks, layer.id);
    const override = Object.entries(c.overrides.get(layer.id) ?? {});
    const before = this.kept.get(key);
    const fresh = !before || before.layer !== layer || !sameItems(before.inputs, inputs) || !sameItems(before.override.flat(), override.flat());
    const values = fresh ? cascade(layer, override.length ? [...inputs, Object.fromEntries(override)] : inputs) : before.values;

    const children: Resolved[] = [];
    for (const child of childrenOf(c.piece).get(layer.id) ?? []) children.push(this.layer(c, child));
    let nested: Resolved | null = null;
    if (layer.kind === "instance") {
      const component = c.project.pieces[values.component as string];
      if (component) {
        const wanted = c.at(key);
        const variant = wanted ? variantFrom(component, wanted) : startOf(component, values);
        nested = this.piece(c.project, component.id, variant, key, overridesFrom(component, values), c.at, c.inside);
      }
    }
    const node = before?.node;
    if (!fresh && node && node.nested === nested && sameItems(node.children, children)) return node;
    const next: Resolved = { layer, values, children, nested };
    this.kept.set(key, { layer, inputs, override, values, node: next });
    return next;
  }
}
