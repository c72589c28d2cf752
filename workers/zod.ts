import { config } from "zod";

// schemas are compiled with eval otherwise, which a page's policy forbids; comes before any schema
// is made
if (typeof self !== "undefined") config({ jitless: true });
