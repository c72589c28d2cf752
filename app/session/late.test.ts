import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Project } from "#core/project";
import { kelpwayKit } from "../../demo/index";
import { LateProject } from "./late";

/** A source that a test moves on, and a late one behind it. */
const late = (atOnce: () => boolean, patience: (since: number) => number) => {
  const calls = new Set<() => void>();
  const source = {
    displayed: kelpwayKit(),
    subscribe: (call: () => void) => {
      calls.add(call);
      return () => calls.delete(call);
    },
  };
  const behind = new LateProject(source, atOnce, patience);
  let told = 0;
  behind.subscribe(() => told++);
  const stop = behind.follow();
  return {
    behind,
    stop,
    told: () => told,
    become: (name: string): Project => {
      source.displayed = { ...source.displayed, name };
      for (const call of calls) call();
      return source.displayed;
    },
  };
};

describe("a project that is shown a moment later", () => {
  let frames: (() => void)[] = [];
  const frame = () => {
    for (const call of frames.splice(0)) call();
    vi.advanceTimersByTime(0);
  };
  beforeEach(() => {
    vi.useFakeTimers();
    frames = [];
    vi.stubGlobal("window", globalThis);
    vi.stubGlobal("requestAnimationFrame", (call: () => void) => frames.push(call));
    vi.stubGlobal("cancelAnimationFrame", () => (frames = []));
  });
  afterEach(() => {
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });

  it("comes after the frame that shows the edit", () => {
    const { behind, told, become } = late(
      () => false,
      () => 0,
    );
    const next = become("Ferries");
    expect(told()).toBe(0);
    frame();
    expect(behind.displayed).toBe(next);
    expect(told()).toBe(1);
  });

  it("comes in time when no frame is drawn, as in a hidden page", () => {
    const { behind, become } = late(
      () => false,
      () => 0,
    );
    const next = become("Ferries");
    vi.advanceTimersByTime(200);
    expect(behind.displayed).toBe(next);
  });

  it("comes at once when it cannot wait", () => {
    const { behind, become } = late(
      () => true,
      () => 0,
    );
    const next = become("Ferries");
    expect(behind.displayed).toBe(next);
  });

  it("comes four times a second while one edit follows the other, with the newest of them", () => {
    const { behind, told, become } = late(
      () => false,
      (since) => (since < 250 ? 250 : 0),
    );
    become("1");
    frame();
    const before = told();
    for (let i = 2; i < 12; i++) {
      become(String(i));
      frame();
      vi.advanceTimersByTime(50);
    }
    expect(told() - before).toBe(2);
    vi.advanceTimersByTime(250);
    expect(behind.displayed.name).toBe("11");
  });

  it("hears nothing more once it is stopped", () => {
    const { behind, told, become, stop } = late(
      () => false,
      () => 0,
    );
    become("Ferries");
    stop();
    frame();
    vi.advanceTimersByTime(1000);
    expect(told()).toBe(0);
    expect(behind.displayed.name).not.toBe("Ferries");
  });
});
