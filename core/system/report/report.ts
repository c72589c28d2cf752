import type { Id } from "../../basics";
import { findBox, layout } from "../../layout";
import type { LayoutBox, LayoutEnv } from "../../layout";
import { Resolver, SharedCopies, inTheme, otherThemes, variantsOf } from "../../looks";
import { paint } from "../../paint";
import type { Paint } from "../../paint";
import { rehearse } from "../../rehearse";
import type { Failure } from "../../rehearse";
import { inOrder, same } from "../../project";
import type { Piece, Project, Variant } from "../../project";
import { sameTree } from "../compare/looks";
import { ownPieces } from "../../world";
import { Behaviours } from "./behaviour";
import { copiesOfAdopted } from "./copies";
import type { Copy } from "./copies";
import { componentIn, lostBy } from "./lost";
import type { Lost } from "./lost";

/** A variant of a piece in a theme, of which that is said which is not usual. */
interface Shown {
  readonly variant: Variant;
  readonly theme: Variant;
}

/** px */
interface Size {
  readonly width: number;
  readonly height: number;
}

/** What taking over another edition does to a copy. */
export interface CopyChange {
  readonly copy: Copy;
  /** where it looks otherwise */
  readonly looks: readonly Shown[];
  /** where it is of another size, the first of them, and how large it is before and after */
  readonly size: { readonly at: Shown; readonly before: Size; readonly after: Size } | null;
  /** layers around it that are moved or sized by that */
  readonly pushed: readonly Id[];
  /** what it does otherwise when it is used as before, in words; null for nothing */
  readonly does: string | null;
  readonly lost: readonly Lost[];
}

/** A rehearsal of the project that passes before and fails after. */
interface Broken {
  readonly piece: Id;
  readonly rehearsal: Id;
  readonly failure: Failure;
}

/** What taking over another edition does to a project. */
export interface Report {
  readonly copies: readonly CopyChange[];
  /** pieces that look otherwise, whatever the reason */
  readonly pieces: readonly { readonly piece: Id; readonly shown: readonly Shown[] }[];
  readonly broken: readonly Broken[];
}

/** How far a report is: how many pieces were looked at. */
export interface Reporting {
  readonly done: number;
  readonly of: number;
}

interface Worlds {
  readonly env: LayoutEnv;
  readonly before: Project;
  readonly after: Project;
}

/** A part without its place: where it lies is not its own look. */
const painted = (box: LayoutBox): Paint => paint({ ...box, x: 0, y: 0 });

const looksAlike = (before: LayoutBox, after: LayoutBox): boolean =>
  same(painted(before), painted(after));

/** Worlds that are looked at piece by piece: what they place the same way is made once. */
interface Looked extends Worlds {
  readonly shared: SharedCopies;
}

/** A piece in one variant and theme, before and after, where the two are not alike. */
interface Pictures {
  readonly at: Shown;
  readonly before: LayoutBox;
  readonly after: LayoutBox;
}

function* picturesOf({ env, before, after, shared }: Looked, piece: Piece): Generator<Pictures> {
  for (const theme of [{}, ...otherThemes(after)]) {
    const [was, is] = [inTheme(before, theme), inTheme(after, theme)];
    const resolvers = [new Resolver(shared), new Resolver(shared)] as const;
    for (const variant of variantsOf(piece)) {
      const a = resolvers[0].tree(was, piece.id, variant);
      const b = resolvers[1].tree(is, piece.id, variant);
      if (!a || !b || sameTree(a, b)) continue;
      const [from, to] = [layout(env, a), layout(env, b)];
      yield { at: { variant, theme }, before: from, after: to };
    }
  }
}

const sizeOf = ({ width, height }: LayoutBox): Size => ({ width, height });

const isElsewhere = (before: LayoutBox, after: LayoutBox, layer: Id): boolean => {
  const [was, is] = [findBox(before, layer), findBox(after, layer)];
  if (!was || !is) return false;
  return (
    was.x !== is.x ||
    was.y !== is.y ||
    was.placed.width !== is.placed.width ||
    was.placed.height !== is.placed.height
  );
};

/** What is seen of a copy in pictures of its piece. */
class Sight {
  readonly looks: Shown[] = [];
  size: CopyChange["size"] = null;
  readonly pushed = new Set<Id>();

  constructor(
    private readonly piece: Piece,
    private readonly copy: Copy,
  ) {}

  see({ at, before, after }: Pictures): void {
    const was = findBox(before, this.copy.layer)?.placed;
    const is = findBox(after, this.copy.layer)?.placed;
    if (!was || !is) return;
    if (!looksAlike(was, is)) this.looks.push(at);
    if (was.width === is.width && was.height === is.height) return;
    this.size ??= { at, before: sizeOf(was), after: sizeOf(is) };
    for (const { id } of Object.values(this.piece.layers))
      if (id !== this.copy.layer && isElsewhere(before, after, id)) this.pushed.add(id);
  }
}

const lostOf = ({ before, after }: Worlds, piece: Piece, copy: Copy): readonly Lost[] =>
  copy.components.flatMap((id) => {
    const component = componentIn(before, after, id);
    return component ? lostBy(piece, copy.layer, component) : [];
  });

const brokenOf = ({ env, before, after }: Worlds, piece: Piece): readonly Broken[] =>
  inOrder(piece.rehearsals).flatMap(({ id, steps }) => {
    const failure = rehearse(env, after, piece.id, steps);
    if (!failure || rehearse(env, before, piece.id, steps)) return [];
    return [{ piece: piece.id, rehearsal: id, failure }];
  });

const copiesOf = (
  worlds: Worlds & { readonly behaviours: Behaviours },
  piece: Piece,
  adoption: Id,
  pictures: readonly Pictures[],
) =>
  copiesOfAdopted(piece, adoption).flatMap((copy): CopyChange[] => {
    const sight = new Sight(piece, copy);
    for (const picture of pictures) sight.see(picture);
    const { looks, size, pushed } = sight;
    const lost = lostOf(worlds, piece, copy);
    const does = worlds.behaviours.of(piece, copy);
    if (looks.length === 0 && !size && lost.length === 0 && does === null) return [];
    return [{ copy, looks, size, pushed: [...pushed], does, lost }];
  });

/**
 * What becomes of a project when an adoption brings another edition: every copy that looks, behaves
 * or can be asked otherwise, in place. Told piece by piece, so that it can be ended between them.
 */
export function* reportOn(
  env: LayoutEnv,
  before: Project,
  after: Project,
  adoption: Id,
): Generator<Reporting, Report> {
  const behaviours = new Behaviours(env, before, after);
  const worlds = { env, before, after, behaviours, shared: new SharedCopies() };
  const pieces = ownPieces(before);
  const copies: CopyChange[] = [];
  const changed: { piece: Id; shown: readonly Shown[] }[] = [];
  const broken: Broken[] = [];
  for (const [done, piece] of pieces.entries()) {
    yield { done, of: pieces.length };
    const pictures = [...picturesOf(worlds, piece)];
    const shown = pictures.filter((p) => !looksAlike(p.before, p.after));
    if (shown.length > 0) changed.push({ piece: piece.id, shown: shown.map((p) => p.at) });
    copies.push(...copiesOf(worlds, piece, adoption, pictures));
    broken.push(...brokenOf(worlds, piece));
  }
  return { copies, pieces: changed, broken };
}
