import { focusBy } from "../../../project/scalars";

/** Keys where it says nothing, as CSS's :focus-visible. */
export const focus = { by: focusBy };
