import { entryOf } from "../../basics";
import { variantFrom } from "../../looks";
import type { MachineEvent, State } from "../../machine";
import type { Piece, Variant } from "../../project";
import type { Happening } from "./types";

const nothing: readonly Happening[] = [];

type Told = Extract<
  MachineEvent,
  { readonly type: "fired" | "undone" | "lost" | "shown" | "loop" }
>;

const isTold = (event: MachineEvent): event is Told =>
  event.type === "fired" ||
  event.type === "undone" ||
  event.type === "lost" ||
  event.type === "shown" ||
  event.type === "loop";

const happening = (event: Told, variant: Variant): Happening => {
  switch (event.type) {
    case "fired": {
      const { type, path, rule, trigger } = event;
      return { type, path, rule, trigger, variant };
    }
    case "undone":
      return { type: event.type, path: event.path, rule: event.rule, variant };
    case "lost":
      return { type: event.type, path: event.path, rule: event.rule, to: event.to, variant };
    case "shown":
      return { type: event.type, path: event.path, variant };
    case "loop":
      return { type: event.type, rules: event.rules, variant };
  }
};

/** What a happening is about, as text. */
const aboutOf = (event: Told): string => {
  switch (event.type) {
    case "fired":
    case "undone":
      return `${event.path} ${event.rule}`;
    case "lost":
      return `${event.path} ${event.rule} ${event.to}`;
    case "shown":
      return event.path;
    case "loop":
      return event.rules.map((r) => `${r.path} ${r.rule}`).join(" ");
  }
};

/**
 * What the checks want to know of events, without the states around them; what is equal is one
 * object.
 */
export class Happenings {
  private readonly known = new Map<Variant, Map<string, Happening>>();
  private readonly lists = new Map<Happening, readonly Happening[]>();
  private readonly variants = new WeakMap<Variant, Variant>();
  private readonly byContent = new Map<string, Variant>();
  private readonly resting: Variant;

  constructor(private readonly piece: Piece) {
    this.resting = this.one(variantFrom(piece, {}));
  }

  private one(variant: Variant): Variant {
    return entryOf(this.byContent, JSON.stringify(variant), () => variant);
  }

  /** The variant of the piece in a state. */
  variantIn(state: State): Variant {
    const said = state.traits[this.piece.id];
    return said === undefined
      ? this.resting
      : entryOf(this.variants, said, () => this.one(variantFrom(this.piece, said)));
  }

  private of(event: Told): Happening {
    const variant = this.variantIn(event.state);
    const known = entryOf(this.known, variant, () => new Map<string, Happening>());
    const key = `${event.type} ${aboutOf(event)}`;
    return entryOf(known, key, () => happening(event, variant));
  }

  /** What happened by some events. */
  all(events: readonly MachineEvent[]): readonly Happening[] {
    const told = events.filter(isTold);
    const [first, ...rest] = told;
    if (!first) return nothing;
    const only = this.of(first);
    return rest.length === 0
      ? entryOf(this.lists, only, () => [only])
      : [only, ...rest.map((event) => this.of(event))];
  }
}
