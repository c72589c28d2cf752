import { describe, expect, it } from "vitest";
import { placeOnScreen } from "#core/edit";
import { ROOT } from "#core/project";
import { Builder } from "../../../tests/support/pieces";

describe("placing a component on a screen", () => {
  it("puts it into the middle of a new one, or of one that is there, in one step", () => {
    const b = new Builder();
    const id = b.new("component", "Lamp");
    const place = (screen: string | null) => {
      const made = placeOnScreen(b.project, b.on(id).piece, { width: 90, height: 44 }, screen);
      if (made) b.do(made.change);
      return made ? made.screen : null;
    };
    const first = place(null) ?? "";
    b.on(first);
    const { width = 0, height = 0 } = b.piece.looks.base?.changes[ROOT] ?? {};
    const copies = () => Object.values(b.piece.layers).filter((l) => l.kind === "instance");
    const [copy] = copies();
    expect(b.piece.looks.base?.changes[copy?.id ?? ""]).toMatchObject({
      component: id,
      x: (Number(width) - 90) / 2,
      y: (Number(height) - 44) / 2,
    });
    expect(place(first)).toBe(first);
    b.on(first);
    expect(copies().map((l) => l.name)).toEqual(["Lamp", "Lamp 2"]);
    // under the one that lies in the middle
    expect(b.piece.looks.base?.changes[copies()[1]?.id ?? ""]).toMatchObject({
      x: (Number(width) - 90) / 2,
      y: (Number(height) - 44) / 2 + 60,
    });
    expect([place("gone"), place(id)]).toEqual([null, null]);
  });
});
