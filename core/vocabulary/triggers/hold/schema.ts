import { ms } from "../../../project/scalars";

/** How long is pressed. */
export const hold = { ms };
