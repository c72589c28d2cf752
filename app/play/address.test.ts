import { describe, expect, it } from "vitest";
import { kelpwayKit } from "../../demo/index";
import { addressOf, presentedIn } from "./address";

const kit = kelpwayKit();
const search = (address: string) => new URLSearchParams(address.split("?")[1] ?? "");

describe("the address of a state", () => {
  it("leads back to it, whatever its names have become", () => {
    const shown = {
      screen: "trip-settings",
      overlays: ["notice"],
      traits: [{ at: "dock", trait: "alerts", value: "on" }],
    };
    const address = addressOf(kit, shown);
    expect(address).toMatch(/^\/trip-settings\/Trip-settings\?over=notice/);
    expect(presentedIn(kit, "trip-settings", search(address))).toEqual(shown);
    const renamed = address.replace(/%2C[^&]*/g, "%2Canything");
    expect(presentedIn(kit, "trip-settings", search(renamed))).toEqual(shown);
  });

  it("of a screen as it starts is only its id and name", () => {
    expect(addressOf(kit, { screen: "ticket", overlays: [], traits: [] })).toBe("/ticket/Ticket");
  });

  it("leaves out what it cannot mean", () => {
    const asked =
      "?over=gone&over=__proto__&over=alert-switch&set=a&set=a:b&set=::&set=:t:v,x&set=";
    expect(presentedIn(kit, "ticket", search(asked))).toEqual({
      screen: "ticket",
      overlays: [],
      traits: [{ at: "", trait: "t", value: "v" }],
    });
    const many = `?${Array.from({ length: 5000 }, (_, i) => `set=:t:${i}`).join("&")}`;
    expect(presentedIn(kit, "ticket", search(many)).traits).toHaveLength(200);
  });
});
