import { describe, expect, it } from "vitest";
import { emptyProject } from "#core/edit";
import { FORMAT, set } from "#core/project";
import type { LoggedChange } from "#core/project";
import { Followed } from "./followed";

const named = (seq: number, name: string, format = FORMAT): LoggedChange => ({
  seq,
  base: seq - 1,
  changeId: `change-${seq}`,
  clientId: "somebody",
  label: "Rename",
  ops: [set(["name"], name)],
  format,
});

describe("a project that is only looked at", () => {
  it("follows change after change, each once", () => {
    const followed = new Followed(emptyProject("Pier"), 4);
    let told = 0;
    followed.subscribe(() => told++);
    expect(followed.take(named(5, "Quay"))).toBe(true);
    expect(followed.take(named(5, "Quay again"))).toBe(true);
    expect([followed.read().name, told]).toEqual(["Quay", 1]);
  });

  it("says when it is behind, or too old, and goes on from what is read anew", () => {
    const followed = new Followed(emptyProject("Pier"), 4);
    expect(followed.take(named(7, "Mole"))).toBe(false);
    expect(followed.take(named(5, "Mole", FORMAT + 1))).toBe(false);
    expect(followed.read().name).toBe("Pier");
    followed.start(emptyProject("Mole"), 7);
    expect(followed.take(named(8, "Dock"))).toBe(true);
    followed.start(emptyProject("Older"), 6);
    expect(followed.read().name).toBe("Dock");
  });
});
