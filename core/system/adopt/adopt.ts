import type { Id } from "../../basics";
import { apply, cutText, inOrder, newId, orderAfter, qualified, remove, set } from "../../project";
import type { Adoption, Change, Op, Project } from "../../project";
import type { Editions } from "../../world";
import { systemWords } from "../words";
import { mappedOps } from "./mapping";
import type { Mapping } from "./mapping";
import { isAdoptionUsed, isUsed, movedOps } from "./references";
import type { Move } from "./references";

/** An edition that can be adopted. */
export type Offer = Pick<Adoption, "system" | "name" | "number" | "edition">;

/** How much of an edition is taken over: all, some components, or what one screen uses. */
export type Extent =
  | { readonly of: "all" }
  /** components as they are called in the system */
  | { readonly of: "components"; readonly components: readonly Id[] }
  | { readonly of: "piece"; readonly piece: Id };

const labelled = (label: string, ops: readonly Op[]): Change => ({
  label: cutText(label, 200),
  ops,
});

const adoptionOfEdition = (project: Project, { system, number }: Offer): Adoption | undefined =>
  inOrder(project.adoptions).find((a) => a.system === system && a.number === number);

/** Uses a system from now on; null where this edition of it is used already. */
export const adopt = (
  project: Project,
  offer: Offer,
): { readonly change: Change; readonly id: Id } | null => {
  if (adoptionOfEdition(project, offer)) return null;
  const id = newId();
  const { system, name, number, edition } = offer;
  const order = orderAfter(Object.values(project.adoptions));
  const adoption: Adoption = { id, order, system, name, number, edition };
  const change = labelled(systemWords.adopt(name, number), [set(["adoptions", id], adoption)]);
  return { id, change };
};

/** Uses a system no more; null where something is still used of it. */
export const endAdoption = (project: Project, id: Id): Change | null => {
  const adoption = project.adoptions[id];
  if (!adoption || isAdoptionUsed(project, id)) return null;
  return labelled(systemWords.endAdoption(adoption.name, adoption.number), [
    remove(["adoptions", id]),
  ]);
};

/** Notes why an edition is not taken over; takes the note back where there is no reason. */
export const decline = (
  { adoptions }: Project,
  id: Id,
  number: string,
  why: string,
): Change | null => {
  const adoption = adoptions[id];
  if (!adoption) return null;
  const { [number]: _before, ...others } = adoption.declined ?? {};
  const declined = why.trim() === "" ? others : { ...others, [number]: why.trim() };
  const path = ["adoptions", id, "declined"];
  return labelled(systemWords.decline(adoption.name, number), [
    Object.keys(declined).length === 0 ? remove(path) : set(path, declined),
  ]);
};

/** Components that are used and that another edition has no more: they stay as they are. */
const keptOf = (
  world: Project,
  { id, edition }: Adoption,
  offer: Offer,
  editions: Editions,
): ReadonlySet<Id> => {
  const before = Object.keys(editions.get(edition)?.pieces ?? {});
  const after = editions.get(offer.edition)?.pieces ?? {};
  const gone = before.filter((inner) => !(inner in after));
  return new Set(gone.filter((inner) => isUsed(world, qualified(id, inner))));
};

/** Everything at once: the adoption brings another edition, and what is called by it stays so. */
const raised = (adoption: Adoption, { name, number, edition }: Offer): Op[] => {
  const { [number]: _declined, ...declined } = adoption.declined ?? {};
  const next: Adoption = { ...adoption, name, number, edition, declined };
  return [set(["adoptions", adoption.id], next)];
};

const moveOf = (world: Project, from: Id, to: Id, extent: Extent, kept: ReadonlySet<Id>): Move => {
  if (extent.of === "components")
    return { from, to, pieces: new Set(extent.components), values: false };
  if (extent.of === "piece" || kept.size === 0) return { from, to, pieces: null, values: true };
  const prefix = `${from}.`;
  const all = Object.keys(world.pieces).filter((id) => id.startsWith(prefix));
  const inner = all.map((id) => id.slice(prefix.length)).filter((id) => !kept.has(id));
  return { from, to, pieces: new Set(inner), values: true };
};

/** What is taken over beside what stays: by a second adoption, called by it from now on. */
const besideOps = (
  world: Project,
  adoption: Adoption,
  offer: Offer,
  extent: Extent,
  kept: ReadonlySet<Id>,
): Op[] => {
  const known = adoptionOfEdition(world, offer);
  const second = known ? null : adopt(world, offer);
  const to = known?.id ?? second?.id ?? "";
  const move = moveOf(world, adoption.id, to, extent, kept);
  const pieces = extent.of === "piece" ? [world.pieces[extent.piece]] : undefined;
  const own = pieces?.flatMap((piece) => piece ?? []);
  const ops = [...(second?.change.ops ?? []), ...movedOps(world, move, own)];
  const after = apply(world, ops).doc;
  return isAdoptionUsed(after, adoption.id) ? ops : [...ops, remove(["adoptions", adoption.id])];
};

export interface TakingOver {
  readonly offer: Offer;
  readonly extent: Extent;
  /** what copies say instead of what is lost; what is not mapped stays, for whoever goes back */
  readonly mappings: readonly Mapping[];
}

/**
 * Takes over another edition of a system, or a part of it. Components that the edition has no more
 * stay with the one before, if they are used. Null where there is nothing to do.
 */
export const takeOver = (
  world: Project,
  editions: Editions,
  id: Id,
  { offer, extent, mappings }: TakingOver,
): Change | null => {
  const adoption = world.adoptions[id];
  if (!adoption || adoption.edition === offer.edition) return null;
  const mapped = mappedOps(world, mappings);
  const now = apply(world, mapped).doc;
  const kept = keptOf(now, adoption, offer, editions);
  const isWhole = extent.of === "all" && kept.size === 0 && !adoptionOfEdition(now, offer);
  const ops = isWhole ? raised(adoption, offer) : besideOps(now, adoption, offer, extent, kept);
  return labelled(systemWords.takeOver(offer.name, offer.number), [...mapped, ...ops]);
};
