import { describe, expect, it } from "vitest";
import { inTheme, themeOf } from "#core/looks";
import { kelpwayKit } from "../../demo/index";
import { addressOf, presentedIn, themeIn } from "./address";

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

  it("says the theme it is shown in, unless that is the usual one", () => {
    const shown = { screen: "ticket", overlays: [], traits: [] };
    const address = addressOf(inTheme(kit, { theme: "night" }), shown);
    expect(address).toBe("/ticket/Ticket?theme=theme%3Anight%2CTheme-night");
    expect(themeIn(search(address))).toEqual({ theme: "night" });
    expect(themeIn(search("/ticket/Ticket"))).toBeNull();
    const meant = themeIn(search("?theme=&theme=x&theme=__proto__:y&theme=theme:dusk")) ?? {};
    expect(themeOf(inTheme(kit, meant))).toEqual({ theme: "day", density: "calm" });
  });

  it("says a usual theme, too, where it was asked for", () => {
    const shown = { screen: "ticket", overlays: [], traits: [] };
    const asked = { theme: "day", gone: "x" };
    expect(addressOf(inTheme(kit, asked), shown, asked)).toBe(
      "/ticket/Ticket?theme=theme%3Aday%2CTheme-day",
    );
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
