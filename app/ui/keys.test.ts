import { describe, expect, it } from "vitest";
import { keyText, runKey, shownKeys } from "./keys";
import type { KeyEntry } from "./keys";

/** A key event as browsers make it, for places without a browser. */
const press = (key: string, ...held: string[]): KeyboardEvent =>
  ({
    key,
    code: key.length === 1 ? `Key${key.toUpperCase()}` : key,
    getModifierState: (name: string) => held.includes(name),
  }) as unknown as KeyboardEvent;

interface Dock {
  readonly open: boolean;
  readonly did: string[];
}
const note = (what: string) => (dock: Dock) => {
  dock.did.push(what);
};
const table: readonly KeyEntry<Dock>[] = [
  { keys: ["b"], words: "Blow the horn", run: note("horn") },
  { keys: ["$mod+b"], words: "Board", when: (d) => d.open, run: note("board") },
  { keys: ["Delete", "Backspace"], words: "Cast off", run: note("off") },
  { keys: ["[Shift]+?"], words: "Help", run: note("help") },
];

const did = (e: KeyboardEvent, given: { open?: boolean; letters?: boolean } = {}) => {
  const dock: Dock = { open: given.open ?? true, did: [] };
  const ran = runKey(table, dock, e, given.letters);
  expect(ran).toBe(dock.did.length === 1);
  return dock.did[0];
};

describe("a table of keys", () => {
  it("runs what a key means, with exactly its modifiers", () => {
    expect(did(press("b"))).toBe("horn");
    expect(did(press("b", "Control"))).toBe("board");
    expect(did(press("b", "Alt"))).toBeUndefined();
    expect(did(press("Backspace"))).toBe("off");
    expect(did(press("z"))).toBeUndefined();
  });

  it("leaves out what makes no sense just now", () => {
    expect(did(press("b", "Control"), { open: false })).toBeUndefined();
  });

  it("takes signs with Shift or without, as keyboards have them", () => {
    expect(did(press("?", "Shift"))).toBe("help");
    expect(did(press("?"))).toBe("help");
  });

  it("can do without letters alone (WCAG 2.1.4), and keeps all others", () => {
    const letters = false;
    expect(did(press("b"), { letters })).toBeUndefined();
    expect(did(press("?", "Shift"), { letters })).toBeUndefined();
    expect(did(press("b", "Control"), { letters })).toBe("board");
    expect(did(press("Delete"), { letters })).toBe("off");
  });

  it("is written as keyboards are", () => {
    expect(["$mod+Shift+g", "ArrowUp", "[Shift]+?", "Shift+F10", "n"].map(keyText)).toEqual([
      "Ctrl+Shift+G",
      "Up",
      "?",
      "Shift+F10",
      "N",
    ]);
    expect(shownKeys({ keys: ["Delete", "Backspace"] })).toBe("Delete");
  });
});
