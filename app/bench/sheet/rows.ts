import { plainText, present } from "#core/basics";
import { placeable } from "#core/edit";
import { offeredBy } from "#core/library";
import { boundValue, originOf, sameCondition, tokensFor, valuesIn } from "#core/looks";
import type { Origin } from "#core/looks";
import { BASE, inOrder } from "#core/project";
import type { Condition, Layer, Piece, Project, Token, Variant } from "#core/project";
import {
  choiceText,
  isBound,
  parseValue,
  propertiesOf,
  sheetEntry,
  sheetType,
  showValue,
  titleOf,
} from "#core/properties";
import type { PropertyGroup, SpecifiedValue, Value, ValueType } from "#core/properties";
import { familiesOf, tokenWords } from "../../parts/tokens";
import type { Row } from "./row";
import { themeRows } from "./themeRows";
import { sheetWords } from "./words";

export type { Row } from "./row";

export const groupNames: Readonly<Record<PropertyGroup, string>> = {
  place: sheetWords.positionSize,
  arrange: sheetWords.layout,
  paint: sheetWords.paint,
  border: sheetWords.border,
  text: sheetWords.text,
  meaning: sheetWords.accessibilityInput,
  copy: sheetWords.thisCopy,
  theme: sheetWords.fixedTheme,
};

const styleChoices = (project: Project) => [
  { value: "" as SpecifiedValue, words: sheetWords.none },
  ...inOrder(project.tokens)
    .filter((t) => t.type === "style")
    .map((t) => ({ value: { token: t.id }, words: tokenWords(t) })),
];

const asChoices = (project: Project, key: string, type: ValueType): Row["choices"] => {
  if (type.is === "family") {
    return familiesOf(project).map((f) => ({ value: f, words: f }));
  }
  if (type.is === "style") {
    return styleChoices(project);
  }
  if (type.is === "choice") {
    return type.of.map((o) => ({ value: o, words: choiceText(key, o) }));
  }
  return type.is === "flag"
    ? [
        { value: true, words: sheetWords.yes },
        { value: false, words: sheetWords.no },
      ]
    : null;
};

const copyRows = (
  project: Project,
  component: Piece | undefined,
  candidates: readonly Piece[],
): Row[] => {
  const chosen: Row = {
    key: "component",
    label: sheetWords.component,
    group: "copy",
    type: { is: "reference" },
    choices: candidates.map((c) => ({ value: c.id, words: c.name })),
    inherent: undefined,
    mode: null,
  };
  if (!component) return [chosen];
  const offered = offeredBy(project, component.id, candidates).map(
    ({ isTrait, name, ...rest }): Row => ({
      ...rest,
      label: isTrait ? sheetWords.initial(name) : name,
      name,
      group: "copy",
      mode: null,
    }),
  );
  return [chosen, ...offered];
};

/** Width and height have a mode beside their number. */
const sizeModes: Readonly<Record<string, Row["mode"]>> = {
  width: "widthMode",
  height: "heightMode",
};

/**
 * The rows for a layer; those that mean nothing for it (gap without an arrangement, say) are left
 * out.
 */
export const rowsFor = (
  project: Project,
  piece: Piece,
  layer: Layer,
  variants: readonly Variant[],
): Row[] => {
  const all = variants.map((v) => valuesIn(project, piece, v, layer));
  const parent = layer.parent === null ? undefined : piece.layers[layer.parent];
  const arranged =
    parent !== undefined &&
    variants.some((v) => valuesIn(project, piece, v, parent).arrange !== "free");
  const fits = (key: string): boolean => {
    if (key === "widthMode" || key === "heightMode") return false;
    if (key === "grow" || key === "floats") return arranged;
    if (key === "followX" || key === "followY") return parent !== undefined && !arranged;
    if (key === "x" || key === "y") return parent !== undefined;
    return key !== "stack" || parent !== undefined;
  };
  const rows = propertiesOf(layer.kind)
    .map((p) => ({ ...p, ...present(sheetEntry(p.key)) }))
    .filter(
      ({ key, type, applies }) =>
        type.is !== "reference" && fits(key) && (!applies || all.some((v) => applies(v))),
    )
    .map((p): Row => ({
      key: p.key,
      label: titleOf(p.key),
      group: p.group,
      type: sheetType(p.key) ?? p.type,
      choices: asChoices(project, p.key, p.type),
      inherent: undefined,
      mode: sizeModes[p.key] ?? null,
    }));
  const themed = themeRows(project, piece, layer);
  if (layer.kind !== "instance") return [...rows, ...themed];
  const component = project.pieces[String(all[0]?.component ?? "")];
  const offered = copyRows(project, component, placeable(project, piece.id));
  return [...offered, ...themed, ...rows];
};

