import { newId, orderAfter } from "../project/ids";
import { remove, set } from "../project/change";
import type { Change, Op } from "../project/change";
import type { Condition, Id, Piece } from "../project/types";
import { lookFor } from "../looks/scope";
import { property } from "../properties/registry";
import type { Value } from "../properties/types";

/** New values by layer, then property. */
export type Edits = Readonly<Record<Id, Readonly<Record<string, Value>>>>;

/** Says values in a scope: in the look that has exactly this condition, which is made if there is none. */
export const setValues = (piece: Piece, when: Condition, edits: Edits, label?: string): Change => {
  const look = lookFor(piece, when);
  const words = label ?? describe(piece, edits);
  if (!look) {
    const id = newId();
    return { label: words, ops: [set(["pieces", piece.id, "looks", id], { id, when, order: orderAfter(Object.values(piece.looks)), changes: edits })] };
  }
  const ops: Op[] = [];
  for (const [layer, values] of Object.entries(edits)) {
    const at = ["pieces", piece.id, "looks", look.id, "changes", layer];
    if (!look.changes[layer]) ops.push(set(at, values));
    else for (const [key, value] of Object.entries(values)) ops.push(set([...at, key], value));
  }
  return { label: words, ops };
};

const describe = (piece: Piece, edits: Edits): string => {
  const layers = Object.keys(edits);
  const keys = [...new Set(layers.flatMap((l) => Object.keys(edits[l] ?? {})))];
  const what = keys.length === 1 ? (property(keys[0] as string)?.label ?? "value") : "looks";
  return `Set ${what} of ${layers.length === 1 ? (piece.layers[layers[0] as string]?.name ?? "layer") : `${layers.length} layers`}`;
};

/** Takes back what a look says about a property, so that the layer inherits it again. Empty remains are swept away. */
export const clearValue = (piece: Piece, look: Id, layer: Id, key: string): Change => {
  const record = piece.looks[look];
  const at = ["pieces", piece.id, "looks", look];
  const changes = record?.changes[layer] ?? {};
  const lastOfLayer = Object.keys(changes).every((k) => k === key);
  const lastOfLook = lastOfLayer && record && Object.keys(record.changes).every((l) => l === layer) && Object.keys(record.when).length > 0;
  const op = lastOfLook ? remove(at) : lastOfLayer ? remove([...at, "changes", layer]) : remove([...at, "changes", layer, key]);
  return { label: `Inherit ${property(key)?.label ?? "value"} again`, ops: [op] };
};
