import { createContext, useContext, useState } from "react";
import type { ReactNode } from "react";
import type { Id } from "#core/basics";
import type { Finding } from "#core/checks";
import type { BenchState, LeftBehind } from "./state";

/** What of the bench one finds again when one comes back to a piece. */
const ofPiece = [
  "chosen",
  "variant",
  "also",
  "zoom",
  "tab",
  "onlyDifferences",
  "chosenRules",
  "timedEffect",
  "trial",
  "rehearsal",
  "grid",
  "only",
] as const;

/** What goes along from one piece to the next. */
const ofAll = ["heldStyle", "heldVariant", "lastCopy"] as const;

const pick = <K extends keyof BenchState>(
  state: BenchState,
  keys: readonly K[],
): Partial<BenchState> => Object.fromEntries(keys.map((key) => [key, state[key]]));

/** What the benches of a window leave behind, for as long as it is open. */
export class BenchMemory implements LeftBehind {
  private readonly places = new Map<Id, Partial<BenchState>>();
  private held: Partial<BenchState> = {};
  private fresh: Id | null = null;

  keep(state: BenchState): void {
    this.places.set(state.pieceId, pick(state, ofPiece));
    this.held = pick(state, ofAll);
  }

  recall(piece: Id): Partial<BenchState> {
    return { ...this.places.get(piece), ...this.held };
  }

  /** A layer of a piece that one finds chosen there. */
  choose(piece: Id, layer: Id): void {
    this.places.set(piece, { ...this.places.get(piece), chosen: [layer] });
  }

  /** A rule of a piece that one finds chosen there, among the others. */
  chooseRule(piece: Id, rule: Id): void {
    this.places.set(piece, { ...this.places.get(piece), tab: "rules", chosenRules: [rule] });
  }

  /** On its bench, a piece shows what a finding is about. */
  show(piece: Id, { layers, rules, variant }: Finding): void {
    this.places.set(piece, {
      ...this.places.get(piece),
      tab: "checks",
      chosen: layers,
      chosenRules: rules,
      ...(variant && { variant, also: [] }),
    });
  }

  /** On its bench, a piece shows the steps of a rehearsal. */
  open(piece: Id, rehearsal: Id): void {
    this.places.set(piece, { ...this.places.get(piece), tab: "rehearsals", rehearsal });
  }

  /** A piece has just been made: on its bench one types its name first. */
  made(piece: Id): void {
    this.fresh = piece;
  }

  /** Whether a piece has just been made, and nobody has named it yet or left it so. */
  isFresh(piece: Id): boolean {
    return this.fresh === piece;
  }

  /** Its name is typed, or shall stay. */
  named(): void {
    this.fresh = null;
  }
}

const Context = createContext<BenchMemory | null>(null);

/** Around all pages of a window. */
export const BenchMemoryProvider = ({ children }: { children: ReactNode }) => {
  const [memory] = useState(() => new BenchMemory());
  return <Context.Provider value={memory}>{children}</Context.Provider>;
};

export const useBenchMemory = (): BenchMemory => {
  const memory = useContext(Context);
  if (!memory) throw new Error("there is no memory around this page");
  return memory;
};
