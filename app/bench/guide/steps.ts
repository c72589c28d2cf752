import { restingVariant, traitsOf, valuesIn, valuesOf } from "#core/looks";
import { ROOT } from "#core/project";
import type { Layer, Piece, Project, Variant } from "#core/project";
import type { PropertyName } from "#core/properties";

/** What somebody has come to with a first part. */
export interface Progress {
  readonly project: Project;
  readonly piece: Piece;
  /** the variant the running copy is in */
  readonly running: Variant;
}

const drawn = (piece: Piece): readonly Layer[] =>
  Object.values(piece.layers).filter((l) => l.id !== ROOT);

/** Whether the ends of any box are half circles. */
const isPill = ({ project, piece }: Progress): boolean =>
  drawn(piece).some((layer) => {
    const values = valuesIn(project, piece, restingVariant(piece), layer);
    const { radius = [], width, height } = values;
    return Math.max(0, ...radius) >= Math.min(width, height) / 2;
  });

/** Whether a layer has another value of a property in any other variant than the default. */
const differs = ({ project, piece }: Progress, key: PropertyName): boolean => {
  const rest = restingVariant(piece);
  const others = traitsOf(piece).flatMap((t) =>
    valuesOf(t).map((v): Variant => ({ ...rest, [t.id]: v.id })),
  );
  return drawn(piece).some((layer) => {
    const before = JSON.stringify(valuesIn(project, piece, rest, layer)[key]);
    return others.some(
      (variant) => JSON.stringify(valuesIn(project, piece, variant, layer)[key]) !== before,
    );
  });
};

const answers = ({ piece }: Progress): boolean =>
  Object.values(piece.rules).some((r) => r.effects.some((e) => e.type === "set"));

const isTried = ({ piece, running }: Progress): boolean => {
  const rest = restingVariant(piece);
  return traitsOf(piece).some((t) => running[t.id] !== undefined && running[t.id] !== rest[t.id]);
};

/** The steps from an empty component to a switch that runs: each is done once this holds. */
const steps: readonly ((progress: Progress) => boolean)[] = [
  ({ piece }) => drawn(piece).length > 0,
  isPill,
  ({ piece }) => drawn(piece).length > 1,
  ({ piece }) => traitsOf(piece).some((t) => valuesOf(t).length > 1),
  (progress) => differs(progress, "x"),
  (progress) => differs(progress, "fill"),
  answers,
  isTried,
];

/** How many steps there are. */
export const STEPS = steps.length;

/** The first step that is not done yet, counted from 0; as many as there are when all are. */
export const stepOf = (progress: Progress): number => {
  const next = steps.findIndex((isDone) => !isDone(progress));
  return next < 0 ? STEPS : next;
};
