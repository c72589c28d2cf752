import { ms } from "../../../project/scalars";

/** How long the condition has been true. */
export const delay = { ms };
