const day = new Intl.DateTimeFormat("en-GB", { dateStyle: "full", timeZone: "UTC" });
const clock = new Intl.DateTimeFormat("en-GB", { timeStyle: "short", timeZone: "UTC" });

/** A day as people write it: "Wednesday, 2 December 2026"; times are ms since 1970, days UTC's. */
export const dayText = (at: number): string => day.format(at);

/** A time of day: "16:20". */
export const clockText = (at: number): string => clock.format(at);

/** Two times of one day, or the first alone where nothing lies between. */
export const spanText = (from: number, to: number): string => {
  const [first, last] = [clockText(from), clockText(to)];
  return first === last ? first : `${first}–${last}`;
};
