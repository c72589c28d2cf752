import { z } from "zod";
import { id, ms, ref } from "../../../project/scalars";

/** Goes to a moment of a clip, ms, which may follow a token. */
export const seek = {
  layer: id,
  ms,
  tokens: z.strictObject({ ms: ref.optional() }).optional(),
};
