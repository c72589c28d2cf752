import { describe, expect, it } from "vitest";
import { agoText, exactTime } from "./ago";

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

describe("how long ago something was", () => {
  it.each([
    [0, "just now"],
    [59_000, "just now"],
    [MINUTE, "1 min ago"],
    [2.9 * MINUTE, "2 min ago"],
    [3 * HOUR, "3 hr ago"],
    [DAY, "yesterday"],
    [6 * DAY, "6 days ago"],
    [40 * DAY, "last mo"],
    [800 * DAY, "2 yr ago"],
    // a clock that is ahead of ours
    [-5000, "just now"],
  ])("%d ms is said in the longest unit that fits: %s", (ms, words) => {
    expect(agoText(ms).replace(/\.$/, "")).toBe(words);
  });

  it("is written out with its zone", () => {
    expect(exactTime(Date.UTC(2026, 10, 29, 7, 12))).toBe("29 Nov 2026, 07:12 UTC");
  });
});