/** A cell: what is said there, what that comes to, and where it comes from. */
export interface Cell {
  readonly origin: Origin;
  /** where the look that says it holds; null when nobody says it */
  readonly when: Condition | null;
  readonly said: SpecifiedValue | undefined;
  readonly value: Value | undefined;
  readonly text: string;
  /** the token it is bound to; "gone" when there is no such token any more */
  readonly token: Token | "gone" | null;
}

const whenOf = (piece: Piece, { from }: Origin): Condition | null =>
  from === null ? null : (piece.looks[from]?.when ?? null);

export const sameSaid = (a: SpecifiedValue | undefined, b: SpecifiedValue | undefined): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

const sameOrigin = (a: Origin, b: Origin): boolean =>
  a.from === b.from &&
  a.own === b.own &&
  a.styled === b.styled &&
  a.hidden.length === b.hidden.length;

const sameWhen = (a: Condition | null, b: Condition | null): boolean =>
  a === b || (a !== null && b !== null && sameCondition(a, b));

/** Whether two cells show the same. */
export const sameCell = (a: Cell, b: Cell): boolean =>
  a.text === b.text &&
  a.token === b.token &&
  sameSaid(a.said, b.said) &&
  JSON.stringify(a.value) === JSON.stringify(b.value) &&
  sameOrigin(a.origin, b.origin) &&
  sameWhen(a.when, b.when);

/** Whether two rows are the same, so that their cells need not render again. */
export const sameRow = (a: Row, b: Row): boolean =>
  a.key === b.key &&
  a.label === b.label &&
  a.group === b.group &&
  a.type === b.type &&
  a.mode === b.mode &&
  sameSaid(a.inherent, b.inherent) &&
  JSON.stringify(a.choices) === JSON.stringify(b.choices);

export const wordsFor = (project: Project, row: Row, said: SpecifiedValue | undefined): string => {
  if (said === undefined) return "";
  const choice = row.choices?.find((c) => sameSaid(c.value, said));
  if (choice) return choice.words;
  if (isBound(said))
    return project.tokens[said.token]
      ? tokenWords(project.tokens[said.token] as Token)
      : sheetWords.deletedToken;
  if (row.type.is === "reference") return sheetWords.deleted;
  const picture = typeof said === "object" && "fit" in said ? said.picture : null;
  const id = row.type.is === "asset" ? said : picture;
  if (typeof id === "string")
    return id === "" ? "none" : (project.assets[id]?.name ?? sheetWords.deleted);
  return showValue(said);
};

export const cellOf = (
  project: Project,
  piece: Piece,
  layer: Layer,
  row: Row,
  variant: Variant,
): Cell => {
  const mode = row.mode && originOf(project, piece, variant, layer, row.mode);
  if (mode && mode.value !== "fixed")
    return {
      origin: mode,
      when: whenOf(piece, mode),
      said: mode.value,
      value: valuesIn(project, piece, variant, layer)[row.key],
      text: plainText(mode.value),
      token: null,
    };
  const origin = originOf(project, piece, variant, layer, row.key);
  const said = origin.value ?? row.inherent;
  const token =
    isBound(said) && row.type.is !== "style" ? (project.tokens[said.token] ?? "gone") : null;
  return {
    origin,
    when: whenOf(piece, origin),
    said,
    value: said === undefined ? undefined : boundValue(project.tokens, row, said),
    text: wordsFor(project, row, said),
    token,
  };
};

