import type { Id } from "../basics";
import { check } from "../checks";
import type { Finding } from "../checks";
import type { LayoutEnv } from "../layout";
import type { Project } from "../project";
import { ownPieces, worldOf } from "../world";
import type { Editions } from "../world";
import { compareEditions } from "./compare/compare";
import { heaviest } from "./differences";
import type { Difference, Weight } from "./differences";
import { notesOf } from "./notes";
import { FIRST, numberAfter } from "./number";

/** Kinds of finding with which nothing is published. */
const obstacleKinds: ReadonlySet<Finding["kind"]> = new Set([
  "broken",
  "missing",
  "loop",
  "unreachable",
]);

/** A finding that stands in the way. */
export interface Obstacle {
  readonly piece: Id;
  readonly finding: Finding;
}

/** What an edition is to the one before. */
export interface Numbered {
  readonly differences: readonly Difference[];
  /** what asks the most of those who use the system; null where nothing differs */
  readonly weight: Weight | null;
  readonly number: string;
  /** in Markdown */
  readonly notes: string;
}

/** The edition before: its number and what it holds. */
export interface Earlier {
  readonly number: string;
  readonly content: Project;
}

/** What a draft is being made of. */
export type Drafting =
  | { readonly at: "checking"; readonly done: number; readonly of: number }
  | { readonly at: "comparing"; readonly done: number; readonly of: number };

/** What stands in the way of publishing the components of a system, those accepted left out. */
export function* obstaclesIn(
  env: LayoutEnv,
  world: Project,
): Generator<Drafting, readonly Obstacle[]> {
  const components = ownPieces(world).filter(({ kind }) => kind === "component");
  const found: Obstacle[] = [];
  for (const [done, piece] of components.entries()) {
    yield { at: "checking", done, of: components.length };
    const run = check(env, world, piece.id);
    let step = run.next();
    while (!step.done) {
      yield { at: "checking", done, of: components.length };
      step = run.next();
    }
    for (const finding of step.value.findings)
      if (obstacleKinds.has(finding.kind) && !(finding.id in piece.accepted))
        found.push({ piece: piece.id, finding });
  }
  return found;
}

/**
 * What an edition of a system would be to the one before: everything that differs, the number that
 * follows from it, and notes. Both contents may adopt editions themselves.
 */
export function* numberEdition(
  env: LayoutEnv,
  editions: Editions,
  earlier: Earlier | null,
  content: Project,
): Generator<Drafting, Numbered> {
  if (!earlier) return { differences: [], weight: null, number: FIRST, notes: "" };
  const before = worldOf(earlier.content, editions);
  const run = compareEditions(env, before, worldOf(content, editions));
  let step = run.next();
  while (!step.done) {
    yield { at: "comparing", ...step.value };
    step = run.next();
  }
  const differences = step.value;
  const weight = differences.length > 0 ? heaviest(differences.map((d) => d.weight)) : null;
  return {
    differences,
    weight,
    number: weight ? numberAfter(earlier.number, weight) : earlier.number,
    notes: notesOf(earlier.content, content, differences),
  };
}
