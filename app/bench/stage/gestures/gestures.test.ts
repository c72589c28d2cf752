import { beforeAll, describe, expect, it } from "vitest";
import type { Id } from "#core/basics";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { restingVariant } from "#core/looks";
import { ROOT } from "#core/project";
import { ENDLESS } from "#core/properties";
import { Bench, benchWith } from "../../../../tests/support/bench";
import { testEnv } from "../../../../tests/support/env";
import { kelpwayKit } from "../../../../demo/index";
import { CardHand } from "./hand";
import { Hurry } from "./hurry";
import type { PageTime } from "./hurry";
import { Marquee } from "./marquee";
import { Move } from "./move";
import { pointingAt, wayFrom } from "./pointing";
import type { CardScene, Pointing } from "./pointing";
import { Resize } from "./resize";
import type { Pull } from "./resize";
import { Round } from "./round";
import { Turn } from "./turn";
import { turned } from "../../commands/turning";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const ZOOM = 2;
const plain = { shift: false, alt: false, ctrl: false };

/** A pointer at a place of the piece, px. */
const at = (x: number, y: number, held: Partial<typeof plain> = {}): Pointing => ({
  x,
  y,
  screenX: x * ZOOM,
  screenY: y * ZOOM,
  ...plain,
  ...held,
});

const cardOf = (bench: Bench): CardScene => ({
  env,
  variant: restingVariant(bench.piece),
  placed: bench.scene,
  zoom: ZOOM,
});

/** A bench with two boxes in a free piece of 200 × 120. */
const twoBoxes = () =>
  benchWith(env, (b) => {
    b.look({}, ROOT, { width: 200, height: 120 });
    const one = b.layer("box", { x: 10, y: 10, width: 40, height: 30 });
    const two = b.layer("box", { x: 100, y: 60, width: 60, height: 30 });
    return { one, two };
  });

/** A bench with a row of two boxes. */
const rowOfTwo = () =>
  benchWith(env, (b) => {
    b.look({}, ROOT, { width: 200, height: 120, arrange: "row" });
    const one = b.layer("box", { width: 40, height: 30 });
    b.layer("box", { width: 40, height: 30 });
    return { one };
  });

const placeOf = (bench: Bench, id: Id) => {
  const { x, y } = bench.values(id);
  return { x, y };
};
const sizeOf = (bench: Bench, id: Id) => {
  const { width, height } = bench.values(id);
  return { width, height };
};

describe("a pointer on a card", () => {
  it("is told in px of the piece, with the keys that are held", () => {
    const event = { clientX: 130, clientY: 90, shiftKey: true, altKey: false };
    const held = { ...event, ctrlKey: false, metaKey: true };
    const pointing = pointingAt(held, { left: 30, top: 50 }, 2);
    expect(pointing).toMatchObject({ x: 50, y: 20, shift: true, alt: false, ctrl: true });
    const before = { ...pointing, screenX: 100, screenY: 100 };
    expect(wayFrom(before, pointing, 2)).toEqual([15, -5]);
  });
});

