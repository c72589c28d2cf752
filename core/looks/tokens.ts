import { entryOf } from "../basics";
import type { Id } from "../basics";
import type { LayerChanges, MotionValue, Project, StyleValue, Token, TokenValue } from "../project";
import { isBound, property } from "../properties";
import type { Asset, Four, SpecifiedValue, Value, ValueType, Values } from "../properties";

/** What a project's values may refer to. */
export type Named = Pick<Project, "tokens" | "assets">;

/** Whether a token takes its value from another one. */
export const isAlias = (value: Token["value"]): value is { readonly alias: Id } =>
  typeof value === "object" && "alias" in value;

/**
 * A token's own value, aliases followed; undefined when it is gone, or its aliases lead round in a
 * circle.
 */
export const tokenValue = (tokens: Readonly<Record<Id, Token>>, id: Id): TokenValue | undefined => {
  const seen = new Set<Id>();
  for (let at = tokens[id]; at && !seen.has(at.id);) {
    seen.add(at.id);
    const { value } = at;
    if (!isAlias(value)) return value;
    const next: Token | undefined = tokens[value.alias];
    if (next?.type !== at.type) return undefined;
    at = next;
  }
  return undefined;
};

const isMotionValue = (value: TokenValue | undefined): value is MotionValue =>
  typeof value === "object" && "duration" in value && "easing" in value;

/** What a motion token says; undefined when it is gone or of another type. */
export const motionTokenValue = (
  tokens: Readonly<Record<Id, Token>>,
  id: Id,
): MotionValue | undefined => {
  const value = tokenValue(tokens, id);
  return isMotionValue(value) ? value : undefined;
};

/** Which types of token a property can be bound to. */
export const tokensFor = (type: ValueType): readonly Token["type"][] => {
  switch (type.is) {
    case "colour":
      return ["colour"];
    case "fill":
      return ["colour", "gradient"];
    case "number":
    case "four":
    case "pair":
      return ["number"];
    case "shadows":
      return ["shadow"];
    case "style":
      return ["style"];
    case "flag":
    case "choice":
    case "text":
    case "path":
    case "asset":
    case "family":
    case "away":
    case "reference":
      return [];
  }
};

/**
 * A token's value as a property takes it: a number for all four corners, say; undefined when it is
 * of another kind.
 */
const fitting = (type: ValueType, token: Token, value: TokenValue): Value | undefined => {
  if (!tokensFor(type).includes(token.type)) return undefined;
  if (type.is === "four" && typeof value === "number")
    return [value, value, value, value] satisfies Four;
  if (type.is === "pair" && typeof value === "number") return [value, value];
  // the types of tokens for a type of values are those whose values it takes
  return value as Value;
};

/** What a binding stands for; undefined when its token is gone or does not suit the property. */
export const boundValue = (
  tokens: Named["tokens"],
  type: ValueType,
  said: SpecifiedValue,
): Value | undefined => {
  if (!isBound(said)) return said;
  const token = tokens[said.token];
  const value = tokenValue(tokens, said.token);
  return token && value !== undefined ? fitting(type, token, value) : undefined;
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
  const styled =
    isBound(style) && named.tokens[style.token]?.type === "style"
      ? tokenValue(named.tokens, style.token)
      : undefined;
  if (styled)
    // a token of type style says a style
    for (const [key, value] of Object.entries(styled as StyleValue)) {
      const entry = property(key);
      const said = entry && boundValue(named.tokens, entry.type, value);
      if (said !== undefined) out[key] = said;
    }
  for (const [key, said] of Object.entries(changes)) {
    const entry = property(key);
    if (!entry) {
      if (!isBound(said)) out[key] = said;
      continue;
    }
    if (key === "style") continue;
    const value = boundValue(named.tokens, entry.type, said);
    const whole = value === undefined ? undefined : withAssets(named.assets, entry.type, value);
    if (whole !== undefined) out[key] = whole;
  }
  byChanges.set(changes, out);
  return out;
};
