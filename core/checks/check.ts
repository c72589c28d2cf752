import type { Id } from "../basics";
import type { LayoutEnv } from "../layout";
import { inTheme, variantsOf } from "../looks";
import type { Project } from "../project";
import { emptyLooks, missing, unpaired } from "./drawing";
import { explore, MOST_NODES } from "./walk/explore";
import { hoverStays } from "./hovers";
import { MOST_ON_MAP, traitMap, variantMap } from "./map";
import type { PieceMap } from "./map";
import { reduced } from "./reduce";
import { dragOnly, leftOut, neverFires, oneWay, unreachable, unseenByTouch } from "./reach";
import { broken, gaps, loops, rivals, wayBackTimes } from "./rivals";
import { keysUnheard, noRole } from "./spoken";
import { noState } from "./states";
import { surface } from "./surface";
import { byTraits, traitSpace } from "./traitspace";
import type { CheckKind, Finding, Inspected } from "./types";

/** What the checks of a piece came to. */
export interface Checked {
  readonly findings: readonly Finding[];
  /** how many situations were looked at, and whether those are all there are */
  readonly situations: number;
  readonly whole: boolean;
  /**
   * how many variants were looked at by traits alone instead; null where that was not needed, or
   * too much too
   */
  readonly variants: number | null;
  /** values of traits that show only while a pointer hovers: a finger never sees them */
  readonly unseenByTouch: readonly { readonly trait: Id; readonly value: Id }[];
  /** by variant where there are not too many, and by trait */
  readonly maps: { readonly byVariant: PieceMap | null; readonly byTrait: PieceMap };
}

/** Kinds that are seen: they are found where there is something to lay the piece out with. */
type SeenKind = "contrast" | "small" | "restarts" | "covered" | "tab-order";
type Finder = (subject: Inspected) => readonly Finding[];

/** What finds each kind, in the order in which it is looked for; one finder may find several. */
const finders: Readonly<Record<Exclude<CheckKind, SeenKind>, Finder>> = {
  broken,
  missing,
  loop: loops,
  rivals,
  "never-fires": neverFires,
  unreachable,
  "dead-end": oneWay,
  "no-way-back": oneWay,
  gap: gaps,
  "hover-stays": hoverStays,
  "hover-only": leftOut,
  "no-keyboard": leftOut,
  "drag-only": dragOnly,
  "keys-unheard": keysUnheard,
  "no-role": noRole,
  "no-state": noState,
  "way-back-time": wayBackTimes,
  "empty-look": emptyLooks,
  unpaired,
};

const rank = { error: 0, warning: 1, note: 2 } as const;

/** How far the checks of a piece have come. */
export interface Checking {
  /** how many situations were looked at */
  readonly looked: number;
  /** what the first of them came to, where there are more; null otherwise */
  readonly sofar: Checked | null;
}

const nothing: Checked = {
  findings: [],
  situations: 0,
  whole: true,
  variants: null,
  unseenByTouch: [],
  maps: { byVariant: null, byTrait: { nodes: [], links: [], byVariant: false } },
};

/** What the checks find in the situations that were looked at. */
function* findIn(
  env: LayoutEnv | null,
  subject: Inspected,
  looked: number,
): Generator<Checking, Checked> {
  const { project, piece, space } = subject;
  const findings: Finding[] = [];
  const goesOn = { looked, sofar: null };
  for (const each of new Set(Object.values(finders))) {
    findings.push(...each(subject));
    yield goesOn;
  }
  // with more situations than can be looked at one by one, what traits alone can tell is told
  const traits = space.whole ? null : traitSpace(project, piece);
  if (traits) findings.push(...byTraits(project, piece, traits));
  yield goesOn;
  if (env)
    for (const seen = surface(env, subject); ;) {
      const { done, value } = seen.next();
      if (done) {
        findings.push(...value);
        break;
      }
      yield goesOn;
    }
  return {
    findings: findings.sort((a, b) => rank[a.severity] - rank[b.severity]),
    situations: space.nodes.length,
    whole: space.whole,
    variants: traits?.count ?? null,
    unseenByTouch: unseenByTouch(subject),
    maps: {
      byVariant: variantsOf(piece).length <= MOST_ON_MAP ? variantMap(piece, space) : null,
      byTrait: traitMap(project, piece, space),
    },
  };
}

/**
 * All checks of one piece, worst findings first. A generator: it yields often, so that whoever runs
 * it can stop it when the piece has changed meanwhile; of a piece with many situations it yields
 * what the first of them came to, and goes on. What needs all situations is left out where there
 * are more than `most`.
 */
export function* check(
  env: LayoutEnv | null,
  all: Project,
  pieceId: Id,
  most = MOST_NODES,
): Generator<Checking, Checked> {
  const piece = all.pieces[pieceId];
  if (!piece) return nothing;
  const project = inTheme(reduced(all, piece), {});
  const exploring = explore(env, project, piece, most);
  for (;;) {
    const { done, value } = exploring.next();
    if (done) return yield* findIn(env, { project, piece, space: value }, value.nodes.length);
    const { looked, sofar } = value;
    if (!sofar) yield { looked, sofar: null };
    else yield { looked, sofar: yield* findIn(env, { project, piece, space: sofar }, looked) };
  }
}

/** Runs the checks of a piece to their end. */
export const checked = (
  env: LayoutEnv | null,
  project: Project,
  pieceId: Id,
  most?: number,
): Checked => {
  const run = check(env, project, pieceId, most);
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
  }
};