/**
 * Finds the token a text names, by its whole name or its name alone, among those that suit the row.
 */
const tokenNamed = (project: Project, row: Row, word: string): Token | undefined => {
  const suited = Object.values(project.tokens).filter((t) => tokensFor(row).includes(t.type));
  return (
    suited.find((t) => tokenWords(t).toLowerCase() === word) ??
    suited.find((t) => t.name.toLowerCase() === word)
  );
};

export type ReadCell =
  | { readonly ok: true; readonly values: Record<string, SpecifiedValue> }
  | { readonly ok: false; readonly error: string };

/**
 * Reads what was typed into a row, as the values it sets. The name of a token binds the row to it.
 */
export const readCell = (
  project: Project,
  row: Row,
  text: string,
  current: Value | undefined,
): ReadCell => {
  const word = text.trim().toLowerCase();
  const put = (said: SpecifiedValue) =>
    ({
      ok: true,
      values: { [row.key]: said, ...(row.mode ? { [row.mode]: "fixed" } : {}) },
    }) as const;
  if (row.mode) {
    const mode = ["fit", "stretch"].find((m) => word !== "" && m.startsWith(word));
    if (mode) return { ok: true, values: { [row.mode]: mode } };
  }
  if (row.choices && row.type.is !== "choice" && row.type.is !== "flag") {
    const found =
      row.choices.find((c) => c.words.toLowerCase() === word) ??
      row.choices.find((c) => word !== "" && c.words.toLowerCase().startsWith(word));
    return found
      ? put(found.value)
      : { ok: false, error: sheetWords.useOne(row.choices.map((c) => c.words).join(", ")) };
  }
  const token = word === "" ? undefined : tokenNamed(project, row, word);
  if (token) return put({ token: token.id });
  if (row.type.is === "asset") {
    const { of } = row.type;
    const asset = Object.values(project.assets).find(
      (a) => a.kind === of && a.name.toLowerCase() === word,
    );
    return asset || word === "none" || word === ""
      ? put(asset?.id ?? "")
      : { ok: false, error: sheetWords.noNamedProject(of, text.trim()) };
  }
  const parsed = parseValue(row.type, text, current ?? 0);
  if (!parsed.ok)
    return { ok: false, error: row.mode ? sheetWords.fitStretch(parsed.error) : parsed.error };
  return put(parsed.value);
};

/** Whether variants disagree about a row, or any look but the base says something about it. */
export const differs = (piece: Piece, layer: Layer, row: Row): boolean =>
  Object.values(piece.looks).some(
    (l) =>
      l.id !== BASE &&
      (l.changes[layer.id]?.[row.key] !== undefined ||
        (row.mode !== null && l.changes[layer.id]?.[row.mode] !== undefined)),
  );

/** A name as it is looked for: spelled as one likes, in one word. */
const plainName = (text: string): string =>
  text
    .toLowerCase()
    .replace(/color/g, "colour")
    .replace(/center/g, "centre")
    .replace(/gray/g, "grey")
    .replace(/[\s-]+/g, "");

/** Whether a row's name, or that of its group, holds a text. */
export const isWanted = (row: Row, text: string): boolean => {
  const wanted = plainName(text);
  return [row.label, row.key, groupNames[row.group]].some((n) => plainName(n).includes(wanted));
};

/** The rows of one group; folded, it shows its caption alone. */
export interface Section {
  readonly group: PropertyGroup;
  readonly rows: readonly Row[];
  readonly folded: boolean;
}

/** Rows by their groups, in their order. */
export const sectionsOf = (rows: readonly Row[], folded: readonly string[]): Section[] =>
  [...new Set(rows.map((row) => row.group))].map((group) => ({
    group,
    rows: rows.filter((row) => row.group === group),
    folded: folded.includes(group),
  }));
