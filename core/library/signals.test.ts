import { describe, expect, it } from "vitest";
import { signalUses } from "#core/library";
import type { Piece } from "#core/project";
import { kelpwayKit } from "../../demo/index";

const kit = kelpwayKit();
const usesOf = (id: string) =>
  signalUses(kit, kit.pieces[id] as Piece).map(({ signal, sent, heard }) => ({
    name: signal.name,
    sent: sent.map((rule) => rule.id),
    heard: heard.map((use) => use.piece.name),
  }));

describe("a component's signals", () => {
  it("are told with the rules that send them, and the pieces that listen", () => {
    const uses = usesOf("seat-side-chooser");
    expect(uses.map((use) => use.name)).toEqual(["port", "middle", "starboard"]);
    for (const use of uses) {
      expect(use.sent.length).toBeGreaterThan(0);
      expect(use.heard).toEqual(["Seat plan"]);
    }
  });

  it("of another component are not mixed in", () => {
    const pieces = { ...kit.pieces, "seat-plan": { ...kit.pieces["seat-plan"], rules: {} } };
    const silent = { ...kit, pieces } as typeof kit;
    const [first] = signalUses(silent, kit.pieces["seat-side-chooser"] as Piece);
    expect(first?.heard).toEqual([]);
    expect(usesOf("alert-switch")).toEqual([]);
  });
});
