import { focusBy } from "../../../project/scalars";

/** Whose going counts: of any focus, or of one that was shown alone. */
export const blur = { by: focusBy };
