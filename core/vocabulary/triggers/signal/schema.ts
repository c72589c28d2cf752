import { id } from "../../../project/scalars";

/** One of the component whose copy is the source. */
export const signal = { signal: id };
