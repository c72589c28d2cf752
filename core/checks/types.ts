import type { Id } from "../basics";
import type { Change, Piece, Project, Step, Variant } from "../project";
import type { Explored } from "./walk/explore";

export type CheckKind =
  | "broken"
  | "unreachable"
  | "dead-end"
  | "no-way-back"
  | "way-back-time"
  | "rivals"
  | "never-fires"
  | "gap"
  | "restarts"
  | "loop"
  | "hover-stays"
  | "covered"
  | "keys-unheard"
  | "tab-order"
  | "no-role"
  | "no-state"
  | "hover-only"
  | "no-keyboard"
  | "drag-only"
  | "contrast"
  | "small"
  | "unpaired"
  | "empty-look"
  | "missing";

/** What a check has found. Texts are for designers. */
export interface Finding {
  /** the same for the same finding after other edits, so that it can be accepted */
  readonly id: Id;
  readonly kind: CheckKind;
  /** error: it does not work; warning: people will stumble; note: perhaps it is meant so */
  readonly severity: "error" | "warning" | "note";
  readonly text: string;
  readonly layers: readonly Id[];
  readonly rules: readonly Id[];
  /** the theme in which it is seen; undefined where it is so in all */
  readonly theme?: Variant | undefined;
  /** a variant in which it shows */
  readonly variant?: Variant;
  /** what to do to see it, to be played in Try */
  readonly way?: readonly Step[];
  readonly fix?: { readonly label: string; readonly change: Change };
}

/** What a check gets to look at. */
export interface Inspected {
  readonly project: Project;
  readonly piece: Piece;
  readonly space: Explored;
}

/** A short name for what makes a finding itself (FNV-1a, 32 bits twice): fit for an id. */
export const findingId = (kind: CheckKind, ...about: readonly (string | null)[]): Id => {
  const text = about.join("|");
  const hash = (seed: number) => {
    let h = seed;
    for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
    return (h >>> 0).toString(36);
  };
  return `${kind}-${hash(0x811c9dc5)}${hash(0x2f0b4c47)}`;
};
