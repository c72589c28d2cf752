import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import { tokenValueOf } from "../../looks";
import { resolveNumbers } from "../../machine";
import { followingNumbers, inOrder, isNumberOf, numberNames, set } from "../../project";
import type {
  Effect,
  FollowingNumber,
  NumberTokens,
  Numbered,
  Op,
  Piece,
  Project,
  Rule,
} from "../../project";

const withTokens = <T extends Numbered>(said: T, tokens: NumberTokens): T => {
  const left = numberNames.flatMap((name) => {
    const token = tokens[name];
    return token === undefined ? [] : [[name, token] as const];
  });
  return { ...said, tokens: left.length > 0 ? Object.fromEntries(left) : undefined };
};

/**
 * Lets a number of a trigger or an effect follow a token, whose value it takes; or with null say it
 * itself again, as it is now. Nothing changes where the token says no such number.
 */
export const withNumberToken = <T extends Numbered>(
  project: Project,
  said: T,
  name: FollowingNumber,
  token: Id | null,
): T => {
  if (token === null)
    return withTokens(
      { ...said, [name]: resolveNumbers(project, said)[name] },
      { ...said.tokens, [name]: undefined },
    );
  const value = tokenValueOf(project.tokens, followingNumbers[name], token);
  if (!isNumberOf(name, value)) return said;
  return withTokens({ ...said, [name]: value }, { ...said.tokens, [name]: token });
};

const tokensOf = ({ tokens = {} }: Numbered): Id[] =>
  numberNames.flatMap((name) => tokens[name] ?? []);

const numbered = (effect: Effect): readonly Numbered[] => (effect.type === "seek" ? [effect] : []);

/** The tokens that numbers of a rule's trigger and effects follow; its motions apart. */
export const numberTokensOf = ({ trigger, effects }: Rule): Id[] =>
  [trigger, ...effects.flatMap(numbered)].flatMap(tokensOf);

/** A rule of which some number follows a token. */
export interface NumberUse {
  readonly piece: Id;
  readonly rule: Id;
}

const byToken = new WeakMap<object, ReadonlyMap<Id, readonly NumberUse[]>>();

const usesByToken = (project: Project): ReadonlyMap<Id, readonly NumberUse[]> =>
  entryOf(byToken, project.pieces, () => {
    const found = new Map<Id, NumberUse[]>();
    for (const piece of Object.values(project.pieces))
      for (const rule of inOrder(piece.rules))
        for (const token of new Set(numberTokensOf(rule)))
          entryOf(found, token, () => []).push({ piece: piece.id, rule: rule.id });
    return found;
  });

/** The rules of which numbers follow a token. */
export const numberUsesOf = (project: Project, token: Id): readonly NumberUse[] =>
  usesByToken(project).get(token) ?? [];

const rewritten = (piece: Piece, rule: Rule, next: <T extends Numbered>(said: T) => T): Op[] => {
  const at = ["pieces", piece.id, "rules", rule.id];
  const effects = rule.effects.map((e) => (e.type === "seek" ? next(e) : e));
  return [
    ...(rule.trigger.tokens ? [set([...at, "trigger"], next(rule.trigger))] : []),
    ...(rule.effects.some((e) => numbered(e).some((n) => n.tokens))
      ? [set([...at, "effects"], effects)]
      : []),
  ];
};

const rewriting = (
  project: Project,
  isMeant: (token: Id) => boolean,
  next: <T extends Numbered>(said: T) => T,
): Op[] =>
  Object.values(project.pieces).flatMap((piece) =>
    Object.values(piece.rules).flatMap((rule) =>
      numberTokensOf(rule).some(isMeant) ? rewritten(piece, rule, next) : [],
    ),
  );

const changedTokens = <T extends Numbered>(said: T, to: (token: Id) => Id | undefined): T => {
  const { tokens } = said;
  if (!tokens) return said;
  const next = numberNames.map((name) => {
    const token = tokens[name];
    return [name, token === undefined ? undefined : to(token)] as const;
  });
  return withTokens(said, Object.fromEntries(next));
};

/** Numbers that follow tokens keep their present value instead: when those go. */
export const keepNumbers = (project: Project, gone: ReadonlySet<Id>): Op[] =>
  rewriting(
    project,
    (token) => gone.has(token),
    (said) =>
      changedTokens(resolveNumbers(project, said), (token) =>
        gone.has(token) ? undefined : token,
      ),
  );

/** Numbers that follow one token follow another instead. */
export const numbersFollow = (project: Project, from: Id, to: Id): Op[] =>
  rewriting(
    project,
    (token) => token === from,
    (said) => changedTokens(said, (token) => (token === from ? to : token)),
  );
