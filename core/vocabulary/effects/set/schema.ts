import { id, traitTarget } from "../../../project/scalars";

/** Gives a trait of the piece a value. */
export const set = { trait: id, to: traitTarget };
