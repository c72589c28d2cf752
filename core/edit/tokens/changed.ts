import type { Id } from "../../basics";
import { sameJson } from "../../formats/tokens";
import { Resolver, inTheme, otherThemes, tokenValue, variantsOf } from "../../looks";
import type { ComputedLayer } from "../../looks";
import { inOrder } from "../../project";
import type { Piece, Project, Variant } from "../../project";
import { isBound } from "../../properties";

/** A piece with the variants of it that look otherwise than before. */
interface ChangedPiece {
  readonly piece: Id;
  readonly variants: readonly Variant[];
  /** how many variants were looked at */
  readonly of: number;
}

/** As many variants of a piece as are looked at. */
const MOST_VARIANTS = 60;

/** The tokens that come to something else than before, aliases and parts included. */
const changedTokens = (before: Project, after: Project): ReadonlySet<Id> => {
  const ids = new Set([...Object.keys(before.tokens), ...Object.keys(after.tokens)]);
  const isSame = (id: Id): boolean =>
    sameJson(tokenValue(before.tokens, id), tokenValue(after.tokens, id)) &&
    // what is bound in a style is not part of its value
    before.tokens[id] === after.tokens[id];
  return new Set([...ids].filter((id) => !isSame(id)));
};

/** The tokens that take something from others, however far. */
const withDependents = (project: Project, ids: ReadonlySet<Id>): ReadonlySet<Id> => {
  const out = new Set(ids);
  const names = (value: unknown): boolean => {
    if (typeof value !== "object" || value === null) return false;
    if (isBound(value)) return out.has(value.token);
    if ("alias" in value && typeof value.alias === "string") return out.has(value.alias);
    return Object.values(value).some(names);
  };
  for (let before = -1; before !== out.size;) {
    before = out.size;
    for (const token of Object.values(project.tokens))
      if (!out.has(token.id) && names(token.value)) out.add(token.id);
  }
  return out;
};

const saysOne = (piece: Piece, tokens: ReadonlySet<Id>): boolean =>
  Object.values(piece.looks).some((look) =>
    Object.values(look.changes).some((changes) =>
      Object.values(changes).some((said) => isBound(said) && tokens.has(said.token)),
    ),
  );

const placesOne = (piece: Piece, pieces: ReadonlySet<Id>): boolean =>
  Object.values(piece.looks).some((look) =>
    Object.values(look.changes).some(
      ({ component }) => typeof component === "string" && pieces.has(component),
    ),
  );

/** The pieces that say one of the tokens, or hold copies of such a piece. */
const touchedBy = (project: Project, tokens: ReadonlySet<Id>): ReadonlySet<Id> => {
  const pieces = Object.values(project.pieces);
  const out = new Set(pieces.filter((p) => saysOne(p, tokens)).map((p) => p.id));
  for (let before = -1; before !== out.size;) {
    before = out.size;
    for (const piece of pieces) if (placesOne(piece, out)) out.add(piece.id);
  }
  return out;
};

const isUnseen = ({ values }: ComputedLayer): boolean =>
  !values.visible || values.opacity === 0 || values.scale.includes(0);

/** Whether two layers look the same with all that is in them. */
const sameTree = (a: ComputedLayer | null, b: ComputedLayer | null): boolean => {
  if (!a || !b) return a === b;
  if (isUnseen(a) && isUnseen(b)) return true;
  return (
    sameJson(a.values, b.values) &&
    a.children.length === b.children.length &&
    a.children.every((child, i) => sameTree(child, b.children[i] ?? null)) &&
    sameTree(a.nested, b.nested)
  );
};

/** The pieces that look otherwise once tokens say something else, and in which variants. */
const changedByTokens = (before: Project, after: Project): readonly ChangedPiece[] => {
  const tokens = withDependents(after, changedTokens(before, after));
  const touched = touchedBy(after, tokens);
  return inOrder(after.pieces).flatMap((piece) => {
    if (!touched.has(piece.id)) return [];
    const resolvers = [new Resolver(), new Resolver()] as const;
    const all = variantsOf(piece).slice(0, MOST_VARIANTS);
    const variants = all.filter(
      (variant) =>
        !sameTree(
          resolvers[0].tree(before, piece.id, variant),
          resolvers[1].tree(after, piece.id, variant),
        ),
    );
    return variants.length > 0 ? [{ piece: piece.id, variants, of: all.length }] : [];
  });
};

/** A piece that looks otherwise than before in a theme. */
export interface ThemedPiece extends ChangedPiece {
  /** the values that are not usual in it */
  readonly theme: Variant;
}

/** As many themes are looked at, the usual one first. */
const MOST_THEMES = 6;

/** The pieces that look otherwise than before in any theme, each in the first in which it does. */
export const changedInThemes = (before: Project, after: Project): ThemedPiece[] => {
  const found = new Map<Id, ThemedPiece>();
  const themes: Variant[] = [{}, ...otherThemes(after)].slice(0, MOST_THEMES);
  for (const theme of themes)
    for (const changed of changedByTokens(inTheme(before, theme), inTheme(after, theme)))
      if (!found.has(changed.piece)) found.set(changed.piece, { ...changed, theme });
  return [...found.values()];
};
