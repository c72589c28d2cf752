import type { Id } from "../../basics";
import { adoptionOf, innerId, qualified, remove, set } from "../../project";
import type { Op, Piece, Project } from "../../project";
import { Renaming, kindsOf, ownPieces, ownRecords } from "../../world";
import type { Names } from "../../world";

/** What of an adoption is called otherwise: which of its records, and by which adoption then. */
export interface Move {
  readonly from: Id;
  readonly to: Id;
  /** ids as they are called in the system; null for all */
  readonly pieces: ReadonlySet<Id> | null;
  /** whether tokens, themes and files go along */
  readonly values: boolean;
}

const nowCalled =
  (move: Move, isMoved: (inner: Id) => boolean) =>
  (id: Id): Id =>
    adoptionOf(id) === move.from && isMoved(innerId(id)) ? qualified(move.to, innerId(id)) : id;

const namesOf = (move: Move): Names => {
  const values = nowCalled(move, () => move.values);
  return {
    piece: nowCalled(move, (inner) => move.pieces?.has(inner) ?? true),
    token: values,
    group: values,
    theme: values,
    asset: values,
  };
};

type Table = Readonly<Record<Id, unknown>>;
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The steps from one table of records to another one. */
const tableOps = (path: readonly string[], before: Table, after: Table): Op[] => [
  ...Object.keys(before)
    .filter((id) => !(id in after))
    .map((id) => remove([...path, id])),
  ...Object.entries(after)
    .filter(([id, record]) => !same(before[id], record))
    .map(([id, record]) => set([...path, id], record)),
];

/** Looks are written value by value, so that what others write of the same look stays. */
const lookOps = (path: readonly string[], before: Piece, after: Piece): Op[] =>
  Object.values(after.looks).flatMap(({ id, changes }) =>
    Object.entries(changes).flatMap(([layer, values]) =>
      tableOps(
        [...path, "looks", id, "changes", layer],
        before.looks[id]?.changes[layer] ?? {},
        values,
      ),
    ),
  );

/** The steps that make one state of a piece of the other one, which has the same records. */
export const pieceOps = (before: Piece, after: Piece): Op[] => {
  const path = ["pieces", before.id];
  return [
    ...lookOps(path, before, after),
    ...tableOps([...path, "traits"], before.traits, after.traits),
    ...tableOps([...path, "rules"], before.rules, after.rules),
    ...tableOps([...path, "rehearsals"], before.rehearsals, after.rehearsals),
    ...tableOps([...path, "samples"], before.samples, after.samples),
    ...(same(before.reference, after.reference)
      ? []
      : [set([...path, "reference"], after.reference)]),
    ...(after.status === undefined || same(before.status, after.status)
      ? []
      : [set([...path, "status"], after.status)]),
  ];
};

/** A project's own records that refer to what an adoption brings, called otherwise from now on. */
export const movedOps = (world: Project, move: Move, pieces = ownPieces(world)): Op[] => {
  const renaming = new Renaming(namesOf(move), kindsOf(world));
  const tokens = move.values ? ownRecords(world.tokens) : {};
  const moved = Object.values(tokens).map((token) => [token.id, renaming.token(token)] as const);
  return [
    ...pieces.flatMap((piece) => pieceOps(piece, renaming.piece(piece))),
    ...tableOps(["tokens"], tokens, Object.fromEntries(moved)),
  ];
};

/** A project's own records as text: ids stand in quotes, or behind what says of what kind they are. */
const ownText = (project: Project): string =>
  JSON.stringify([ownPieces(project), Object.values(ownRecords(project.tokens))]);

/** Whether anything of a project's own refers to a component that an adoption brings. */
export const isUsed = (project: Project, id: Id): boolean =>
  ownText(project).includes(JSON.stringify(id));

/** Whether anything of a project's own refers to what an adoption brings. */
export const isAdoptionUsed = (project: Project, adoption: Id): boolean => {
  const text = ownText(project);
  return text.includes(`"${adoption}.`) || text.includes(`:${adoption}.`);
};
