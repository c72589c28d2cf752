import { id } from "../../../project/scalars";

/** Shows another screen instead of the present one. */
export const go = { screen: id };
