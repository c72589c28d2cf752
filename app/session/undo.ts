import { z } from "zod";
import { FORMAT, apply, changeSchema, merge, related, same, valueIn } from "#core/project";
import type { Change, Op, Project } from "#core/project";

/** What can be taken back or up again in one go. */
export interface Step {
  readonly label: string;
  /** what was done, and what takes it back */
  readonly ops: readonly Op[];
  readonly inverse: readonly Op[];
  /** the changes it was saved as */
  readonly changeIds: readonly string[];
  /** the gesture it belongs to, and when that went on last */
  readonly key: string | null;
  readonly at: number;
}

/** The step that undo would take back, and the one redo would do again. */
export interface Steps {
  readonly undo: { readonly label: string } | null;
  readonly redo: { readonly label: string } | null;
}

const MOST_STEPS = 500;

/**
 * Of inverse steps for the same place the last one alone matters: it brings back the oldest value.
 */
const compact = (ops: readonly Op[]): readonly Op[] => {
  if (ops.some((o) => o.op === "remove" || typeof o.value === "object")) return ops;
  const last = new Map(ops.map((o, i) => [o.path.join("\n"), i]));
  return ops.filter((o, i) => last.get(o.path.join("\n")) === i);
};

/** A step with what was done next in the same gesture. */
const joined = (first: Step, next: Step): Step => ({
  ...next,
  ops: merge(first.ops, next.ops),
  inverse: compact([...next.inverse, ...first.inverse]),
  changeIds: [...new Set([...first.changeIds, ...next.changeIds])],
});

/** Steps with `changeId` among what they were saved as are told apart from the others. */
const without = (steps: readonly Step[], changeId: string): readonly Step[] =>
  steps.filter((s) => !s.changeIds.includes(changeId));

/** What bringing back a removed record looks like in `ops`: it names the change that removed it. */
export const restoring = (
  inverse: readonly Op[],
  done: readonly Op[],
  changeId: string,
): readonly Op[] => {
  const removed = new Set(done.filter((op) => op.op === "remove").map((op) => op.path.join("\n")));
  return inverse.map((op) =>
    op.op === "set" && removed.has(op.path.join("\n")) ? { ...op, restores: changeId } : op,
  );
};

/** The part of a step that is still as its window left it. */
interface OwnPart {
  readonly step: Step;
  /** at how many places others have changed it since: that is theirs, and stays */
  readonly theirs: number;
}

/** What of a step undo may take back: nothing that others have changed since. */
export const ownPartOf = (step: Step, present: Project): OwnPart => {
  // where doing it again would change nothing, all is as it was left
  const { doc } = apply(present, step.ops);
  const theirs = step.ops
    .map(({ path }) => path)
    .filter((path) => !same(valueIn(present, path), valueIn(doc, path)));
  if (theirs.length === 0) return { step, theirs: 0 };
  const isOwn = ({ path }: Op) => !theirs.some((place) => related(place, path));
  return {
    step: { ...step, ops: step.ops.filter(isOwn), inverse: step.inverse.filter(isOwn) },
    theirs: theirs.length,
  };
};

const opsSchema = changeSchema.shape.ops;
const stepSchema = z.object({
  label: z.string().min(1).max(200),
  ops: opsSchema,
  inverse: opsSchema,
  changeIds: z.array(z.string().max(40)).max(20_000),
});

/** A step as it is kept over a reload: no gesture goes on then. */
type KeptStep = Pick<Step, "label" | "ops" | "inverse" | "changeIds">;

/** Undo and redo of a window as they are kept over a reload. */
export interface KeptUndo {
  /** steps of another format are not brought over: what they were done to has changed */
  readonly format: typeof FORMAT;
  readonly clientId: string;
  readonly generation: string | null;
  readonly past: readonly KeptStep[];
  readonly future: readonly KeptStep[];
}

/** Storage may hold anything. */
export const keptUndoSchema: z.ZodType<KeptUndo> = z.object({
  format: z.literal(FORMAT),
  clientId: z.string().max(40),
  generation: z.string().max(40).nullable(),
  past: z.array(stepSchema).max(MOST_STEPS),
  future: z.array(stepSchema).max(MOST_STEPS),
});

const kept = ({ label, ops, inverse, changeIds }: Step): KeptStep => ({
  label,
  ops,
  inverse,
  changeIds,
});
const unkept = (step: KeptStep): Step => ({ ...step, key: null, at: 0 });

/** Undo and redo of one window: lists of steps, never of states. */
export class UndoHistory {
  private past: readonly Step[] = [];
  private future: readonly Step[] = [];

  get undoable(): Step | undefined {
    return this.past.at(-1);
  }
  get redoable(): Step | undefined {
    return this.future.at(-1);
  }

  /** Both lists, to be kept over a reload. */
  get kept(): Pick<KeptUndo, "past" | "future"> {
    return { past: this.past.map(kept), future: this.future.map(kept) };
  }

  /** Puts what an earlier page of this window did before what this one has done. */
  precede({ past, future }: Pick<KeptUndo, "past" | "future">): void {
    // once something was done, what had been undone cannot be done again
    if (this.past.length === 0 && this.future.length === 0) this.future = future.map(unkept);
    this.past = [...past.map(unkept), ...this.past].slice(-MOST_STEPS);
  }

  /**
   * Notes a step; with `joins` it becomes one with the last. What could be redone cannot any more.
   */
  note(step: Step, joins: boolean): void {
    const last = this.undoable;
    this.past =
      joins && last
        ? [...this.past.slice(0, -1), joined(last, step)]
        : [...this.past, step].slice(-MOST_STEPS);
    this.future = [];
  }

  /** Takes the last step off one side. */
  take(side: "past" | "future"): Step | undefined {
    const step = this[side].at(-1);
    if (step) this[side] = this[side].slice(0, -1);
    return step;
  }

  put(side: "past" | "future", step: Step): void {
    this[side] = [...this[side], step];
  }

  /** What can be redone, to be put back after something that must not cost it. */
  get redoSteps(): readonly Step[] {
    return this.future;
  }
  set redoSteps(steps: readonly Step[]) {
    this.future = steps;
  }

  /**
   * Forgets the steps of a change that was not saved. One that was only taken back with it can be
   * taken back again.
   */
  dropChange(changeId: string): void {
    const undone = this.future.find((s) => s.changeIds.includes(changeId));
    this.past = without(this.past, changeId);
    this.future = without(this.future, changeId);
    if (undone)
      this.put("past", { ...undone, ops: undone.inverse, inverse: undone.ops, changeIds: [] });
  }
}

/** The change that takes a step back or up again. */
export const changeOf = (step: Step, word: "Undo" | "Redo"): Change => ({
  label: `${word}: ${step.label}`,
  ops: step.inverse,
});
