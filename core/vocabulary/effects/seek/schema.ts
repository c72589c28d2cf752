import { z } from "zod";
import { id, ms } from "../../../project/scalars";

/** Goes to a moment of a clip, ms, which may follow a token. */
export const seek = {
  layer: id,
  ms,
  tokens: z.strictObject({ ms: id.optional() }).optional(),
};
