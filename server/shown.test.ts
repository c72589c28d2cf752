import { afterEach, describe, expect, it } from "vitest";
import { isShownKey, shownAddress } from "#server";

afterEach(() => {
  delete process.env.NUBBLE_PLAY_ORIGIN;
  delete process.env.NUBBLE_PLAY_SECRET;
});
const show = (secret: string) => {
  process.env.NUBBLE_PLAY_ORIGIN = "http://192.0.2.7:4320";
  process.env.NUBBLE_PLAY_SECRET = secret;
};
const keyIn = (address: string | null) => address?.split("/").at(-1) ?? "";

describe("the address at which a project is shown", () => {
  it("is there only where projects are shown at all", () => {
    expect(shownAddress("harbour")).toBeNull();
    expect(isShownKey("harbour", "")).toBe(false);
  });

  it("has a key that opens this project, no other, and not after the secret has changed", () => {
    show("one");
    const address = shownAddress("harbour");
    expect(address).toMatch(/^http:\/\/192\.0\.2\.7:4320\/shown\/harbour\/[\w-]{43}$/);
    const key = keyIn(address);
    expect(isShownKey("harbour", key)).toBe(true);
    expect(isShownKey("quay", key)).toBe(false);
    expect(isShownKey("harbour", key.slice(1))).toBe(false);
    expect(isShownKey("harbour", `ä${key.slice(1)}`)).toBe(false);
    show("another");
    expect(isShownKey("harbour", key)).toBe(false);
  });
});
