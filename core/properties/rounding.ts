/** A number to two places: places and sizes people see, px. */
export const hundredths = (n: number): number => Math.round(n * 100) / 100 || 0;

/** A number to three places: points of paths, px. */
export const thousandths = (n: number): number => Math.round(n * 1000) / 1000 || 0;
