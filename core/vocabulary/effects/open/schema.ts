import { id } from "../../../project/scalars";

/** Shows a screen over the present one. */
export const open = { screen: id };
