import { describe, expect, it } from "vitest";
import { sendsForms } from "#core/edit";
import { kelpwayKit } from "../../demo/index";

const kit = kelpwayKit();

describe("where forms can be sent", () => {
  it.each([
    ["service-notice", "the form itself", true],
    ["notice", "a screen that has it", true],
    ["trip-settings", "a screen that opens that over itself", true],
    ["alert-switch", "a component without one", false],
  ])("%s: %s", (id, _, sends) => {
    expect(sendsForms(kit, id)).toBe(sends);
  });

  it("not in a project without forms", () => {
    const { "service-notice": _, ...pieces } = kit.pieces;
    expect(sendsForms({ ...kit, pieces }, "trip-settings")).toBe(false);
  });
});
