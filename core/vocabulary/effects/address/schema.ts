import { z } from "zod";
import { schemaWords } from "../../words";

/** Only addresses a browser opens as a page: nothing that would run. */
const webAddress = z
  .string()
  .max(2000)
  .regex(/^https?:\/\/\S+$/i, schemaWords.addressBeginsHttpOr);

/** Opens a web address; told, not followed, in Try. */
export const address = { to: webAddress };
