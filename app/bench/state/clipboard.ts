import type { StateCreator } from "zustand";
import type { Id } from "#core/basics";
import type { LayerChanges, Variant } from "#core/project";
import type { Values } from "#core/properties";

/** A style that was copied. */
interface HeldStyle {
  readonly project: Id;
  readonly name: string;
  readonly said: LayerChanges;
  /** the same with tokens put in, for other projects */
  readonly plain: Values;
}

/** A variant whose look was copied. */
interface HeldVariant {
  readonly piece: Id;
  readonly variant: Variant;
}

/** What was duplicated last, and into what. */
interface LastCopy {
  readonly of: readonly Id[];
  readonly made: readonly Id[];
}

/** What was copied on the bench and no other program understands, until the next one. */
export interface Clipboard {
  readonly heldStyle: HeldStyle | null;
  readonly heldVariant: HeldVariant | null;
  readonly lastCopy: LastCopy | null;
  readonly holdStyle: (style: HeldStyle) => void;
  readonly holdVariant: (variant: HeldVariant) => void;
  readonly noteCopy: (copy: LastCopy) => void;
}

export const clipboard: StateCreator<Clipboard> = (set) => ({
  heldStyle: null,
  heldVariant: null,
  lastCopy: null,
  holdStyle: (heldStyle) => set({ heldStyle }),
  holdVariant: (heldVariant) => set({ heldVariant }),
  noteCopy: (lastCopy) => set({ lastCopy }),
});
