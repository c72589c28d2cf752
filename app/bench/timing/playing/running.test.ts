import { describe, expect, it } from "vitest";
import { RunningHead } from "./running";

describe("a running playhead", () => {
  it("is where its clock says, however many frames there were", () => {
    const often = new RunningHead(0, 1000, 1);
    for (let now = 1000; now < 1300; now += 7) often.at(now, 500, false);
    const rarely = new RunningHead(0, 1000, 1);
    expect(rarely.at(1300, 500, false)).toEqual({ at: 300, over: false });
    expect(often.at(1300, 500, false)).toEqual({ at: 300, over: false });
    expect(rarely.at(9000, 500, false)).toEqual({ at: 500, over: true });
  });

  it("goes on from where it is at another speed", () => {
    const head = new RunningHead(100, 0, 1);
    head.setRate(0.5, 100);
    expect(head.at(200, 900, false).at).toBe(250);
    head.setRate(0.5, 200);
    expect(head.at(300, 900, false).at).toBe(300);
  });

  it("looped shows the end for a moment, and begins again with what time is over", () => {
    const head = new RunningHead(0, 0, 1);
    expect(head.at(700, 500, true)).toEqual({ at: 500, over: false });
    expect(head.at(930, 500, true)).toEqual({ at: 30, over: false });
    expect(head.at(1000, 500, true)).toEqual({ at: 100, over: false });
  });
});
