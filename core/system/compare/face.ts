import { restOf, valuesOf } from "../../looks";
import { offeredBy } from "../../library";
import type { Offered } from "../../library";
import { same } from "../../project";
import type { Id } from "../../basics";
import type { Piece, Project, Rule, Signal, Trait, TraitValue } from "../../project";
import { OPTION } from "../../properties";
import { made } from "../differences";
import type { Difference } from "../differences";
import { systemWords } from "../words";
import { compareTables } from "./tables";

/** A component as it was and as it is, each with the project around it. */
export interface Pair {
  readonly before: { readonly project: Project; readonly piece: Piece };
  readonly after: { readonly project: Project; readonly piece: Piece };
}

const at = ({ before }: Pair) => ({ table: "pieces", id: before.piece.id }) as const;

const valueDifferences = (pair: Pair, before: Trait, after: Trait): Difference[] => {
  const { gone, added, both } = compareTables<TraitValue>(before.values, after.values);
  const of = (value: Id) => ({ subject: at(pair), part: before.id, value });
  return [
    ...gone.map((v) =>
      made("value-removed", of(v.id), systemWords.valueRemoved(after.name, v.name)),
    ),
    ...added.map((v) => made("value-added", of(v.id), systemWords.valueAdded(after.name, v.name))),
    ...both.flatMap(([was, is]) =>
      was.name === is.name
        ? []
        : [
            made(
              "value-renamed",
              of(is.id),
              systemWords.valueRenamed(after.name, was.name, is.name),
            ),
          ],
    ),
  ];
};

const traitDifferences = (pair: Pair, before: Trait, after: Trait): Difference[] => {
  const of = { subject: at(pair), part: before.id };
  const [was, is] = [restOf(before), restOf(after)];
  const named = (trait: Trait, value: Id): string => trait.values[value]?.name ?? "";
  return [
    ...(before.name === after.name
      ? []
      : [made("trait-renamed", of, systemWords.traitRenamed(before.name, after.name))]),
    ...(was === is
      ? []
      : [
          made(
            "trait-starts",
            of,
            systemWords.traitStarts(after.name, named(before, was), named(after, is)),
          ),
        ]),
    ...(same(before.aria, after.aria)
      ? []
      : [made("trait-says", of, systemWords.traitSays(after.name, after.aria?.state ?? null))]),
    ...(same(before.motion, after.motion)
      ? []
      : [made("trait-moves", of, systemWords.traitMoves(after.name))]),
    ...valueDifferences(pair, before, after),
  ];
};

/** How the traits of a component differ: those without values have no say. */
const ofTraits = (pair: Pair): Difference[] => {
  const { gone, added, both } = compareTables<Trait>(
    pair.before.piece.traits,
    pair.after.piece.traits,
  );
  const of = (part: Id) => ({ subject: at(pair), part });
  const names = (trait: Trait): string =>
    valuesOf(trait)
      .map((v) => v.name)
      .join(", ");
  return [
    ...gone.map((t) => made("trait-removed", of(t.id), systemWords.traitRemoved(t.name))),
    ...added.map((t) => made("trait-added", of(t.id), systemWords.traitAdded(t.name, names(t)))),
    ...both.flatMap(([was, is]) => (was === is ? [] : traitDifferences(pair, was, is))),
  ];
};

const optionsOf = ({ project, piece }: Pair["before"]): Readonly<Record<Id, Offered>> =>
  Object.fromEntries(
    offeredBy(project, piece.id)
      .filter((offered) => !offered.isTrait)
      .map((offered) => [offered.key.slice(OPTION.length), offered] as const),
  );

const optionDifferences = (pair: Pair, id: Id, was: Offered, is: Offered): Difference[] => {
  const of = { subject: at(pair), part: id };
  const setsOther = was.type.is !== is.type.is;
  return [
    ...(was.name === is.name
      ? []
      : [made("option-renamed", of, systemWords.optionRenamed(was.name, is.name))]),
    ...(setsOther ? [made("option-sets", of, systemWords.optionSets(is.name))] : []),
    ...(setsOther || same(was.inherent, is.inherent)
      ? []
      : [made("option-usual", of, systemWords.optionUsual(is.name))]),
  ];
};

const ofOptions = (pair: Pair): Difference[] => {
  const [before, after] = [optionsOf(pair.before), optionsOf(pair.after)];
  const ids = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  return ids.flatMap((id) => {
    const [was, is] = [before[id], after[id]];
    const of = { subject: at(pair), part: id };
    if (was && is) return optionDifferences(pair, id, was, is);
    if (was) return [made("option-removed", of, systemWords.optionRemoved(was.name))];
    return is ? [made("option-added", of, systemWords.optionAdded(is.name))] : [];
  });
};

const sends = (piece: Piece, signal: Id): boolean =>
  Object.values(piece.rules).some(
    (rule: Rule) => rule.on && rule.effects.some((e) => e.type === "raise" && e.signal === signal),
  );

const ofSignals = (pair: Pair): Difference[] => {
  const { before, after } = pair;
  const { gone, added, both } = compareTables<Signal>(before.piece.signals, after.piece.signals);
  const of = (part: Id) => ({ subject: at(pair), part });
  return [
    ...gone.map((s) => made("signal-removed", of(s.id), systemWords.signalRemoved(s.name))),
    ...added.map((s) => made("signal-added", of(s.id), systemWords.signalAdded(s.name))),
    ...both.flatMap(([was, is]) => [
      ...(was.name === is.name
        ? []
        : [made("signal-renamed", of(is.id), systemWords.signalRenamed(was.name, is.name))]),
      ...(sends(before.piece, was.id) && !sends(after.piece, is.id)
        ? [made("signal-unsent", of(is.id), systemWords.signalUnsent(is.name))]
        : []),
    ]),
  ];
};

/** How what a component can be given, and what it sends, differs. */
export const faceDifferences = (pair: Pair): Difference[] => [
  ...ofTraits(pair),
  ...ofOptions(pair),
  ...ofSignals(pair),
];
