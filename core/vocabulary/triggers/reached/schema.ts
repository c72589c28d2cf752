import { ms } from "../../../project/scalars";

/** The moment of the clip. */
export const reached = { ms };
