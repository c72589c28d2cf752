import { id, ms } from "../../../project/scalars";

/** Goes to a moment of a clip, ms. */
export const seek = { layer: id, ms };
