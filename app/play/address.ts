import type { Id } from "#core/basics";
import { inOrder, tableEntry } from "#core/project";
import type { Piece, Project } from "#core/project";
import { pathText, pieceAtPath } from "#core/rehearse";
import type { Presented, ShownTrait } from "#core/runtime";

/** More states than this are not read from an address. */
const MOST = 200;

const asName = (text: string): string => text.trim().replace(/\s+/g, "-");

/** What a state is called in an address: for people, nothing reads it back. */
const nameOf = (project: Project, piece: Piece, { at, trait, value }: ShownTrait): string => {
  const of = pieceAtPath(project, piece, at);
  const copy = at === "" ? "" : `${pathText(project, piece, at)} `;
  const found = of?.traits[trait];
  return asName(`${copy}${found?.name ?? ""} ${found?.values[value]?.name ?? ""}`);
};

/**
 * The address at which Play shows something: ids decide what, the names after them are only for
 * people. Relative to the address of Play itself.
 */
export const addressOf = (project: Project, { screen, overlays, traits }: Presented): string => {
  const piece = project.pieces[screen];
  const search = new URLSearchParams();
  for (const id of overlays)
    search.append("over", `${id},${asName(project.pieces[id]?.name ?? "")}`);
  for (const shown of traits) {
    const name = piece ? nameOf(project, piece, shown) : "";
    search.append("set", `${shown.at}:${shown.trait}:${shown.value},${name}`);
  }
  const query = search.toString();
  const name = encodeURIComponent(asName(piece?.name ?? ""));
  return `/${screen}/${name}${query ? `?${query}` : ""}`;
};

const beforeComma = (text: string): string => text.split(",")[0] ?? "";

/** What an address asks to be shown of a piece; what it cannot mean is left out. */
export const presentedIn = (project: Project, screen: Id, search: URLSearchParams): Presented => {
  const overlays = search
    .getAll("over")
    .map(beforeComma)
    .filter((id) => tableEntry(project.pieces, id)?.kind === "screen");
  const traits = search
    .getAll("set")
    .slice(0, MOST)
    .flatMap((text): ShownTrait[] => {
      const [at, trait, value] = beforeComma(text).split(":");
      return at !== undefined && trait && value ? [{ at, trait, value }] : [];
    });
  return { screen, overlays, traits };
};

/** A screen that rules open over others, and the first of those others. */
export interface OverlayOf {
  readonly piece: Piece;
  readonly over: Piece;
  /** whether rules also go to it as to any screen */
  readonly isScreenToo: boolean;
}

/** Whether a rule of a piece, or of a component placed in it, opens a screen over it. */
const opens = (project: Project, piece: Piece, screen: Id, seen: ReadonlySet<Id>): boolean => {
  const own = Object.values(piece.rules).some((r) =>
    r.effects.some((e) => e.type === "open" && e.screen === screen),
  );
  if (own) return true;
  const inside = new Set(
    Object.values(piece.looks).flatMap((look) =>
      Object.values(look.changes).flatMap((c) =>
        typeof c.component === "string" ? [c.component] : [],
      ),
    ),
  );
  return [...inside].some((id) => {
    const inner = seen.has(id) ? undefined : project.pieces[id];
    return inner !== undefined && opens(project, inner, screen, new Set([...seen, id]));
  });
};

const isGoneTo = (project: Project, screen: Id): boolean =>
  Object.values(project.pieces).some((p) =>
    Object.values(p.rules).some((r) =>
      r.effects.some((e) => e.type === "go" && e.screen === screen),
    ),
  );

/** The screens that lie over others when a rule opens them. */
export const overlaysOf = (project: Project): readonly OverlayOf[] => {
  const screens = inOrder(project.pieces).filter((p) => p.kind === "screen");
  return screens.flatMap((piece) => {
    const over = screens.find(
      (s) => s.id !== piece.id && opens(project, s, piece.id, new Set([s.id])),
    );
    const isScreenToo = piece.id === project.start || isGoneTo(project, piece.id);
    return over ? [{ piece, over, isScreenToo }] : [];
  });
};
