import { describe, expect, it } from "vitest";
import { Clock } from "./clock";

describe("the clock of a running piece", () => {
  it("runs slower, stands still, is moved on, and never jumps when its rate changes", () => {
    let world = 1000;
    const clock = new Clock(() => world);
    world += 100;
    expect(clock.now()).toBe(100);
    clock.setRate(0.25);
    expect(clock.now()).toBe(100);
    world += 400;
    expect([clock.now(), clock.until(250)]).toEqual([200, 200]);
    clock.setRate(0);
    world += 5000;
    expect([clock.now(), clock.until(250), clock.rate]).toEqual([200, Infinity, 0]);
    clock.skip(16);
    expect(clock.now()).toBe(216);
    clock.setRate(1);
    world += 10;
    expect([clock.now(), clock.until(100)]).toEqual([226, 0]);
    clock.restart();
    expect(clock.now()).toBe(0);
    clock.setRate(-3);
    expect(clock.rate).toBe(0);
  });
});
