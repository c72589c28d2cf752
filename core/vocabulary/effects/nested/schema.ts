import { id, traitTarget } from "../../../project/scalars";

/** Gives a trait of a placed copy a value. */
export const nested = { layer: id, trait: id, to: traitTarget };
