import { ownRecords } from "../../world";
import type { Id } from "../../basics";
import { groupText, renamed, sameJson } from "../../formats/tokens";
import type { FileGroup, ReadToken, ReadTokens, ThemedValue } from "../../formats/tokens";
import { isAlias, restOf, sameCondition } from "../../looks";
import { inOrder, newId, orderAfter, set } from "../../project";
import type {
  Change,
  Condition,
  Op,
  Project,
  Theme,
  Token,
  TokenGroup,
  TokenLook,
} from "../../project";
import { editWords } from "../words";
import { removingTokens } from "./tokens";

/** What becomes of a token when files are taken over. */
export interface TokenRow {
  readonly state: "new" | "changed" | "gone" | "same";
  /** as it is; null for a new one */
  readonly before: Token | null;
  /** as it will be; null for one that is in none of the files */
  readonly after: Token | null;
}

/** All that taking files over comes to; nothing is changed yet. */
export interface TokenPlan {
  readonly rows: readonly TokenRow[];
  readonly themes: readonly Theme[];
  readonly groups: readonly TokenGroup[];
}

const keyOf = (group: string, name: string): string => JSON.stringify([group, name]);

const groupIn = (token: ReadToken): string => groupText(token.path.slice(0, -1));
const nameIn = (token: ReadToken): string => token.path.at(-1) ?? "";

/** The themes as they will be: those of the project, with what the files speak of besides. */
const themesAfter = (project: Project, read: ReadTokens): Theme[] => {
  const themes = inOrder(project.themes);
  for (const { name, values } of read.themes) {
    const at = themes.findIndex((t) => t.name.toLowerCase() === name.toLowerCase());
    const known = themes[at];
    const theme = withValues(known ?? freshTheme(name, themes), values);
    if (known) themes[at] = theme;
    else themes.push(theme);
  }
  return themes;
};

const freshTheme = (name: string, beside: readonly Theme[]): Theme => ({
  id: newId(),
  name,
  order: orderAfter(beside),
  pattern: beside.length,
  rest: null,
  values: {},
});

const withValues = (theme: Theme, names: readonly string[]): Theme => {
  const values = { ...theme.values };
  const isEmpty = Object.keys(values).length === 0;
  for (const said of names) {
    // what no file is of is the usual value, whatever it is called
    if (said === "" && !isEmpty) continue;
    const name = said === "" ? editWords.usualTheme : said;
    if (Object.values(values).some((v) => v.name.toLowerCase() === name.toLowerCase())) continue;
    const id = newId();
    values[id] = { id, name, order: orderAfter(Object.values(values)) };
  }
  return { ...theme, values };
};

/** A condition by the names of themes and values; null where one of them is not there. */
const conditionOf = (themes: readonly Theme[], when: ThemedValue["when"]): Condition | null => {
  const out: Record<Id, readonly Id[]> = {};
  for (const [name, value] of Object.entries(when)) {
    const theme = themes.find((t) => t.name.toLowerCase() === name.toLowerCase());
    const found =
      theme &&
      Object.values(theme.values).find((v) => v.name.toLowerCase() === value.toLowerCase());
    if (!theme || !found) return null;
    out[theme.id] = [found.id];
  }
  return out;
};

type Saying = Pick<ThemedValue, "said" | "written">;

/** What files say of a token by itself, and in which themes something else. */
interface Spoken {
  readonly own: Pick<Token, "value" | "written">;
  readonly themed: readonly ThemedValue[];
}

/** Makes tokens of what was read, with the ids of those that are there already. */
class Taking {
  readonly #ids = new Map<string, Id>();
  readonly #known = new Map<string, Token>();
  /** themes that the files speak of */
  readonly #spokenThemes: ReadonlySet<Id>;

  constructor(
    project: Project,
    read: ReadTokens,
    readonly themes: readonly Theme[],
  ) {
    for (const token of Object.values(ownRecords(project.tokens)))
      this.#known.set(keyOf(token.group, token.name), token);
    const names = new Set(read.themes.map((t) => t.name.toLowerCase()));
    const spoken = themes.filter((t) => names.has(t.name.toLowerCase()));
    this.#spokenThemes = new Set(spoken.map((t) => t.id));
    for (const token of read.tokens) this.#ids.set(token.at, this.before(token)?.id ?? newId());
  }

  before(token: ReadToken): Token | undefined {
    return this.#known.get(keyOf(groupIn(token), nameIn(token)));
  }

  #valueOf(value: ReadToken["value"]): Token["value"] {
    if (isAlias(value)) return { alias: this.#ids.get(value.alias) ?? value.alias };
    return renamed(value, (path) => this.#ids.get(path) ?? path);
  }

  /** Whether a condition is just the usual value of a theme. */
  #isRest(when: ThemedValue["when"]): boolean {
    const entries = Object.entries(conditionOf(this.themes, when) ?? {});
    const [id = "", values = []] = entries[0] ?? [];
    const theme = this.themes.find((t) => t.id === id);
    return entries.length === 1 && theme !== undefined && values[0] === restOf(theme);
  }

  /** What a token is by itself, and what otherwise: files of one theme alone leave the rest. */
  #spoken(read: ReadToken, before: Token | undefined): Spoken {
    const own = (said: Saying): Pick<Token, "value" | "written"> => ({
      value: this.#valueOf(said.said),
      ...(said.written === undefined ? {} : { written: said.written }),
    });
    const first: Saying = { said: read.value, written: read.written };
    if (read.isUsual) return { own: own(first), themed: read.themed };
    const rest = read.themed.find((t) => this.#isRest(t.when));
    const themed = read.themed.filter((t) => t !== rest);
    if (rest) return { own: own(rest), themed };
    if (before?.type === read.type) return { own: before, themed };
    return { own: own(first), themed: themed.filter((t) => !sameJson(t.said, read.value)) };
  }

