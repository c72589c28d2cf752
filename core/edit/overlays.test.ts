import { describe, expect, it } from "vitest";
import { overlaysOf } from "#core/edit";
import { kelpwayKit } from "../../demo/index";

const kit = kelpwayKit();

describe("overlays", () => {
  it("are the screens that rules open over others, also rules of what is placed there", () => {
    expect(overlaysOf(kit).map(({ piece, over }) => [piece.id, over.id])).toEqual([
      ["notice", "trip-settings"],
    ]);
  });
});
