import { id } from "../../../project/scalars";

/** Scrolls what is around a layer until that is in sight. */
export const scroll = { layer: id };