describe("moving layers", () => {
  const moved = (to: Pointing, start = at(20, 20)) => {
    const { bench, made } = twoBoxes();
    bench.state.choose([made.one]);
    const move = new Move(bench.workpiece, bench.edits, cardOf(bench), start);
    move.to(to);
    return { bench, made, move };
  };

  it("goes by whole px, as one step of undo", () => {
    const { bench, made, move } = moved(at(27.4, 33.2, { ctrl: true }));
    expect(placeOf(bench, made.one)).toEqual({ x: 17, y: 23 });
    expect(bench.state.editing).toBe(true);
    move.to(at(30, 40, { ctrl: true }));
    move.end();
    expect(placeOf(bench, made.one)).toEqual({ x: 20, y: 30 });
    expect(bench.state).toMatchObject({ editing: false, marks: null });
    bench.undo();
    expect(placeOf(bench, made.one)).toEqual({ x: 10, y: 10 });
  });

  it("keeps to one direction with Shift, the one that is gone further", () => {
    const { bench, made } = moved(at(60, 28, { shift: true, ctrl: true }));
    expect(placeOf(bench, made.one)).toEqual({ x: 50, y: 10 });
  });

  it("catches the edges of what lies beside it, and shows where", () => {
    // its left edge comes within two px of the other's
    const { bench, made } = moved(at(108, 20));
    expect(placeOf(bench, made.one).x).toBe(100);
    expect(bench.state.marks?.guides).not.toHaveLength(0);
    expect(bench.state.marks?.readout?.text).toBe("100, 10");
  });

  it("lets nothing catch with Ctrl", () => {
    const { bench, made } = moved(at(108, 20, { ctrl: true }));
    expect(placeOf(bench, made.one).x).toBe(98);
  });

  it("drags a copy with Alt, and leaves the original", () => {
    const start = at(20, 20, { alt: true });
    const { bench, made, move } = moved(at(50, 60, { alt: true, ctrl: true }), start);
    move.end();
    const [copy = ""] = bench.state.chosen;
    expect(copy).not.toBe(made.one);
    expect(placeOf(bench, made.one)).toEqual({ x: 10, y: 10 });
    expect(placeOf(bench, copy)).toEqual({ x: 40, y: 50 });
  });

  it("is taken back as if it had not begun", () => {
    const { bench, made, move } = moved(at(50, 60, { ctrl: true }));
    move.cancel();
    expect(placeOf(bench, made.one)).toEqual({ x: 10, y: 10 });
    expect(bench.workpiece.session.undoLabel).toBeNull();
    expect(bench.state.editing).toBe(false);
  });

  it("leaves what its box arranges where it is, and says why", () => {
    const { bench, made } = rowOfTwo();
    bench.state.choose([made.one]);
    const move = new Move(bench.workpiece, bench.edits, cardOf(bench), at(5, 5));
    move.to(at(60, 60));
    move.end();
    expect(bench.workpiece.session.undoLabel).toBeNull();
    expect(bench.state.hint?.text).toContain("lays out its layers in a row");
  });
});

describe("going round layers", () => {
  it("chooses those it touches, but none that is locked", () => {
    const { bench, made } = twoBoxes();
    const marquee = new Marquee(bench.workpiece, cardOf(bench), at(120, 100));
    marquee.to(at(90, 70));
    expect(bench.state.chosen).toEqual([made.two]);
    expect(bench.state.marks?.marquee).toEqual({ x: 90, y: 70, width: 30, height: 30 });
    marquee.to(at(5, 5));
    expect(bench.state.chosen).toEqual([made.one, made.two]);
    marquee.end();
    expect(bench.state.marks).toBeNull();
  });
});

describe("resizing", () => {
  const pull: Pull = {
    direction: [1, 1],
    growth: [0, 0],
    ratio: false,
    centred: false,
    free: true,
  };
  const pulled = (ids: (made: { one: Id; two: Id }) => Id[], part: Partial<Pull>) => {
    const { bench, made } = twoBoxes();
    const resize = new Resize(bench.workpiece, bench.edits, cardOf(bench), ids(made));
    resize.to({ ...pull, ...part }, bench.scene);
    return { bench, made, resize };
  };

  it("grows by the pulled edges alone", () => {
    const { bench, made } = pulled((m) => [m.one], { direction: [1, 0], growth: [15, 9] });
    expect(sizeOf(bench, made.one)).toEqual({ width: 55, height: 30 });
    expect(placeOf(bench, made.one)).toEqual({ x: 10, y: 10 });
    expect(bench.state.marks?.readout?.text).toBe("55 × 30");
  });

  it("moves the place when left and top are pulled", () => {
    const { bench, made } = pulled((m) => [m.one], { direction: [-1, -1], growth: [5, 4] });
    expect(sizeOf(bench, made.one)).toEqual({ width: 45, height: 34 });
    expect(placeOf(bench, made.one)).toEqual({ x: 5, y: 6 });
  });

  it("keeps the proportions with Shift, and the middle with Alt", () => {
    const ratio = pulled((m) => [m.one], { growth: [40, 0], ratio: true });
    expect(sizeOf(ratio.bench, ratio.made.one)).toEqual({ width: 80, height: 60 });
    const middle = pulled((m) => [m.one], { direction: [1, 0], growth: [10, 0], centred: true });
    expect(sizeOf(middle.bench, middle.made.one).width).toBe(60);
    expect(placeOf(middle.bench, middle.made.one).x).toBe(0);
  });

  it("catches the edges of others unless it is free", () => {
    // the right edge at 98 is two px from the other box
    const part = { direction: [1, 0] as const, growth: [48, 0] as const };
    const caught = pulled((m) => [m.one], { ...part, free: false });
    expect(sizeOf(caught.bench, caught.made.one).width).toBe(90);
    expect(caught.bench.state.marks?.guides).not.toHaveLength(0);
    const free = pulled((m) => [m.one], part);
    expect(sizeOf(free.bench, free.made.one).width).toBe(88);
  });

  it("keeps places and sizes of several in the frame around them", () => {
    // the frame is 150 × 80, and becomes twice as large
    const { bench, made } = pulled((m) => [m.one, m.two], { growth: [150, 80] });
    expect(sizeOf(bench, made.one)).toEqual({ width: 80, height: 60 });
    expect(placeOf(bench, made.one)).toEqual({ x: 10, y: 10 });
    expect(sizeOf(bench, made.two)).toEqual({ width: 120, height: 60 });
    expect(placeOf(bench, made.two)).toEqual({ x: 190, y: 110 });
  });

  it("is one step of undo, and can be taken back", () => {
    const { bench, made, resize } = pulled((m) => [m.one], { growth: [10, 10] });
    resize.to({ ...pull, growth: [20, 20] }, bench.scene);
    resize.end();
    bench.undo();
    expect(sizeOf(bench, made.one)).toEqual({ width: 40, height: 30 });
    const other = pulled((m) => [m.one], { growth: [10, 10] });
    other.resize.cancel();
    expect(sizeOf(other.bench, other.made.one)).toEqual({ width: 40, height: 30 });
  });
});

