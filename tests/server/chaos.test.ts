import { spawnSync } from "node:child_process";
import { describe, expect, inject, it } from "vitest";
import { root } from "../../scripts/serve";

describe("a sample of being killed", () => {
  it("loses nothing that was acknowledged, and comes back without a hand", () => {
    const done = spawnSync(
      "npx",
      ["tsx", "scripts/chaos/index.ts", "--whole", "1", "--single", "5", "--seed", "5"],
      {
        cwd: root,
        encoding: "utf8",
        env: { ...process.env, NUBBLE_BUILD: inject("build") },
        timeout: 170_000,
      },
    );
    expect([done.status, done.stderr.replaceAll(/^npm.*$/gm, "").trim()]).toEqual([0, ""]);
    expect(done.stdout).toMatch(/lost 0, doubled 0, gaps 0, wrong 0/);
  }, 180_000);
});
