import { id } from "../../../project/scalars";

/** Tells the piece around the copy something. */
export const raise = { signal: id };
