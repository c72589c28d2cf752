import { present } from "../../basics";
import type { LayoutEnv } from "../../layout";
import { start, step, withinScreen } from "../../machine";
import type { MachineEvent, State } from "../../machine";
import type { Piece, Project } from "../../project";
import { doings } from "./doings";
import { givenValues } from "./given";
import { Grounds } from "./ground";
import { Happenings } from "./happenings";
import { Packing, WIDTH } from "./packing";
import { perform } from "./performance";
import type { Doing, Edge, Mode, Node, Situated } from "./types";
import { WordRows } from "./words";

/** All situations found, and what leads from one to another. */
export interface Explored {
  readonly nodes: readonly Node[];
  readonly edges: readonly Edge[];
  /** false: there is more than was looked at */
  readonly whole: boolean;
  readonly grounds: Grounds;
}

/** A situation with a state that shows the same. */
export const situated = ({ grounds }: Explored, node: Node): Situated => ({
  node,
  state: present(grounds.at(node.shown)).state,
});

/**
 * How many situations are looked at before the rest is left; a situation is all traits with what is
 * pointed at, pressed and waited for.
 */
export const MOST_NODES = 100_000;

/** How many are looked at before what has been found so far is told. */
const FIRST_NODES = 6000;

/** As many situations are looked at before others get their turn. */
const TURN = 20;

const modeOf = (mode: Mode, { pointer, keyboard }: State): Mode =>
  pointer.over.length === 0 && !pointer.pressed && keyboard.focused.length === 0 && !pointer.clicked
    ? "rest"
    : mode;

/** Doings that nobody does: time passes, or something is scrolled. */
const byNobody: ReadonlySet<Doing["do"]> = new Set(["wait", "settle", "answer", "see"]);

/** Situations found so far, and what leads from one to another. */
class Exploration {
  readonly nodes: Node[] = [];
  readonly edges: Edge[] = [];
  readonly grounds: Grounds;
  whole = true;
  private readonly rows = new WordRows(WIDTH);
  private readonly packing: Packing;
  private readonly happenings: Happenings;
  /** the states of situations that were not gone on from yet, by their numbers */
  private readonly states: (State | undefined)[] = [];

  constructor(
    env: LayoutEnv | null,
    private readonly project: Project,
    private readonly piece: Piece,
    private readonly most: number,
  ) {
    this.grounds = new Grounds(env, project, piece);
    this.packing = new Packing(project);
    this.happenings = new Happenings(piece);
    this.node("rest", start(project, piece.id), null);
  }

  /** The situation of a state; null when there are too many. */
  private node(mode: Mode, state: State, from: Node["from"]): Node | null {
    const now = modeOf(mode, state);
    const shown = this.grounds.of(state).number;
    const row = this.packing.pack(now, state, shown);
    const known = this.rows.find(row);
    if (known >= 0) return present(this.nodes[known]);
    if (this.nodes.length >= this.most) {
      this.whole = false;
      return null;
    }
    const made: Node = {
      number: this.rows.add(row),
      mode: now,
      shown,
      from,
      variant: this.happenings.variantIn(state),
      isHere: state.screen === this.piece.id,
      isOpen: state.overlays.length === 0,
    };
    this.nodes.push(made);
    this.states.push(state);
    return made;
  }

  /** What the keyboard's focus was on may have gone out of sight: then it goes, as it runs. */
  private seenFocus(state: State): { state: State; events: readonly MachineEvent[] } {
    const [focus] = state.keyboard.focused;
    const isSeen =
      focus === undefined ||
      state.screen !== this.piece.id ||
      this.grounds.of(state).places.isFocusable(withinScreen(focus));
    return isSeen
      ? { state, events: [] }
      : step(this.project, state, { type: "focus", layer: null });
  }

  /** Does one thing, and says where it led; null where there are too many situations. */
  private lead(from: Node, before: State, does: Doing, mode: Mode): Situated | null {
    const done = perform(this.project, before, does, this.grounds);
    const { state, events: more } = this.seenFocus(done.state);
    const to = this.node(mode, state, { node: from, does });
    if (!to) return null;
    const happened = this.happenings.all(more.length ? [...done.events, ...more] : done.events);
    this.edges.push({ from, to, does, by: byNobody.has(does.do) ? "rest" : mode, happened });
    return { node: to, state };
  }

  /**
   * Everything that can be done in a situation. What is left for another screen is looked at there.
   */
  goOn(from: Node): void {
    const state = present(this.states[from.number]);
    if (from.isHere)
      for (const { does, mode } of doings(this.project, from.mode, state, this.grounds.of(state)))
        this.lead(from, state, does, mode);
  }

  /** Forgets the state of a situation that everything was done in. */
  leave({ number }: Node): void {
    this.states[number] = undefined;
  }

  /** Where copies of the piece are placed to begin: with any of the values they may be given. */
  begin(first: State): void {
    const given = givenValues(this.project, this.piece);
    const begun = new Map<Node, State>([[present(this.nodes[0]), first]]);
    for (const [from, state] of begun)
      for (const { trait, value } of given) {
        if (from.variant[trait] === value) continue;
        const to = this.lead(from, state, { do: "show", trait, value }, "rest");
        if (!to) return;
        if (!begun.has(to.node)) begun.set(to.node, to.state);
      }
  }

  get found(): Explored {
    const { nodes, edges, whole, grounds } = this;
    return { nodes, edges, whole, grounds };
  }

  /** The state in which the piece begins. */
  get first(): State {
    return present(this.states[0]);
  }
}

/** How far an exploration has come; what was found so far where it is worth telling. */
export interface Exploring {
  readonly looked: number;
  readonly sofar: Explored | null;
}

/**
 * Everything that can become of a piece: all situations that mouse, touch and keyboard lead to, one
 * after another, with waits that may end before or after whatever else is done. It is the machine's
 * own step that is taken. Yields now and then how many situations were found, and once, after
 * the first so many, what was found.
 */
export function* explore(
  env: LayoutEnv | null,
  project: Project,
  piece: Piece,
  most = MOST_NODES,
  first = FIRST_NODES,
): Generator<Exploring, Explored> {
  const all = new Exploration(env, project, piece, most);
  const begin = all.first;
  let hasBegun = false;
  let isTold = first >= most;
  for (let i = 0; i < all.nodes.length || !hasBegun; i++) {
    // what people can do comes first, then where copies are placed to begin: the ways told are then
    // what people do
    if (i === all.nodes.length) {
      hasBegun = true;
      all.begin(begin);
      if (i === all.nodes.length) break;
    }
    if (!isTold && all.nodes.length >= first) {
      isTold = true;
      yield { looked: all.nodes.length, sofar: { ...all.found, whole: false } };
    }
    const node = present(all.nodes[i]);
    all.goOn(node);
    all.leave(node);
    if (i % TURN === 0) yield { looked: all.nodes.length, sofar: null };
  }
  return all.found;
}
