import { present } from "../basics";
import { gatherWords } from "./words";
/** A trait proposed from names, and what each drawing has of it. */
interface NamedTrait {
  readonly name: string;
  readonly values: readonly string[];
}
/**
 * What the drawings' names say: how the component is called, its traits, and for each drawing one
 * value per trait.
 */
export interface NamePlan {
  readonly component: string;
  readonly traits: readonly NamedTrait[];
  readonly rows: readonly (readonly string[])[];
}

const known: readonly { readonly name: string; readonly words: readonly string[] }[] = [
  {
    name: gatherWords.contact,
    words: [
      "none",
      "default",
      "normal",
      "rest",
      "resting",
      "idle",
      "enabled",
      "hover",
      "hovered",
      "over",
      "press",
      "pressed",
      "active",
      "down",
      "focus",
      "focused",
      "touched",
    ],
  },
  { name: gatherWords.checked, words: ["checked", "unchecked", "ticked", "unticked"] },
  { name: gatherWords.selected, words: ["selected", "unselected", "chosen", "current"] },
  { name: gatherWords.enabled, words: ["enabled", "disabled"] },
  { name: gatherWords.power, words: ["on", "off"] },
  { name: gatherWords.open, words: ["open", "opened", "closed", "expanded", "collapsed"] },
  { name: gatherWords.answer, words: ["yes", "no", "true", "false"] },
  {
    name: gatherWords.size,
    words: ["xs", "s", "m", "l", "xl", "small", "medium", "large", "tiny", "huge"],
  },
  { name: gatherWords.theme, words: ["light", "dark", "day", "night"] },
];

const fold = (s: string): string => s.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, "");
const strong = /\s*[/|;,\u00b7\u2013\u2014]\s*|\s+[-:]\s+/u;
/** Words within a name: spaces, dashes, dots, underscores and a change of case part them. */
const wordsOf = (s: string): string[] =>
  s
    .replace(/(\p{Ll}|\p{N})(\p{Lu})/gu, "$1 $2")
    .split(/[\s_\-.:()[\]{}/|;,\u00b7\u2013\u2014]+/u)
    .filter(Boolean);
const sentence = (words: readonly string[]): string => {
  const text = words.join(" ").trim();
  return text === "" ? "" : text[0]?.toUpperCase() + text.slice(1);
};

/** The usual name of a trait with such values. */
export const traitNameFor = (values: readonly string[], taken: readonly string[]): string => {
  const low = values.map(fold);
  const found = known.find(
    (k) =>
      low.every((v) => k.words.includes(v) || v === "none") &&
      low.some((v) => k.words.includes(v) && v !== "none"),
  );
  const base = found?.name ?? gatherWords.choice;
  for (let i = 1; ; i++) {
    const name = i === 1 ? base : `${base} ${i}`;
    if (!taken.includes(name)) return name;
  }
};

/** How many leading parts all lists share. */
const shared = (lists: readonly (readonly string[])[], from: "start" | "end"): number => {
  const at = (l: readonly string[], i: number) =>
    fold((from === "start" ? l[i] : l[l.length - 1 - i]) ?? "");
  const most = Math.min(...lists.map((l) => l.length));
  let n = 0;
  while (n < most && lists.every((l) => at(l, n) === at(present(lists[0]), n))) n++;
  return n;
};

const distinct = (list: readonly string[]): string[] => {
  const seen = new Map<string, string>();
  for (const v of list) if (!seen.has(fold(v))) seen.set(fold(v), v);
  return [...seen.values()];
};
const pick = (values: readonly string[], v: string): string =>
  values.find((x) => fold(x) === fold(v)) ?? v;

/** Every column that varies is a trait. */
const byColumns = (
  component: string,
  columns: readonly (readonly string[])[],
  heads: readonly (string | null)[],
): NamePlan => {
  const traits: NamedTrait[] = [];
  const rows: string[][] = Array.from({ length: columns[0]?.length ?? 0 }, () => []);
  columns.forEach((column, c) => {
    const values = distinct(column);
    if (values.length < 2) return;
    const taken = traits.map((t) => t.name);
    const head = heads[c];
    traits.push({
      name: head && !taken.includes(head) ? head : traitNameFor(values, taken),
      values,
    });
    column.forEach((v, i) => rows[i]?.push(pick(values, v)));
  });
  return { component, traits, rows };
};

/** Names of the form “Size=large, Contact=none”. */
const byPairs = (names: readonly string[]): NamePlan | null => {
  const lists = names.map((n) =>
    [...n.matchAll(/([^=,/|;]+)=([^=,/|;]+)/g)].map(
      (m) => [(m[1] ?? "").trim(), (m[2] ?? "").trim()] as const,
    ),
  );
  if (lists.some((l) => l.length === 0)) return null;
  const keys = distinct(lists.flatMap((l) => l.map(([k]) => k)));
  const heads = names.map((n) => n.slice(0, n.search(/[^,/|;]+=/)).replace(/[\s,/|;:-]+$/, ""));
  const columns = keys.map((k) =>
    lists.map((l) => l.find(([key]) => fold(key) === fold(k))?.[1] ?? "none"),
  );
  return byColumns(
    sentence(wordsOf(heads[0] ?? "")),
    columns,
    keys.map((k) => sentence([k])),
  );
};

