import { originOf, restOf, traitsOf, valuesIn, valuesOf } from "#core/looks";
import type { Origin } from "#core/looks";
import { BASE, inOrder } from "#core/project";
import type { Layer, Piece, Project, Variant } from "#core/project";
import { OPTION, parseValue, propertiesOf, showValue, TRAIT } from "#core/properties";
import type { PropertyGroup, Value, ValueType } from "#core/properties";

/** A row of the sheet: one property of the chosen layer, ready to be shown and read back. */
export interface Row {
  readonly key: string;
  readonly label: string;
  readonly group: PropertyGroup;
  readonly type: ValueType;
  /** exclusive choices by their words, where the value is one of them */
  readonly choices: readonly { readonly value: Value; readonly words: string }[] | null;
  /** what an instance shows when nobody says anything: the component's own */
  readonly inherent: Value | undefined;
  /** the property that says whether a size is fixed, fitting or stretching: the row shows and takes its words too */
  readonly mode: "widthMode" | "heightMode" | null;
}

export const groupNames: Readonly<Record<PropertyGroup, string>> = { place: "Place and size", arrange: "Arrangement", paint: "Paint", text: "Text", copy: "This copy" };

const asChoices = (type: ValueType): Row["choices"] =>
  type.is === "choice" ? type.of.map((o) => ({ value: o, words: o })) : type.is === "flag" ? [{ value: true, words: "yes" }, { value: false, words: "no" }] : null;

const copyRows = (component: Piece | undefined, candidates: readonly Piece[]): Row[] => {
  const rows: Row[] = [{ key: "component", label: "component", group: "copy", type: { is: "reference" }, choices: candidates.map((c) => ({ value: c.id, words: c.name })), inherent: undefined, mode: null }];
  if (!component) return rows;
  for (const t of traitsOf(component)) {
    rows.push({ key: TRAIT + t.id, label: `starts with ${t.name}`, group: "copy", type: { is: "reference" }, choices: valuesOf(t).map((v) => ({ value: v.id, words: v.name })), inherent: restOf(t), mode: null });
  }
  for (const o of inOrder(component.options)) {
    const layer = component.layers[o.layer];
    const own = component.looks[BASE]?.changes[o.layer]?.[o.key];
    if (!layer) continue;
    const type: ValueType = o.key === "text" ? { is: "text" } : { is: "flag" };
    rows.push({ key: OPTION + o.id, label: o.name, group: "copy", type, choices: asChoices(type), inherent: own ?? (o.key === "text" ? "Text" : true), mode: null });
  }
  return rows;
};

/** The rows for a layer; those that mean nothing for it (gap without an arrangement, say) are left out. */
export const rowsFor = (project: Project, piece: Piece, layer: Layer, variants: readonly Variant[], candidates: readonly Piece[]): Row[] => {
  const all = variants.map((v) => valuesIn(piece, v, layer));
  const parent = layer.parent === null ? undefined : piece.layers[layer.parent];
  const arranged = parent !== undefined && variants.some((v) => valuesIn(piece, v, parent).arrange !== "free");
  const fits = (key: string): boolean => {
    if (key === "widthMode" || key === "heightMode") return false;
    if (key === "grow" || key === "floats") return arranged;
    if (key === "followX" || key === "followY") return parent !== undefined && !arranged;
    if (key === "x" || key === "y") return parent !== undefined;
    return key !== "stack" || parent !== undefined;
  };
  const rows = propertiesOf(layer.kind)
    .filter((p) => p.type.is !== "reference" && fits(p.key) && (!p.applies || all.some((v) => p.applies?.(v))))
    .map((p): Row => ({ key: p.key, label: p.label, group: p.group, type: p.type, choices: asChoices(p.type), inherent: undefined, mode: p.key === "width" ? "widthMode" : p.key === "height" ? "heightMode" : null }));
  if (layer.kind !== "instance") return rows;
  const component = project.pieces[String(all[0]?.component ?? "")];
  return [...copyRows(component, candidates), ...rows];
};

/** A cell: what it shows and where that comes from. */
export interface Cell { readonly origin: Origin; readonly value: Value | undefined; readonly text: string }

export const cellOf = (piece: Piece, layer: Layer, row: Row, variant: Variant): Cell => {
  const mode = row.mode && originOf(piece, variant, layer, row.mode);
  if (mode && mode.value !== "fixed") return { origin: mode, value: valuesIn(piece, variant, layer)[row.key], text: String(mode.value) };
  const origin = originOf(piece, variant, layer, row.key);
  const value = origin.value ?? row.inherent;
  return { origin, value, text: wordsFor(row, value) };
};

export const wordsFor = (row: Row, value: Value | undefined): string =>
  value === undefined ? "" : (row.choices?.find((c) => c.value === value)?.words ?? (row.type.is === "reference" ? "a removed one" : showValue(value)));

/** Reads what was typed into a row, as the values it sets. */
export const readCell = (row: Row, text: string, current: Value | undefined): { ok: true; values: Record<string, Value> } | { ok: false; error: string } => {
  const word = text.trim().toLowerCase();
  const set = (value: Value) => ({ ok: true, values: { [row.key]: value } }) as const;
  if (row.mode) {
    const mode = ["fit", "stretch"].find((m) => word !== "" && m.startsWith(word));
    if (mode) return { ok: true, values: { [row.mode]: mode } };
  }
  if (row.choices && row.type.is !== "choice" && row.type.is !== "flag") {
    const found = row.choices.find((c) => c.words.toLowerCase() === word) ?? row.choices.find((c) => word !== "" && c.words.toLowerCase().startsWith(word));
    return found ? set(found.value) : { ok: false, error: `one of ${row.choices.map((c) => c.words).join(", ")}` };
  }
  const parsed = parseValue(row.type, text, current ?? 0);
  if (!parsed.ok) return { ok: false, error: row.mode ? `${parsed.error}; or fit, or stretch` : parsed.error };
  return row.mode ? { ok: true, values: { [row.key]: parsed.value, [row.mode]: "fixed" } } : set(parsed.value);
};

/** Whether variants disagree about a row, or any look but the base says something about it. */
export const differs = (piece: Piece, layer: Layer, row: Row): boolean =>
  Object.values(piece.looks).some((l) => l.id !== BASE && (l.changes[layer.id]?.[row.key] !== undefined || (row.mode !== null && l.changes[layer.id]?.[row.mode] !== undefined)));
