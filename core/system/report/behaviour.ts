import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import type { LayoutEnv } from "../../layout";
import type { MachineEvent } from "../../machine";
import { rulesOf } from "../../machine";
import { STAGE, stagedSample } from "../../library";
import { BASE, inOrder, tableEntry } from "../../project";
import type { LayerChanges, Piece, Project, Step, Variant } from "../../project";
import { OPTION, TRAIT } from "../../properties";
import { Rehearser, expects, stepText } from "../../rehearse";
import { Run } from "../../runtime";
import { partsOf } from "../../world";
import { systemWords } from "../words";
import type { Copy } from "./copies";

/** How far a probe drags, px, and how long that takes, ms. */
const FAR = 120;
const LONG = 300;
/** So many layers of a component are tried by hand. */
const MOST_LAYERS = 12;

/** What somebody may try on a layer of which a component's rules speak. */
const tries = (layer: Id): readonly (readonly Step[])[] => [
  [{ do: "click", layer }, { do: "settle" }, { do: "click", layer }, { do: "settle" }],
  [{ do: "point", layer }, { do: "settle" }, { do: "press" }, { do: "settle" }, { do: "release" }],
  [{ do: "drag", layer, by: [FAR, 0], ms: LONG }, { do: "settle" }],
  [{ do: "drag", layer, by: [0, FAR], ms: LONG }, { do: "settle" }],
];

const keys: readonly Step[] = ["Enter", " ", "ArrowRight", "ArrowLeft", "Escape"].flatMap(
  (key): Step[] => [{ do: "key", key }, { do: "settle" }],
);

/**
 * What a component is tried by: what its rehearsals do, and the layers of its rules by hand and by
 * key.
 */
export const inputsOf = (project: Project, piece: Piece): readonly (readonly Step[])[] => {
  const sources = new Set(rulesOf(project, piece).flatMap(({ source }) => source ?? []));
  return [
    ...inOrder(piece.rehearsals).map(({ steps }) => steps.filter((step) => !expects(step))),
    ...[...sources].slice(0, MOST_LAYERS).flatMap(tries),
    [{ do: "tab", back: false }, ...keys],
  ];
};

/** The layer of a stage that holds the copy. */
const COPY = "copy";
const within = (path: string): string => (path === "" ? COPY : `${COPY}/${path}`);

/** A step as it is done to a copy on a stage. */
const staged = (step: Step): Step => {
  if ("layer" in step && step.layer !== null) return { ...step, layer: within(step.layer) };
  return "at" in step ? { ...step, at: within(step.at) } : step;
};

/** The traits of the copy on a stage, as they are now. */
const shownBy = (run: Run): Variant | undefined =>
  run.copies().find(({ path }) => path === `${STAGE}/${COPY}`)?.variant;

/** How a copy starts. */
const startOf = (env: LayoutEnv, project: Project): Variant =>
  shownBy(new Run(env, project, STAGE)) ?? {};

/** What each step comes to, as far as it can be told from outside: traits, and what is sent. */
const traceOf = (env: LayoutEnv, project: Project, steps: readonly Step[]): readonly string[] => {
  let sent: string[] = [];
  const hear = (event: MachineEvent): void => {
    if (event.type === "signalled") sent.push(event.signal);
    if (event.type === "address") sent.push(event.to);
  };
  const run = new Run(env, project, STAGE, hear);
  const it = new Rehearser(run, project);
  return steps.map((step) => {
    sent = [];
    const why = it.step(staged(step));
    return JSON.stringify([why, shownBy(run), sent]);
  });
};

/** What a copy says of its component, whatever variant it is in. */
const saidBy = (piece: Piece, layer: Id): LayerChanges => {
  const said = Object.entries(piece.looks[BASE]?.changes[layer] ?? {});
  return Object.fromEntries(
    said.filter(([key]) => key.startsWith(OPTION) || key.startsWith(TRAIT)),
  );
};

/** Tells copies that do something else than before. */
export class Behaviours {
  readonly #known = new Map<string, string | null>();
  readonly #same = new Map<Id, boolean>();

  constructor(
    private readonly env: LayoutEnv,
    private readonly before: Project,
    private readonly after: Project,
  ) {}

  /** What a copy does otherwise first, in words: how it starts, or what a step comes to. */
  of(piece: Piece, { layer, components }: Copy): string | null {
    const said = saidBy(piece, layer);
    for (const id of components) {
      const key = JSON.stringify([id, said]);
      const found = entryOf(this.#known, key, () => this.#otherwise(id, said));
      if (found !== null) return found;
    }
    return null;
  }

  /** A component of which all parts are as before does what it did. */
  #isSame(id: Id): boolean {
    const parts = (project: Project): string => {
      const { pieces, tokens } = partsOf(project, [id]);
      return JSON.stringify([pieces, tokens]);
    };
    return entryOf(this.#same, id, () => parts(this.before) === parts(this.after));
  }

  #otherwise(id: Id, said: LayerChanges): string | null {
    const was = tableEntry(this.before.pieces, id);
    if (!was || !tableEntry(this.after.pieces, id) || this.#isSame(id)) return null;
    const [before, after] = [this.before, this.after].map((p) => stagedSample(p, id, said));
    if (!before || !after) return null;
    const [from, to] = [startOf(this.env, before), startOf(this.env, after)];
    // the traits it had: a new one that rests changes nothing
    const starts = Object.keys(from).filter((trait) => from[trait] !== to[trait]);
    if (starts.length > 0) return this.#startText(id, starts, to);
    for (const steps of inputsOf(this.before, was)) {
      const [old, now] = [before, after].map((project) => traceOf(this.env, project, steps));
      const at = old?.findIndex((came, i) => came !== now?.[i]) ?? -1;
      const step = steps[at];
      if (step) return systemWords.responds(stepText(this.before, was, step));
    }
    return null;
  }

  #startText(id: Id, traits: readonly Id[], to: Variant): string {
    const piece = tableEntry(this.after.pieces, id);
    const names = traits.map((trait) => {
      const value = piece?.traits[trait]?.values[to[trait] ?? ""]?.name;
      return value ?? tableEntry(this.before.pieces, id)?.traits[trait]?.name ?? "";
    });
    return systemWords.startsAs(names);
  }
}
