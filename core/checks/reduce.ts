import type { Id } from "../basics";
import { startScreen } from "../edit";
import { componentsAt, isNavigation, rulesOf } from "../machine";
import type { Piece, Project } from "../project";

/** The components placed in a piece, however deep. */
export const inside = (project: Project, piece: Piece, seen = new Set<Id>()): Set<Id> => {
  for (const layer of Object.values(piece.layers))
    if (layer.kind === "instance")
      for (const c of componentsAt(project, piece, layer.id)) {
        if (c.id === piece.id || seen.has(c.id)) continue;
        seen.add(c.id);
        inside(project, c, seen);
      }
  return seen;
};

/**
 * A project in which copies that can do nothing to a piece keep still: components that raise no
 * signal anybody in it listens for and lead nowhere lose their rules. What the piece's own rules
 * can come to stays the same, since it hears of a copy only by signals; the number of situations no
 * longer multiplies with every switch on a screen.
 */
export const reduced = (project: Project, piece: Piece): Project => {
  const active = inside(project, piece);
  active.delete(piece.id);
  const heard = (signal: Id, by: Iterable<Id>): boolean =>
    [piece.id, ...by].some((id) => {
      const p = project.pieces[id];
      return (
        p &&
        rulesOf(project, p).some((r) => r.trigger.type === "signal" && r.trigger.signal === signal)
      );
    });
  for (let before = -1; before !== active.size;) {
    before = active.size;
    for (const id of [...active]) {
      const component = project.pieces[id];
      const matters =
        component &&
        rulesOf(project, component).some((r) =>
          r.effects.some((e) => isNavigation(e) || (e.type === "raise" && heard(e.signal, active))),
        );
      if (!matters) active.delete(id);
    }
  }
  const still = [...inside(project, piece)].filter((id) => id !== piece.id && !active.has(id));
  if (still.length === 0) return project;
  return {
    ...project,
    pieces: {
      ...project.pieces,
      ...Object.fromEntries(
        still.flatMap((id) => {
          const p = project.pieces[id];
          return p ? [[id, { ...p, rules: {} }]] : [];
        }),
      ),
    },
  };
};

/**
 * What of a project matters for one piece: what is placed in it, where it is placed, what it lies
 * on, and the screens its rules lead to.
 */
export const neighbourhood = (project: Project, piece: Piece): Project => {
  const near = inside(project, piece);
  near.add(piece.id);
  for (const other of Object.values(project.pieces))
    if (
      Object.values(other.layers).some(
        (l) =>
          l.kind === "instance" &&
          componentsAt(project, other, l.id).some((c) => c.id === piece.id),
      )
    )
      near.add(other.id);
  const led = (p: Piece | undefined) =>
    Object.values(p?.rules ?? {}).flatMap((r) =>
      r.effects.flatMap((e) => (e.type === "go" || e.type === "open" ? [e.screen] : [])),
    );
  const ground = startScreen(project);
  if (ground) near.add(ground.id);
  const queue = [...near].flatMap((id) => led(project.pieces[id]));
  for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
    const screen = project.pieces[id];
    if (!screen || near.has(id)) continue;
    near.add(id);
    for (const c of inside(project, screen)) {
      if (!near.has(c)) {
        near.add(c);
        queue.push(...led(project.pieces[c]));
      }
    }
    queue.push(...led(screen));
  }
  return near.size === Object.keys(project.pieces).length
    ? project
    : {
        ...project,
        pieces: Object.fromEntries(
          [...near].flatMap((id) => (project.pieces[id] ? [[id, project.pieces[id]]] : [])),
        ),
      };
};
