/** -1 for a key that leads back, 1 for one that leads forth, 0 for any other. */
export const keyStep = (key: string, back: string, forth: string): -1 | 0 | 1 => {
  if (key === forth) return 1;
  return key === back ? -1 : 0;
};
