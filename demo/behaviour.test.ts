import { beforeAll, describe, expect, it } from "vitest";
import { eventText } from "#core/describe";
import { spotAt, spotBounds } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { brokenRule } from "#core/machine";
import type { Project } from "#core/project";
import { Run } from "#core/runtime";
import { kelpwayKit } from "./index";
import { testEnv } from "../tests/support/env";

let env: LayoutEnv;
let kit: Project;
beforeAll(async () => {
  env = await testEnv();
  kit = kelpwayKit();
});

/** Someone who uses a running part with a pointer and keys; layers by their path. */
const user = (piece: string) => {
  const told: string[] = [];
  const run = new Run(env, kit, piece, (event) => {
    const text = eventText(kit, event)?.text;
    if (text) told.push(text);
  });
  const at = (path: string): [number, number] => {
    const scene = run.scene();
    const spot = scene && spotAt(scene, path);
    if (!spot) throw new Error(`${path} is not there`);
    const r = spotBounds(spot);
    return [r.x + r.width / 2, r.y + r.height / 2];
  };
  const me = {
    run,
    told,
    over: (path: string) => {
      run.pointer("move", ...at(path));
      return me;
    },
    off: () => {
      run.pointer("move", -500, -500);
      return me;
    },
    down: (path: string) => {
      run.pointer("move", ...at(path));
      run.pointer("down", ...at(path));
      return me;
    },
    up: (path: string) => {
      run.pointer("up", ...at(path));
      return me;
    },
    click: (path: string) => me.down(path).up(path),
    wait: (ms: number) => {
      run.advanceTo(run.now + ms);
      return me;
    },
    key: (k: string) => {
      run.key(k, "down");
      run.key(k, "up");
      return me;
    },
    /** values of the piece's traits, or of a copy's */
    has: (copy = "") =>
      Object.values(
        run.copies().find((c) => c.path === (copy ? `${piece}/${copy}` : piece))?.variant ?? {},
      )
        .map((v) => v.slice(v.indexOf("-") + 1))
        .join(" "),
  };
  return me;
};

