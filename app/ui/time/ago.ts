import { uiWords } from "../words";

/** Units of time, the longest first, s. */
const units = [
  ["year", 31_536_000],
  ["month", 2_592_000],
  ["day", 86_400],
  ["hour", 3600],
  ["minute", 60],
] as const;

const relative = new Intl.RelativeTimeFormat("en-GB", { numeric: "auto", style: "short" });

/** How long ago something was, such as "2 min ago"; `ms` before now. */
export const agoText = (ms: number): string => {
  const seconds = Math.max(0, Math.round(ms / 1000));
  const unit = units.find(([, length]) => seconds >= length);
  if (!unit) return uiWords.justNow;
  const [name, length] = unit;
  return relative.format(-Math.floor(seconds / length), name);
};

/** A time as people write it, such as "29 Nov 2026, 07:12 UTC". */
export const exactTime = (at: number): string =>
  `${new Intl.DateTimeFormat("en-GB", {
    dateStyle: "medium",
    timeStyle: "short",
    timeZone: "UTC",
  }).format(at)} UTC`;
