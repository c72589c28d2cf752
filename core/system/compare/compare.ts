import type { LayoutEnv } from "../../layout";
import type { Piece, Project } from "../../project";
import { ownPieces } from "../../world";
import { made } from "../differences";
import type { Difference } from "../differences";
import { systemWords } from "../words";
import { faceDifferences } from "./face";
import type { Pair } from "./face";
import { lookDifferences } from "./looks";
import { reliedDifferences, ruleDifferences } from "./rules";
import { compareTables } from "./tables";
import { valueDifferences } from "./values";
import { writtenDifferences } from "./written";

type Kinds = readonly Piece["kind"][];

const piecesOf = (project: Project, kinds: Kinds): Project["pieces"] =>
  Object.fromEntries(
    ownPieces(project)
      .filter(({ kind }) => kinds.includes(kind))
      .map((piece) => [piece.id, piece]),
  );

/** How far a comparison is. */
export interface Progress {
  readonly done: number;
  readonly of: number;
}

/** What can be told of a component without looking at it or running it. */
const saidOf = (pair: Pair): Difference[] => [
  ...writtenDifferences(pair),
  ...faceDifferences(pair),
];

const ofPair = (env: LayoutEnv, pair: Pair): Difference[] => [
  ...saidOf(pair),
  ...ruleDifferences(pair),
  ...lookDifferences(env, pair),
  ...reliedDifferences(env, pair),
];

const pairsOf = (before: Project, after: Project, kinds: Kinds): readonly Pair[] =>
  compareTables<Piece>(piecesOf(before, kinds), piecesOf(after, kinds)).both.map(([was, is]) => ({
    before: { project: before, piece: was },
    after: { project: after, piece: is },
  }));

/** Which pieces there are, and what else a system has. */
const ofWhole = (before: Project, after: Project, kinds: Kinds): readonly Difference[] => {
  const { gone, added } = compareTables<Piece>(piecesOf(before, kinds), piecesOf(after, kinds));
  const subject = ({ id }: Piece) => ({ subject: { table: "pieces", id } }) as const;
  return [
    ...gone.map((p) => made("component-removed", subject(p), systemWords.componentRemoved(p.name))),
    ...added.map((p) => made("component-added", subject(p), systemWords.componentAdded(p.name))),
    ...valueDifferences(before, after),
  ];
};

/** What is otherwise in what a later edition says of itself: nothing is looked at or run for it. */
export const saidDifferences = (before: Project, after: Project): readonly Difference[] => [
  ...ofWhole(before, after, ["component"]),
  ...pairsOf(before, after, ["component"]).flatMap(saidOf),
];

/**
 * Everything that is otherwise in a later edition of a system: what it offers, how that looks in all
 * variants and themes, and what the rehearsals of the earlier one come to. Told component by
 * component, so that it can be ended between them. With `kinds` screens are compared, too.
 */
export function* compareEditions(
  env: LayoutEnv,
  before: Project,
  after: Project,
  kinds: Kinds = ["component"],
): Generator<Progress, readonly Difference[]> {
  const pairs = pairsOf(before, after, kinds);
  const found = [...ofWhole(before, after, kinds)];
  for (const [done, pair] of pairs.entries()) {
    yield { done, of: pairs.length };
    found.push(...ofPair(env, pair));
  }
  return found;
}
