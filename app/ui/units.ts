/** Units as they stand behind a number. */
export const units = { ms: "ms", px: "px", pxPerS: "px/s" } as const;
