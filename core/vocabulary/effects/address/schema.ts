import { z } from "zod";

/** Only addresses a browser opens as a page: nothing that would run. */
const webAddress = z
  .string()
  .max(2000)
  .regex(/^https?:\/\/\S+$/i, "an address begins with http:// or https://");

/** Opens a web address; told, not followed, in Try. */
export const address = { to: webAddress };
