import { componentsAt, rulesOf } from "../behaviour/piece";
import type { Id, Piece, Project } from "../project/types";

/** The components placed in a piece, however deep. */
const inside = (project: Project, piece: Piece, seen = new Set<Id>()): Set<Id> => {
  for (const layer of Object.values(piece.layers)) if (layer.kind === "instance") for (const c of componentsAt(project, piece, layer.id)) {
    if (c.id === piece.id || seen.has(c.id)) continue;
    seen.add(c.id);
    inside(project, c, seen);
  }
  return seen;
};

/**
 * A project in which copies that can do nothing to a piece keep still: components that raise no signal anybody in it listens for
 * and lead nowhere lose their rules. What the piece's own rules can come to stays the same, since it hears of a copy only by
 * signals; the number of situations no longer multiplies with every switch on a screen.
 */
export const reduced = (project: Project, piece: Piece): Project => {
  const active = inside(project, piece);
  active.delete(piece.id);
  const heard = (signal: Id, by: Iterable<Id>): boolean => [piece.id, ...by].some((id) => { const p = project.pieces[id]; return p && rulesOf(project, p).some((r) => r.trigger.type === "signal" && r.trigger.signal === signal); });
  for (let before = -1; before !== active.size;) {
    before = active.size;
    for (const id of [...active]) {
      const component = project.pieces[id];
      const matters = component && rulesOf(project, component).some((r) => r.effects.some((e) => ["go", "back", "open", "close"].includes(e.type) || (e.type === "raise" && heard(e.signal, active))));
      if (!matters) active.delete(id);
    }
  }
  const still = [...inside(project, piece)].filter((id) => id !== piece.id && !active.has(id));
  if (still.length === 0) return project;
  return { ...project, pieces: { ...project.pieces, ...Object.fromEntries(still.flatMap((id) => { const p = project.pieces[id]; return p ? [[id, { ...p, rules: {} }]] : []; })) } };
};
