/** Changes nothing: the lanes of its motion run. */
export const stir = {};