  token(read: ReadToken, order: string): Token {
    const before = this.before(read);
    const { own, themed } = this.#spoken(read, before);
    const looks = this.#looksOf(read, themed, before);
    // a file of one theme alone need not repeat what the token is for
    const kept = read.isUsual ? undefined : before;
    const { about = kept?.about, deprecated = kept?.deprecated } = read;
    const { extensions = kept?.extensions } = read;
    return {
      id: this.#ids.get(read.at) ?? newId(),
      type: read.type,
      name: nameIn(read),
      group: groupIn(read),
      order: before?.order ?? order,
      value: own.value,
      ...(Object.keys(looks).length > 0 ? { looks } : {}),
      ...(about === undefined ? {} : { about }),
      ...(deprecated === undefined ? {} : { deprecated }),
      ...(extensions === undefined ? {} : { extensions }),
      ...(own.written === undefined ? {} : { written: own.written }),
    };
  }

  /** Whether files that say all of a token speak of the themes of a look. */
  #isReplaced(look: TokenLook, read: ReadToken): boolean {
    return read.isUsual && Object.keys(look.when).every((id) => this.#spokenThemes.has(id));
  }

  /** What the files say of themes replaces what was said of those; the rest stays. */
  #looksOf(
    read: ReadToken,
    themed: readonly ThemedValue[],
    before: Token | undefined,
  ): Record<Id, TokenLook> {
    const said = themed.flatMap((value) => {
      const when = conditionOf(this.themes, value.when);
      return when ? [{ ...value, when }] : [];
    });
    const old = Object.values(before?.looks ?? {});
    const looks: TokenLook[] = old.filter(
      (l) => !this.#isReplaced(l, read) && !said.some((s) => sameCondition(s.when, l.when)),
    );
    for (const { when, ...themed } of said) {
      const same = old.find((l) => sameCondition(l.when, when));
      looks.push({
        id: same?.id ?? newId(),
        when,
        order: same?.order ?? orderAfter(looks),
        value: this.#valueOf(themed.said),
        ...(themed.written === undefined ? {} : { written: themed.written }),
      });
    }
    return Object.fromEntries(looks.map((l) => [l.id, l]));
  }
}

const groupsAfter = (project: Project, groups: readonly FileGroup[]): TokenGroup[] => {
  const all = inOrder(ownRecords(project.groups));
  return groups.flatMap(({ path, about, deprecated, extensions }) => {
    const name = groupText(path);
    if (name === "") return [];
    const known = all.find((g) => g.name === name);
    const group: TokenGroup = {
      id: known?.id ?? newId(),
      order: known?.order ?? orderAfter(all),
      name,
      ...(about === undefined ? {} : { about }),
      ...(deprecated === undefined ? {} : { deprecated }),
      ...(extensions === undefined ? {} : { extensions: JSON.stringify(extensions) }),
    };
    if (!known) all.push(group);
    return [group];
  });
};

/** What taking files over would do: which tokens are new, changed, in none of the files, the same. */
export const planTokens = (project: Project, read: ReadTokens): TokenPlan => {
  const themes = themesAfter(project, read);
  const taking = new Taking(project, read, themes);
  const rows: TokenRow[] = [];
  const found = new Set<Id>();
  let order = orderAfter(Object.values(project.tokens));
  for (const token of read.tokens) {
    const after = taking.token(token, order);
    const before = taking.before(token) ?? null;
    if (!before) order = orderAfter([{ id: after.id, order }]);
    found.add(after.id);
    const changed = before && !sameJson(before, after) ? "changed" : "same";
    rows.push({ state: before ? changed : "new", before, after });
  }
  for (const before of inOrder(ownRecords(project.tokens)))
    if (!found.has(before.id)) rows.push({ state: "gone", before, after: null });
  return { rows, themes, groups: groupsAfter(project, read.groups) };
};

/**
 * Takes over what was planned, as one step of undo; tokens in none of the files are left, or go.
 */
export const takeTokens = (project: Project, plan: TokenPlan, removesGone: boolean): Change => {
  const ops: Op[] = [];
  for (const theme of plan.themes)
    if (!sameJson(project.themes[theme.id], theme)) ops.push(set(["themes", theme.id], theme));
  for (const group of plan.groups)
    if (!sameJson(project.groups[group.id], group)) ops.push(set(["groups", group.id], group));
  const taken = plan.rows.filter((row) => row.state === "new" || row.state === "changed");
  for (const { after } of taken) if (after) ops.push(set(["tokens", after.id], after));
  const gone = plan.rows.flatMap((row) => (row.state === "gone" && row.before ? [row.before] : []));
  if (removesGone && gone.length > 0) ops.unshift(...removingTokens(project, gone));
  return { label: editWords.takeTokens(taken.length), ops };
};

/** The conditions on themes under which a token will say something else than before. */
export const changedConditions = ({ before, after }: TokenRow): readonly Condition[] => {
  const old = Object.values(before?.looks ?? {});
  const next = Object.values(after?.looks ?? {});
  const valueIn = (looks: readonly TokenLook[], when: Condition) =>
    looks.find((look) => sameCondition(look.when, when))?.value;
  return [...next, ...old]
    .map((look) => look.when)
    .filter((when, i, all) => all.findIndex((other) => sameCondition(when, other)) === i)
    .filter((when) => !sameJson(valueIn(old, when), valueIn(next, when)));
};
