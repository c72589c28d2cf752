import {
  chmodSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { PassThrough } from "node:stream";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { LogFile } from "./logs";
import { endLeftServer, forgetRunState, readRunState, writeRunState } from "./state";

let home: string;
beforeEach(() => {
  home = mkdtempSync(join(tmpdir(), "nubble-run-"));
});
afterEach(() => {
  rmSync(home, { recursive: true, force: true });
});

const state = { run: "r1", address: "http://localhost:4000", serverPid: 12 };

describe("what a running Nubble notes about itself", () => {
  it("is read as it was written, and forgotten when it ends", () => {
    const file = join(home, "run.json");
    expect(readRunState(file)).toBeNull();
    expect(writeRunState(file, state)).toBeNull();
    expect(readRunState(file)).toEqual(state);
    expect(readdirSync(home)).toEqual(["run.json"]);
    forgetRunState(file);
    forgetRunState(file);
    expect(readRunState(file)).toBeNull();
  });

  it("can be read by its owner alone", () => {
    const file = join(home, "run.json");
    writeRunState(file, state);
    expect(statSync(file).mode & 0o777).toBe(0o600);
  });

  it("is nothing when the file was cut off, or is of something else", () => {
    const file = join(home, "run.json");
    for (const text of [
      "",
      "{",
      "null",
      "[]",
      '"r1"',
      '{"run":"r1"}',
      '{"run":1,"address":"x","serverPid":2}',
    ]) {
      writeFileSync(file, text);
      expect([text, readRunState(file)]).toEqual([text, null]);
    }
  });

  it("that cannot be written says why, and leaves what was there", () => {
    const file = join(home, "run.json");
    writeRunState(file, state);
    // the name it would be written under first is a folder
    mkdirSync(`${file}.new`);
    expect(writeRunState(file, { ...state, run: "r2" })).toMatch(/EISDIR|directory/i);
    expect(readRunState(file)).toEqual(state);
  });

  it("does not let a process be ended that only has the same number", async () => {
    expect(await endLeftServer({ ...state, serverPid: process.pid })).toBe(false);
    expect(await endLeftServer({ ...state, serverPid: 2 ** 22 + 1 })).toBe(false);
  });
});

describe("a log", () => {
  it("keeps what is written and what a stream says, for its owner alone", async () => {
    const log = new LogFile(join(home, "server.log"));
    const said = new PassThrough();
    log.follow(said);
    log.follow(null);
    log.write("first\n");
    said.write("second\n");
    await new Promise((resolve) => setTimeout(resolve, 20));
    await log.close();
    expect(readFileSync(log.path, "utf8")).toBe("first\nsecond\n");
    expect(statSync(log.path).mode & 0o777).toBe(0o600);
  });

  it("goes on where it was, and closes to others what an older one left open", async () => {
    const path = join(home, "server.log");
    writeFileSync(path, "before\n");
    chmodSync(path, 0o644);
    const log = new LogFile(path);
    log.write("after\n");
    await log.close();
    expect(readFileSync(path, "utf8")).toBe("before\nafter\n");
    expect(statSync(path).mode & 0o777).toBe(0o600);
  });

  it("that cannot be written tells so once, drops what it is told, and stops nobody", async () => {
    const troubles: string[] = [];
    const log = new LogFile(join(home, "nowhere", "in", "a-file", "server.log"), (reason) =>
      troubles.push(reason),
    );
    writeFileSync(join(home, "nowhere"), "a file where a folder would have to be");
    for (let i = 0; i < 5; i++) {
      log.write(`line ${i}\n`);
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
    await log.close();
    expect(troubles).toHaveLength(1);
  });

  it("can be closed before anything was written, and again", async () => {
    const log = new LogFile(join(home, "server.log"));
    await log.close();
    await log.close();
    expect(readdirSync(home)).toEqual([]);
  });
});
