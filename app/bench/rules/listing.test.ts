import { describe, expect, it } from "vitest";
import { kelpwayKit } from "../../../demo/index";
import { becomes, Builder } from "../../../tests/support/pieces";
import { listed } from "./listing";
import { readingOrder } from "../dialogs/readingOrder";

const words = (groups: ReturnType<typeof listed>) =>
  groups.map((g) => `${g.name}: ${g.rules.map((r) => r.id).join(" ")}`);

describe("the list of rules", () => {
  const piece = kelpwayKit().pieces["send-ticket-button"] as never;

  it("is as it is ordered, or grouped by layer or trigger", () => {
    expect(words(listed(piece, { layers: null, variant: null, grouping: "order" }))).toEqual([
      ": hover send arrive",
    ]);
    expect(words(listed(piece, { layers: null, variant: null, grouping: "layer" }))).toEqual([
      "Body: hover send",
      "The whole piece: arrive",
    ]);
    expect(words(listed(piece, { layers: null, variant: null, grouping: "trigger" }))).toEqual([
      "Is hovered: hover",
      "Is clicked: send",
      "Settles: arrive",
    ]);
  });

  it("can be kept to what concerns layers, copies they set included, and to what may fire in a variant", () => {
    expect(words(listed(piece, { layers: ["root"], variant: null, grouping: "order" }))).toEqual([
      ": arrive",
    ]);
    expect(
      words(
        listed(piece, {
          layers: null,
          variant: { sent: "sent-no", contact: "contact-none" },
          grouping: "order",
        }),
      ),
    ).toEqual([": hover send"]);
    expect(listed(piece, { layers: ["label"], variant: null, grouping: "layer" })).toEqual([]);
    const b = new Builder();
    b.new("component", "Berth");
    const lit = b.trait("Lit", "no", "yes");
    const berth = b.at;
    b.new("screen", "Quay");
    const copy = b.layer("instance", { component: berth });
    const button = b.layer("box");
    const set = b.rule({
      source: button,
      effects: [{ type: "nested", layer: copy, trait: lit.id, to: { value: lit.v.yes as string } }],
    });
    const seen = b.trait("Seen", "no", "yes");
    b.rule({ source: button, effects: [becomes(seen.id, seen.v.yes as string)] });
    expect(
      listed(b.piece, { layers: [copy], variant: null, grouping: "order" })[0]?.rules.map(
        (r) => r.id,
      ),
    ).toEqual([set]);
  });

  it("layers are read along the side on which they lie further apart", () => {
    const at = (x: number, y: number) => ({ x, y, width: 20, height: 20 });
    expect(
      readingOrder(
        ["c", "a", "b"],
        new Map([
          ["a", at(0, 5)],
          ["b", at(40, 0)],
          ["c", at(80, 9)],
        ]),
      ),
    ).toEqual(["a", "b", "c"]);
    expect(
      readingOrder(
        ["a", "b"],
        new Map([
          ["a", at(9, 50)],
          ["b", at(0, 0)],
        ]),
      ),
    ).toEqual(["b", "a"]);
    expect(readingOrder(["gone", "a"], new Map([["a", at(9, 50)]]))).toContain("gone");
  });
});
