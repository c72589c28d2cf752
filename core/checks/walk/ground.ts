import type { LayoutEnv } from "../../layout";
import { focusStops, liveCopies, rulesOf, shownNumber } from "../../machine";
import type { ActiveInstance, Path, State } from "../../machine";
import { ROOT } from "../../project";
import type { Piece, Project, Rule } from "../../project";
import { inside } from "../reduce";
import { Surveyor } from "./places";
import type { Looked, Places } from "./places";
import type { Doing } from "./types";

const ways = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1], any: [1, 0] } as const;

/** Of so many grounds it is kept what is seen of them: scenes are large. */
const MOST_KEPT = 500;

/** A layer that can be dragged somewhere, with its rule's direction and way, px. */
interface Draggable {
  readonly source: Path;
  readonly direction: string;
  readonly by: readonly [number, number];
}

/** A layer that listens for being seen. */
interface Awaited {
  readonly path: Path;
  readonly doing: Doing;
}

const draggable = ({ path }: ActiveInstance, rule: Rule): Draggable => {
  const direction = rule.trigger.direction ?? "right";
  const [x, y] = ways[direction];
  const travel = (rule.trigger.travel ?? 120) + 10;
  return { source: `${path}/${rule.source ?? ROOT}`, direction, by: [x * travel, y * travel] };
};

/** What follows from what is shown alone, for all situations that show it; found when asked for. */
export class Ground {
  /** keys that rules listen for, pressed */
  readonly keys: readonly Doing[];
  readonly draggables: readonly Draggable[];
  readonly awaited: readonly Awaited[];
  #looked: Looked | null | undefined;
  #places: Places | undefined;
  #points: readonly Doing[] | undefined;
  #fingers: readonly Doing[] | undefined;
  #stops: readonly Path[] | undefined;

  constructor(
    private readonly project: Project,
    private readonly surveyor: Surveyor,
    /** the first state that shows it */
    readonly state: State,
    readonly number: number,
  ) {
    const rules = liveCopies(project, state).flatMap((live) =>
      rulesOf(project, live.piece).map((rule) => ({ live, rule })),
    );
    const keys = rules.flatMap(({ rule: { trigger } }) =>
      trigger.type === "key" && trigger.key ? [trigger.key] : [],
    );
    this.keys = [...new Set(keys)].map((key) => ({ do: "key", key, phase: "down" }));
    this.draggables = rules.flatMap(({ live, rule }) =>
      rule.trigger.type === "drag" ? [draggable(live, rule)] : [],
    );
    this.awaited = rules.flatMap(({ live, rule }): Awaited[] => {
      const path = `${live.path}/${rule.source}`;
      const layer = path.slice(state.screen.length + 1);
      const waits = rule.trigger.type === "seen" && rule.source !== null;
      return waits ? [{ path, doing: { do: "see", layer } }] : [];
    });
  }

  /** Where a pointer can be. */
  get places(): Places {
    return (this.#places ??= this.surveyor.survey(this.state, this.look()));
  }

  /** What is seen of it, and what can be touched. */
  look(): Looked | null {
    if (this.#looked !== undefined) return this.#looked;
    const looked = this.surveyor.look(this.state);
    if (this.number < MOST_KEPT) this.#looked = looked;
    return looked;
  }

  /** A mouse pointing at each place. */
  get points(): readonly Doing[] {
    return (this.#points ??= this.places.hits.map((layer) => ({ do: "point", layer })));
  }

  /** A finger put on each place. */
  get fingers(): readonly Doing[] {
    return (this.#fingers ??= this.places.hits.map((layer) => ({ do: "finger", layer })));
  }

  /** The stops of the Tab key that can be seen. */
  get stops(): readonly Path[] {
    return (this.#stops ??= focusStops(this.project, this.state).filter(this.places.isFocusable));
  }
}

/** The pieces that may be shown while a piece is: all that is placed in it, and what opens over it. */
const appearing = (project: Project, piece: Piece): ReadonlySet<Piece> => {
  const found = new Set([piece]);
  for (const one of found) {
    for (const id of inside(project, one)) {
      const component = project.pieces[id];
      if (component) found.add(component);
    }
    for (const rule of rulesOf(project, one))
      for (const effect of rule.effects) {
        const over = effect.type === "open" ? project.pieces[effect.screen] : undefined;
        if (over) found.add(over);
      }
  }
  return found;
};

/** The grounds met so far, by what is shown. */
export class Grounds {
  /** whether somebody listens for a double click, or may when something else is shown */
  readonly hearsDouble: boolean;
  /** whether somebody listens for a focus that nobody is shown, or may */
  readonly hearsFocus: boolean;
  private readonly known: Ground[] = [];
  private readonly surveyor: Surveyor;

  constructor(
    env: LayoutEnv | null,
    private readonly project: Project,
    piece: Piece,
  ) {
    this.surveyor = new Surveyor(env, project);
    const rules = [...appearing(project, piece)].flatMap((p) => rulesOf(project, p));
    this.hearsDouble = rules.some((r) => r.trigger.type === "double");
    this.hearsFocus = rules.some((r) => r.trigger.by === "any");
  }

  of(state: State): Ground {
    const number = shownNumber(this.project, state);
    return (this.known[number] ??= new Ground(this.project, this.surveyor, state, number));
  }

  /** The ground of what has been met. */
  at(number: number): Ground | undefined {
    return this.known[number];
  }
}
