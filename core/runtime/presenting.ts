import type { Id } from "../basics";
import { restingVariant } from "../looks";
import { liveCopies, withinScreen } from "../machine";
import type { Path, State } from "../machine";
import type { Project } from "../project";

/** A trait of the shown piece (an empty path) or of a copy in it, with the value it has. */
export interface ShownTrait {
  readonly at: Path;
  readonly trait: Id;
  readonly value: Id;
}

/** What is shown, as somebody can be led to it: the screen, what lies over it, and every state. */
export interface Presented {
  readonly screen: Id;
  readonly overlays: readonly Id[];
  readonly traits: readonly ShownTrait[];
}

/** What a trait has apart from a contact that is under way: what it goes back to. */
const lasting = (state: State, at: Path, trait: Id, now: Id): Id => {
  const before = state.reverts.find((r) => r.at === at && r.before[trait])?.before[trait];
  return typeof before?.value === "string" ? before.value : now;
};

/**
 * What is shown now, without what is only so while something is hovered, pressed or focused. Traits
 * as they start are left out.
 */
export const presented = (project: Project, state: State): Presented => {
  const starts = new Map(
    liveCopies(project, { ...state, traits: {} }).map((live) => [live.path, live.variant]),
  );
  const traits = liveCopies(project, state).flatMap(({ path, piece, variant }) => {
    const start = starts.get(path) ?? restingVariant(piece);
    return Object.keys(piece.traits).flatMap((trait): ShownTrait[] => {
      const now = variant[trait];
      const value = now === undefined ? undefined : lasting(state, path, trait, now);
      if (value === undefined || value === start[trait]) return [];
      return [{ at: withinScreen(path), trait, value }];
    });
  });
  return { screen: state.screen, overlays: state.overlays.map((o) => o.screen), traits };
};
