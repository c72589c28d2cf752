import { optionSchema } from "../../../properties";
import { id } from "../../../project/scalars";

/** Sets an option of a placed copy. */
export const option = { layer: id, option: id, value: optionSchema };
