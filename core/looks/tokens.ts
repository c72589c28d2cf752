import { entryOf } from "../basics";
import type { Id } from "../basics";
import type {
  Alias,
  BorderValue,
  LayerChanges,
  Project,
  SpecifiedStyle,
  SpecifiedTokenValue,
  Token,
  TokenType,
  TokenValue,
  TokenValues,
} from "../project";
import { isBound, property } from "../properties";
import type {
  Asset,
  Bound,
  Four,
  Property,
  SpecifiedValue,
  Value,
  ValueType,
  Values,
} from "../properties";

/** What a project's values may refer to. */
export type Named = Pick<Project, "tokens" | "assets">;

/** Whether a token takes its value from another one. */
export const isAlias = (value: Token["value"]): value is Alias =>
  typeof value === "object" && "alias" in value;

/** What a token says itself; null where its aliases lead nowhere. */
type Specified = { readonly type: TokenType; readonly value: SpecifiedTokenValue } | null;
const specified = new WeakMap<object, Map<Id, Specified>>();

/** What a token says itself, once its aliases were followed; each of them is followed once. */
const specifiedOf = (tokens: Readonly<Record<Id, Token>>, id: Id): Specified => {
  const known = entryOf(specified, tokens, () => new Map<Id, Specified>());
  const passed: Id[] = [];
  let found: Specified = null;
  for (let at = tokens[id]; at;) {
    const before = known.get(at.id);
    if (before !== undefined) {
      found = before?.type === tokens[id]?.type ? before : null;
      break;
    }
    // whoever comes by here again has gone round in a circle
    known.set(at.id, null);
    passed.push(at.id);
    const { value, type } = at;
    if (!isAlias(value)) {
      found = { type, value };
      break;
    }
    const next: Token | undefined = tokens[value.alias];
    at = next?.type === type ? next : undefined;
  }
  for (const each of passed) known.set(each, found);
  return found;
};

const isPlainObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const isBinding = (value: unknown): value is Bound =>
  isPlainObject(value) && typeof value.token === "string" && Object.keys(value).length === 1;

/** Whether no part of what a token says is taken from another one. */
const isWhole = (value: unknown): value is TokenValue => {
  if (typeof value !== "object" || value === null) return true;
  return !isBinding(value) && Object.values(value).every(isWhole);
};

const lengths: readonly TokenType[] = ["length", "number"];
/** Which types of token each part of a value can be taken from. */
const partTypes: Readonly<Record<string, readonly TokenType[]>> = {
  colour: ["colour"],
  x: lengths,
  y: lengths,
  blur: lengths,
  spread: lengths,
  width: lengths,
  at: ["number"],
  style: ["stroke"],
  duration: ["duration"],
  delay: ["duration"],
  easing: ["curve"],
  font: ["family"],
  weight: ["weight"],
  size: lengths,
  spacing: lengths,
  lineHeight: ["number"],
};

/** A value with the tokens in it put in; undefined where one of them is gone or does not suit. */
const filled = (tokens: Readonly<Record<Id, Token>>, value: unknown, part: string): unknown => {
  if (isBinding(value)) {
    const said = specifiedOf(tokens, value.token);
    return said && partTypes[part]?.includes(said.type) ? said.value : undefined;
  }
  if (Array.isArray(value)) {
    const list = value.map((item) => filled(tokens, item, part));
    return list.includes(undefined) ? undefined : list;
  }
  if (!isPlainObject(value)) return value;
  const entries = Object.entries(value).map(([key, v]) => [key, filled(tokens, v, key)] as const);
  return entries.some(([, v]) => v === undefined) ? undefined : Object.fromEntries(entries);
};

const filledValues = new WeakMap<object, Map<Id, TokenValue | undefined>>();

/**
 * A token's own value, aliases followed and the tokens put in that its parts are taken from;
 * undefined when one of them is gone, or its aliases lead round in a circle. Equal questions have
 * one answer.
 */
export const tokenValue = (tokens: Readonly<Record<Id, Token>>, id: Id): TokenValue | undefined => {
  const said = specifiedOf(tokens, id);
  if (!said) return undefined;
  const specified: unknown = said.value;
  if (isWhole(specified)) return specified;
  const known = entryOf(filledValues, tokens, () => new Map<Id, TokenValue | undefined>());
  if (!known.has(id)) {
    const value = filled(tokens, specified, "");
    known.set(id, value !== undefined && isWhole(value) ? value : undefined);
  }
  return known.get(id);
};

/** What tokens of text styles say. */
const isStyle = (type: TokenType, _value: SpecifiedTokenValue): _value is SpecifiedStyle =>
  type === "style";

/** What a token of a text style says: what is bound in it is put in where it is used. */
const styleOf = (tokens: Readonly<Record<Id, Token>>, id: Id): SpecifiedStyle | undefined => {
  const said = specifiedOf(tokens, id);
  return said && isStyle(said.type, said.value) ? said.value : undefined;
};

/** What a token of a type says; undefined when it is gone or of another type. */
export const tokenValueOf = <T extends TokenType>(
  tokens: Readonly<Record<Id, Token>>,
  type: T,
  id: Id,
): TokenValues[T] | undefined => {
  const value = tokens[id]?.type === type ? tokenValue(tokens, id) : undefined;
  // tokens of a type say values of that type: the schema has seen to that
  return value as TokenValues[T] | undefined;
};

