/** Goes back to the screen before. */
export const back = {};
