/** Takes away the overlay it is said in, else the front one. */
export const close = {};
