import { beforeAll, describe, expect, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import { testEnv } from "../../../../tests/support/env";
import { Builder } from "../../../../tests/support/pieces";
import { SceneBook } from "./sceneBook";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const sceneOf = (width: number): LayoutBox => {
  const b = new Builder();
  const piece = b.new("component", "Buoy");
  b.look({}, "root", { width, height: 20 });
  const tree = new Resolver().tree(b.project, piece, {});
  if (!tree) throw new Error("no tree");
  return layout(env, tree);
};

const book = () => {
  const scenes = new SceneBook();
  const told: string[] = [];
  const stops = ["off", "on"].map((key) => scenes.subscribe(key, () => told.push(key)));
  scenes.subscribeAll(() => told.push("any"));
  return { scenes, told, stops };
};

describe("how the cards look", () => {
  it("tells only the cards that look different, and what looks at all of them once", () => {
    const { scenes, told } = book();
    const [off, on, wide] = [sceneOf(10), sceneOf(20), sceneOf(30)];
    scenes.put(
      env,
      new Map([
        ["off", off],
        ["on", on],
      ]),
    );
    expect(told.splice(0)).toEqual(["off", "on", "any"]);
    scenes.put(
      env,
      new Map([
        ["off", off],
        ["on", wide],
      ]),
    );
    expect(told.splice(0)).toEqual(["on", "any"]);
    expect(scenes.get("on")).toBe(wide);
    scenes.put(
      env,
      new Map([
        ["off", off],
        ["on", wide],
      ]),
    );
    expect(told).toEqual([]);
  });

  it("knows the largest, and that nothing was laid out yet", () => {
    const { scenes, told } = book();
    expect(scenes.laid).toBe(false);
    expect(scenes.largest("width")).toBe(1);
    expect(scenes.get("off")).toBeNull();
    scenes.put(
      env,
      new Map([
        ["off", sceneOf(10)],
        ["on", sceneOf(40)],
        ["gone", null],
      ]),
    );
    expect(scenes.laid).toBe(true);
    expect(scenes.largest("width")).toBe(40);
    expect(scenes.firstKey).toBe("off");
    told.length = 0;
    // a card that went away tells what looks at all of them
    scenes.put(
      env,
      new Map([
        ["off", scenes.get("off")],
        ["on", scenes.get("on")],
      ]),
    );
    expect(told).toEqual(["any"]);
    expect(scenes.has("gone")).toBe(false);
  });

  it("says nothing to those who stopped listening", () => {
    const { scenes, told, stops } = book();
    stops[0]?.();
    scenes.put(env, new Map([["off", sceneOf(10)]]));
    expect(told).toEqual(["any"]);
  });
});