/** What a drawing is of whose name has none of the words: of numbered copies the first. */
const unsaidBeside = (words: readonly string[]): string =>
  words.every((w) => /^\d+$/.test(w)) && !words.includes("1") ? "1" : "none";

/**
 * Words that come and go: those that never stand together are values of one trait, others a yes or
 * no each.
 */
const byWords = (component: string, lists: readonly (readonly string[])[]): NamePlan => {
  const words = distinct(lists.flat());
  const has = (l: readonly string[], w: string) => l.some((x) => fold(x) === fold(w));
  const groups: string[][] = [];
  for (const word of words) {
    const fits = groups.find((g) =>
      g.every((other) => !lists.some((l) => has(l, word) && has(l, other))),
    );
    if (fits) fits.push(word);
    else groups.push([word]);
  }
  const traits: NamedTrait[] = [];
  const rows: string[][] = lists.map(() => []);
  for (const group of groups) {
    const taken = traits.map((t) => t.name);
    const [only] = group;
    if (group.length === 1 && only !== undefined) {
      traits.push({ name: sentence([only]), values: ["no", "yes"] });
      lists.forEach((l, i) => rows[i]?.push(has(l, only) ? "yes" : "no"));
      continue;
    }
    const partial = lists.some((l) => !group.some((w) => has(l, w)));
    const unsaid = unsaidBeside(group);
    const values = partial ? [unsaid, ...group] : group;
    traits.push({ name: traitNameFor(values, taken), values });
    lists.forEach((l, i) => rows[i]?.push(group.find((w) => has(l, w)) ?? unsaid));
  }
  return { component, traits, rows };
};

/** What all lists of parts share at their ends, as a name, and what of each is left between. */
const parted = (
  lists: readonly (readonly string[])[],
  mostLead: number,
): { component: string; middles: readonly (readonly string[])[] } => {
  const lead = Math.min(shared(lists, "start"), mostLead);
  const shortest = Math.min(...lists.map((l) => l.length));
  // a shared end belongs to the component too, unless it would leave nothing of a name
  const tail = Math.min(shared(lists, "end"), Math.max(0, shortest - lead));
  const first = lists[0] ?? [];
  const common = [...first.slice(0, lead), ...(tail ? first.slice(-tail) : [])];
  return {
    component: sentence(common) || gatherWords.component,
    middles: lists.map((l) => l.slice(lead, tail ? l.length - tail : undefined)),
  };
};

/** A trait for each place, where all have as many parts and no two are alike; null otherwise. */
const planByPlaces = (
  component: string,
  middles: readonly (readonly string[])[],
): NamePlan | null => {
  const size = middles[0]?.length ?? 0;
  if (size === 0 || middles.some((m) => m.length !== size)) return null;
  const columns = Array.from({ length: size }, (_, c) => middles.map((m) => present(m[c])));
  const plan = byColumns(component, columns, []);
  const different = new Set(plan.rows.map((r) => r.join("\n"))).size;
  return different === middles.length ? plan : null;
};

/**
 * Proposes a component's name, traits and values from the names of separately drawn variants: what
 * all names share is the component, where they differ are values. Whatever people put between the
 * parts is understood.
 */
export const planFromNames = (names: readonly string[]): NamePlan => {
  const given = names.map((n) => n.trim().replace(/\.svg$/i, ""));
  const pairs = byPairs(given);
  if (pairs?.traits.length)
    return { ...pairs, component: pairs.component || gatherWords.component };
  const strongly = given.map((n) =>
    n
      .split(strong)
      .map((p) => p.trim())
      .filter(Boolean),
  );
  const count = strongly[0]?.length ?? 0;
  if (count >= 2 && strongly.every((l) => l.length === count)) {
    const { component, middles } = parted(strongly, count);
    const plan = planByPlaces(component, middles);
    if (plan) return plan;
  }
  const { component, middles } = parted(given.map(wordsOf), Infinity);
  return planByPlaces(component, middles) ?? byWords(component, middles);
};

/**
 * What is wrong with a table of names and values, in words, by the row it is about (-1: all); empty
 * when it can be used.
 */
export const planProblems = (plan: NamePlan): { row: number; text: string }[] => {
  const out: { row: number; text: string }[] = [];
  if (plan.component.trim() === "") out.push({ row: -1, text: gatherWords.componentNeedsName });
  if (plan.traits.some((t) => t.name.trim() === ""))
    out.push({ row: -1, text: gatherWords.everyTraitNeedsName });
  const seen = new Map<string, number>();
  plan.rows.forEach((row, i) => {
    const key = row.map(fold).join("\n");
    const before = seen.get(key);
    if (row.some((v) => v.trim() === "")) out.push({ row: i, text: gatherWords.valueMissing });
    else if (before !== undefined)
      out.push({ row: i, text: gatherWords.drawingHasSameValues(i, before) });
    else seen.set(key, i);
  });
  return out;
};