describe("turning", () => {
  it("goes by whole degrees; the eighths catch, with Shift steps of 15", () => {
    expect([turned(31.4, false), turned(43, false), turned(31.4, true)]).toEqual([31, 45, 30]);
    const { bench, made } = twoBoxes();
    const turn = new Turn(bench.workpiece, bench.edits, cardOf(bench), made.one);
    turn.to(20, false);
    expect(bench.values(made.one).rotation).toBe(20);
    expect(bench.state.marks?.readout?.text).toBe("20°");
    turn.to(88, false);
    turn.end();
    expect(bench.values(made.one).rotation).toBe(90);
    bench.undo();
    expect(bench.values(made.one).rotation).toBe(0);
  });
});

describe("rounding corners", () => {
  const boxIn = (scene: LayoutBox, id: Id): LayoutBox => {
    const found = scene.children.find((c) => c.layer.id === id);
    if (!found) throw new Error("no box");
    return found;
  };
  const rounded = (to: Pointing, corner = 0) => {
    const { bench, made } = twoBoxes();
    const card = cardOf(bench);
    const box = boxIn(card.placed, made.one);
    const round = new Round(bench.workpiece, bench.edits, card, box, corner, at(10, 10));
    round.to(to);
    return bench.values(made.one).radius;
  };

  it("rounds all by a knob, with Alt that one, and at its end for ever", () => {
    expect(rounded(at(16, 16))).toEqual([6, 6, 6, 6]);
    expect(rounded(at(16, 16, { alt: true }))).toEqual([6, 0, 0, 0]);
    // the knob at the bottom right goes inwards by going up and left
    expect(rounded(at(2, 2), 2)).toEqual([8, 8, 8, 8]);
    expect(rounded(at(60, 60))).toEqual([ENDLESS, ENDLESS, ENDLESS, ENDLESS]);
  });
});

/** Time that a test winds by hand. */
class HandTime implements PageTime {
  time = 0;
  private waiting: { readonly due: number; readonly call: () => void }[] = [];
  readonly now = () => this.time;
  readonly after = (ms: number, call: () => void) => {
    const timer = { due: this.time + ms, call };
    this.waiting.push(timer);
    return () => {
      this.waiting = this.waiting.filter((t) => t !== timer);
    };
  };
  readonly soon = (call: () => void) => call();

  wind(ms: number): void {
    this.time += ms;
    const due = this.waiting.filter((t) => t.due <= this.time);
    this.waiting = this.waiting.filter((t) => t.due > this.time);
    for (const timer of due) timer.call();
  }
}

