import { beforeAll, describe, expect, it } from "vitest";
import { findBox } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { readProject } from "#core/project";
import { Run } from "#core/runtime";
import { kelpwayKit } from "./index";
import { testEnv } from "../tests/support/env";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const knobX = (run: Run): number => {
  const scene = run.scene();
  const knob = scene && findBox(scene, "knob");
  return knob?.placed.x ?? NaN;
};

describe("the demo project", () => {
  it("is valid by the schema of every project", () => {
    const result = readProject(JSON.parse(JSON.stringify(kelpwayKit())));
    expect(result).toMatchObject({ ok: true });
  });

  it("Alert switch: pressing stretches, releasing inside flips, releasing outside returns", () => {
    const run = new Run(env, kelpwayKit(), "alert-switch");
    const scene = run.scene();
    expect(scene?.width).toBeGreaterThan(150);
    const toggle = scene && findBox(scene, "toggle");
    const x = (toggle?.x ?? 0) + 10;
    const y = (toggle?.y ?? 0) + 10;
    run.pointer("move", x, y);
    run.pointer("down", x, y);
    expect(run.variant()).toEqual({ alerts: "alerts-off", pressed: "pressed-yes" });
    run.advanceTo(200);
    run.pointer("up", x, y);
    expect(run.variant()).toEqual({ alerts: "alerts-on", pressed: "pressed-no" });
    run.advanceTo(260);
    expect(knobX(run)).toBeGreaterThan(4);
    expect(knobX(run)).toBeLessThan(32);
    run.advanceTo(600);
    expect(knobX(run)).toBe(32);
    run.pointer("down", x, y);
    run.pointer("move", -50, -50);
    run.pointer("up", -50, -50);
    expect(run.variant()).toEqual({ alerts: "alerts-on", pressed: "pressed-no" });
  });

  it("Cabin climate: all eight combinations from three placed switches", () => {
    const run = new Run(env, kelpwayKit(), "cabin-climate");
    const seen = new Set<string>();
    const tap = (y: number) => {
      run.pointer("move", 320, y);
      run.pointer("down", 320, y);
      run.pointer("up", 320, y);
    };
    const state = () =>
      ["heating", "air", "light"]
        .map((id) => run.copies().find((c) => c.path.endsWith(`/${id}`))?.variant.alerts)
        .join(" ");
    seen.add(state());
    for (const y of [380, 476, 380, 572, 380, 476, 380]) {
      tap(y);
      seen.add(state());
    }
    expect(seen.size).toBe(8);
  });

  it("goes to the cabin and back, and the settings are as they were left", () => {
    const run = new Run(env, kelpwayKit(), "trip-settings");
    const tap = (x: number, y: number) => {
      run.pointer("move", x, y);
      run.pointer("down", x, y);
      run.pointer("up", x, y);
      run.advanceTo(run.now + 500);
    };
    tap(320, 320);
    const delays = () => run.inside.traits["trip-settings/delays"]?.alerts;
    expect(delays()).toBe("alerts-on");
    tap(100, 590);
    expect(run.screen).toBe("cabin-climate");
    tap(60, 60);
    expect(run.screen).toBe("trip-settings");
    expect(delays()).toBe("alerts-on");
  });
});