type Wanting = Pick<Property, "key" | "type">;

/** Properties that take a part of a border's token. */
const borderParts: Readonly<Record<string, keyof BorderValue>> = {
  borderColour: "colour",
  borderWidth: "width",
  borderStyle: "style",
};

/** Which types of token values of a type are, whatever property wants them. */
const byType: Partial<Readonly<Record<ValueType["is"], readonly TokenType[]>>> = {
  colour: ["colour"],
  fill: ["colour", "gradient"],
  four: lengths,
  shadows: ["shadow"],
  style: ["style"],
  family: ["family"],
};
const byUnit: Readonly<Record<string, readonly TokenType[]>> = { px: lengths, ms: ["duration"] };
const byKey: Readonly<Record<string, readonly TokenType[]>> = {
  weight: ["weight"],
  borderColour: ["colour", "border"],
  borderWidth: [...lengths, "border"],
  borderStyle: ["stroke", "border"],
};

/** Which types of token a property can be bound to. */
export const tokensFor = ({ key, type }: Wanting): readonly TokenType[] =>
  byKey[key] ?? byType[type.is] ?? ("unit" in type ? (byUnit[type.unit] ?? ["number"]) : []);

const isBorder = (value: TokenValue): value is BorderValue =>
  typeof value === "object" && "width" in value && "colour" in value;

/** A number as near as a property can have it: tokens say numbers of any size. */
const within = (type: ValueType, n: number): number =>
  type.is === "number" || type.is === "pair" ? Math.min(type.max, Math.max(type.min, n)) : n;

/**
 * A token's value as a property takes it: a number for all four corners, say, or the colour of a
 * border; undefined when it is of another kind.
 */
const fitting = (property: Wanting, token: Token, value: TokenValue): Value | undefined => {
  if (!tokensFor(property).includes(token.type)) return undefined;
  if (isBorder(value)) return value[borderParts[property.key] ?? "colour"];
  const { type } = property;
  if (typeof value === "number") {
    const n = within(type, value);
    if (type.is === "four") return [n, n, n, n] satisfies Four;
    return type.is === "pair" ? [n, n] : n;
  }
  // the types of tokens for a type of values are those whose values it takes
  return value as Value;
};

/** What a binding stands for; undefined when its token is gone or does not suit the property. */
export const boundValue = (
  tokens: Named["tokens"],
  property: Wanting,
  said: SpecifiedValue,
): Value | undefined => {
  if (!isBound(said)) return said;
  const token = tokens[said.token];
  const value = tokenValue(tokens, said.token);
  return token && value !== undefined ? fitting(property, token, value) : undefined;
};

const isOfKind = <K extends Asset["kind"]>(
  asset: Asset | undefined,
  kind: K,
): asset is Extract<Asset, { kind: K }> => asset?.kind === kind;

const assetOf = <K extends Asset["kind"]>(
  assets: Named["assets"],
  id: unknown,
  kind: K,
): Extract<Asset, { kind: K }> | undefined => {
  const asset = typeof id === "string" ? assets[id] : undefined;
  return isOfKind(asset, kind) ? asset : undefined;
};

const withAssets = (assets: Named["assets"], type: ValueType, value: Value): Value | undefined => {
  if (type.is === "asset") return assetOf(assets, value, type.of);
  if (
    type.is === "fill" &&
    typeof value === "object" &&
    "fit" in value &&
    typeof value.picture === "string"
  ) {
    const picture = assetOf(assets, value.picture, "picture");
    return picture ? { ...value, picture } : "none";
  }
  return value;
};

/** A property of this type may refer to something. */
const refers = (key: string, said: SpecifiedValue): boolean =>
  key === "style" ||
  key === "icon" ||
  key === "picture" ||
  isBound(said) ||
  (typeof said === "object" && "fit" in said);

const kept = new WeakMap<object, WeakMap<object, WeakMap<LayerChanges, Values>>>();

/**
 * What a look says about a layer with tokens and assets put in. A text style stands for all it
 * sets, and what the same look says beside it is stronger. Equal inputs give the same object; what
 * refers to nothing is given back as it is.
 */
export const resolveTokens = (named: Named, changes: LayerChanges): Values => {
  if (!Object.entries(changes).some(([key, said]) => refers(key, said)))
    // nothing refers to anything: all of them are values themselves
    return changes as Values;
  const byAssets = entryOf(kept, named.tokens, () => new WeakMap());
  const byChanges = entryOf(byAssets, named.assets, () => new WeakMap());
  const known = byChanges.get(changes);
  if (known) return known;
  const out: Record<string, Value> = {};
  const style = changes.style;
  const styled = isBound(style) ? styleOf(named.tokens, style.token) : undefined;
  for (const [key, value] of Object.entries(styled ?? {})) {
    const entry = property(key);
    const said = entry && boundValue(named.tokens, entry, value);
    if (said !== undefined) out[key] = said;
  }
  for (const [key, said] of Object.entries(changes)) {
    const entry = property(key);
    if (!entry) {
      if (!isBound(said)) out[key] = said;
      continue;
    }
    if (key === "style") continue;
    const value = boundValue(named.tokens, entry, said);
    const whole = value === undefined ? undefined : withAssets(named.assets, entry.type, value);
    if (whole !== undefined) out[key] = whole;
  }
  byChanges.set(changes, out);
  return out;
};