describe("a hand on a card", () => {
  const hand = (of = twoBoxes()) => {
    const drawn: LayoutBox[] = [];
    const time = new HandTime();
    const own = new CardHand(
      of.bench.workpiece,
      of.bench.edits,
      (card) => new Hurry(of.bench.workpiece, card, (scene) => drawn.push(scene), time),
    );
    return { ...of, own, drawn, time, card: cardOf(of.bench) };
  };

  it("chooses what is pressed; a press on the ground chooses the whole piece", () => {
    const { bench, made, own, card } = hand();
    own.down(at(20, 20), card);
    expect(bench.state.chosen).toEqual([made.one]);
    own.up();
    own.down(at(120, 70, { shift: true }), card);
    expect(bench.state.chosen).toEqual([made.one, made.two]);
    own.up();
    own.down(at(190, 5), card);
    expect(bench.state.chosen).toEqual([ROOT]);
  });

  it("does not move at the first tremble, and then follows the hand", () => {
    const { bench, made, own, card, drawn } = hand();
    own.down(at(20, 20), card);
    own.move(at(21, 20), card);
    expect(own.moving).toBe(false);
    own.move(at(40, 35, { ctrl: true }), card);
    expect(own.moving).toBe(true);
    expect(drawn).toHaveLength(1);
    own.up();
    expect(placeOf(bench, made.one)).toEqual({ x: 30, y: 25 });
    expect(own.escape()).toBe(false);
  });

  it("gives a drag back with Esc", () => {
    const { bench, made, own, card } = hand();
    own.down(at(20, 20), card);
    own.move(at(60, 60), card);
    expect(own.escape()).toBe(true);
    expect(placeOf(bench, made.one)).toEqual({ x: 10, y: 10 });
    own.move(at(80, 80), card);
    expect(placeOf(bench, made.one)).toEqual({ x: 10, y: 10 });
  });

  it("goes round layers from the ground", () => {
    const { bench, made, own, card } = hand();
    own.down(at(90, 50), card);
    own.move(at(170, 100), card);
    expect(bench.state.chosen).toEqual([made.two]);
    own.up();
    expect(bench.state.marks).toBeNull();
  });

  it("shows distances with Alt while nothing is pressed", () => {
    const { bench, made, own, card } = hand();
    bench.state.choose([made.one]);
    own.move(at(120, 70, { alt: true }), card);
    expect(bench.state.marks?.gaps).not.toHaveLength(0);
    own.leave();
    expect(bench.state.marks).toBeNull();
  });

  it("chooses the card it is on, and goes one level further in", () => {
    const bench = new Bench(env, kelpwayKit(), "alert-switch");
    const on = { alerts: "alerts-on", pressed: "pressed-no" };
    const own = new CardHand(bench.workpiece, bench.edits, (card) => {
      return new Hurry(bench.workpiece, card, () => undefined, new HandTime());
    });
    const placed = bench.workpiece.scenes.get("alerts-on.pressed-no");
    if (!placed) throw new Error("no card");
    const toggle = placed.children.find((c) => c.layer.id === "toggle");
    const middle = at((toggle?.x ?? 0) + 40, (toggle?.y ?? 0) + 18);
    const card = { env, variant: on, placed, zoom: ZOOM };
    own.down(middle, card);
    own.up();
    expect(bench.state.variant).toEqual(on);
    expect(bench.state.chosen).toEqual(["toggle"]);
    expect(own.goIn(middle, card)).toBe("knob");
  });
});

describe("a drag that is painted at once", () => {
  it("tells the rest of the bench as often as that is cheap, and at the end in any case", () => {
    const { bench, made } = twoBoxes();
    const time = new HandTime();
    const { session } = bench.workpiece;
    let told = 0;
    session.subscribe(() => {
      told++;
      // a render that takes long
      time.time += 20;
    });
    const hurry = new Hurry(bench.workpiece, cardOf(bench), () => undefined, time);
    const step = (x: number) => {
      session.pause();
      bench.edits.set({ [made.one]: { x } }, "drag");
      const before = told;
      hurry.paint();
      return told > before;
    };
    expect(step(11)).toBe(true);
    // the pause is sixteen times as long as that took
    time.wind(100);
    expect(step(12)).toBe(false);
    // a hand that rests is told of in any case, and that took as long again
    const before = told;
    time.wind(120);
    expect(told).toBe(before + 1);
    time.wind(400);
    expect(step(13)).toBe(true);
    step(14);
    hurry.end();
    expect(session.displayed).toBe(session.project);
  });
});
