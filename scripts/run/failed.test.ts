import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, it } from "vitest";
import { failedFiles } from "./failed";

const folder = mkdtempSync(join(tmpdir(), "nubble-failed-"));
const report = (...failed: readonly boolean[]): string => {
  const at = join(folder, `${failed.join("-")}.json`);
  const testResults = failed.map((is, i) => ({
    name: `tests/${i}.test.ts`,
    status: is ? "failed" : "passed",
    assertionResults: [],
  }));
  writeFileSync(at, JSON.stringify({ success: false, testResults }));
  return at;
};

it("names the files that failed, where they are few", async () => {
  expect(await failedFiles(report(false, true, false, true))).toEqual([
    "tests/1.test.ts",
    "tests/3.test.ts",
  ]);
});

it("names none where all passed, many failed, or nothing was written", async () => {
  expect(await failedFiles(report(false, false))).toEqual([]);
  expect(await failedFiles(report(...Array<boolean>(6).fill(true)))).toEqual([]);
  expect(await failedFiles(join(folder, "none.json"))).toEqual([]);
});