describe("behaviour of the kit", () => {
  it("has no broken rule", () => {
    const broken = Object.values(kit.pieces).flatMap((p) =>
      Object.values(p.rules).flatMap((r) => brokenRule(kit, p, r) ?? []),
    );
    expect(broken).toEqual([]);
    expect(
      Object.values(kit.pieces).reduce((n, p) => n + Object.keys(p.rules).length, 0),
    ).toBeGreaterThan(25);
  });

  it("Menu button: hovered, pressed and focused give way to one another and all end; a press moved off does not turn it", () => {
    const me = user("menu-button");
    expect(me.over("body").has()).toBe("no hovered");
    expect(me.down("body").has()).toBe("no pressed");
    expect(me.up("body").has()).toBe("yes hovered");
    expect(me.off().has()).toBe("yes none");
    expect(me.down("body").off().has()).toBe("yes pressed");
    me.run.pointer("up", -500, -500);
    expect(me.has()).toBe("yes none");
    // the press has brought the focus here without showing it: a key shows it
    me.key("ArrowDown");
    expect(me.has()).toBe("yes focused");
    me.run.key(" ", "down");
    expect(me.has()).toBe("yes pressed");
    me.run.key(" ", "up");
    expect(me.has()).toBe("no focused");
    expect(me.run.tab(1)).toBe(false);
    expect(me.has()).toBe("no none");
  });

  it("Deck tabs: one tab at a time, also in the middle of the slide, and with arrows round for ever", () => {
    const me = user("deck-tabs");
    expect(me.click("saloon-tab").wait(100).click("sun-tab").has()).toBe("sun");
    expect(me.wait(1000).run.wakesAt()).toBe(Infinity);
    expect(me.key("ArrowRight").has()).toBe("car");
    expect(me.key("ArrowLeft").key("ArrowLeft").has()).toBe("saloon");
  });

  it("Seat plan: the chooser inside says which side, and the plan leans towards it", () => {
    const me = user("seat-plan");
    me.click("chooser/starboard").wait(600);
    expect([me.has(), me.has("chooser")]).toEqual(["starboard", "starboard"]);
    expect(me.told).toEqual(
      expect.arrayContaining([
        "Side chooser: sends starboard",
        "Side chooser sends starboard → Side Starboard · tween 320 ms ease-in-out",
      ]),
    );
    expect([me.click("chooser/port").has(), me.has("chooser")]).toEqual(["port", "port"]);
  });

  it("Fare panel: the switch inside changes it, and shows it, however often and fast", () => {
    const me = user("fare-panel");
    for (let i = 1; i <= 5; i++) {
      me.click("switch").wait(60);
      expect([me.has(), me.has("switch")]).toEqual(
        i % 2 ? ["season-pass", "on no"] : ["single-trip", "off no"],
      );
    }
    // pressed and moved off, the panel stays as it is
    me.down("switch").off();
    me.run.pointer("up", -500, -500);
    expect(me.has()).toBe("season-pass");
  });

  it("Harbour dock bar: the disc goes to whatever icon is chosen, also when another is chosen on the way", () => {
    const me = user("harbour-dock-bar");
    const disc = () => {
      const scene = me.run.scene();
      const spot = scene && spotAt(scene, "disc");
      return spot ? spotBounds(spot).x : NaN;
    };
    const from = disc();
    me.click("crew").wait(120);
    expect(disc()).toBeGreaterThan(from + 20);
    expect(me.click("map").wait(1000).has()).toBe("map");
    expect(disc()).toBeLessThan(from + 200);
    // a finger that is off by a thumb's width still finds the icon
    const scene = me.run.scene();
    const home = scene && spotAt(scene, "home");
    if (!home) throw new Error("no home");
    const r = spotBounds(home);
    const x = r.x - 15;
    const y = r.y + r.height + 15;
    for (const kind of ["move", "down", "up"] as const) me.run.pointer(kind, x, y);
    expect(me.wait(1000).has()).toBe("home");
    expect(disc()).toBeCloseTo(from, 1);
  });

  it("Send ticket button: fills, goes, and the tick comes when that has settled; clicks meanwhile do nothing", () => {
    const me = user("send-ticket-button");
    expect(me.over("body").has()).toBe("no hovered");
    expect(me.click("body").has()).toBe("going none");
    expect(me.wait(200).click("body").wait(219).has()).toBe("going none");
    expect(me.wait(1).has()).toBe("yes none");
    expect(me.wait(5000).off().has()).toBe("yes none");
    expect(me.told.filter((t) => t.includes("settled"))).toHaveLength(1);
  });

  it("Pier pin, crew chat and notice answer, and a notice says when it is closed", () => {
    const pin = user("pier-pin");
    expect(pin.click("pin").has()).toBe("open");
    expect(pin.wait(400).click("pin").has()).toBe("closed");
    const pier = user("saltholm-pier");
    pier.click("gull/pin").wait(500);
    expect([pier.has("gull"), pier.has("saltholm")]).toEqual(["open", "open"]);
    pier.click("crew").wait(500).click("chat/go").wait(500);
    expect([pier.has(), pier.has("chat")]).toEqual(["open", "answered"]);
    // what lies under the chat is not reached through it
    expect(pier.click("gull/pin").has("gull")).toBe("open");
    expect(pier.click("crew").wait(500).click("gull/pin").has("gull")).toBe("closed");
    const notice = user("service-notice");
    expect(notice.key("Escape").told).toContain("sends closed");
    expect(notice.click("close").told.filter((t) => t === "sends closed")).toHaveLength(2);
    expect(notice.click("send").wait(700).has()).toBe("yes");
    expect(notice.told).toContain("sends sent");
  });

  it("Board-now and Follow crossing buttons sink and rise; leaving early leaves nothing behind", () => {
    const board = user("board-now-button");
    expect(board.down("body").has()).toBe("pressed");
    expect(board.up("body").has()).toBe("hovered");
    expect(board.off().wait(2000).has()).toBe("none");
    const follow = user("follow-crossing-button");
    expect(follow.down("body").off().has()).toBe("no yes");
    follow.run.pointer("up", -500, -500);
    expect(follow.has()).toBe("no no");
    expect(follow.click("body").has()).toBe("yes no");
  });
});
