/** Empties the form of the piece. */
export const empty = {};
