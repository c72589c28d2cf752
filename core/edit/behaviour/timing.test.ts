import { describe, expect, it } from "vitest";
import {
  addRule,
  cascaded,
  compareTimes,
  copyLanes,
  copyRules,
  followMotion,
  giveMotion,
  lastWiring,
  mergeTokens,
  motionGroups,
  motionUsesOf,
  pasteLanes,
  pasteRules,
  readLanes,
  removeToken,
  saveMotion,
  setEffectMotion,
  setMotions,
  tokenFindings,
  withLane,
  withoutLane,
  withoutPose,
  withPose,
} from "#core/edit";
import { rulesOf } from "#core/machine";
import { laneOf, timingOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import type { Motion, Token } from "#core/project";
import { Builder, goes } from "../../../tests/support/pieces";
import { unlike } from "./motions";

const plain: Motion = { kind: "tween", duration: 200, delay: 0, easing: "linear" };
const knob: LaneName = { layer: "knob", key: null };
const turn: LaneName = { layer: "knob", key: "rotation" };

describe("a motion for several rules", () => {
  it("is given with its kind, time and curve; each rule keeps its own lanes unless those are given, too", () => {
    const b = new Builder();
    b.new("component", "Lamp");
    const lit = b.trait("Lit", "no", "yes");
    const [one, two, three] = [plain, withLane(plain, knob, { delay: 40 }), plain].map((motion) =>
      b.rule({ effects: [goes(lit.id, "opposite")], motion }),
    ) as [string, string, string];
    const given: Motion = {
      kind: "fade",
      duration: 90,
      delay: 10,
      easing: "ease-out",
      lanes: [{ layer: "hood", key: null, delay: 5, duration: 50, easing: "linear" }],
    };
    b.do(giveMotion(b.piece, [one, two], given, false));
    expect([one, two, three].map((id) => b.piece.rules[id]?.motion)).toEqual([
      { kind: "fade", duration: 90, delay: 10, easing: "ease-out" },
      {
        kind: "fade",
        duration: 90,
        delay: 10,
        easing: "ease-out",
        lanes: [{ ...knob, delay: 40, duration: 200, easing: "linear" }],
      },
      plain,
    ]);
    b.do(giveMotion(b.piece, [two], given, true));
    expect(b.piece.rules[two]?.motion).toEqual(given);
  });

  it("of one effect is changed without touching the others", () => {
    const b = new Builder();
    b.new("component", "Lamp");
    const lit = b.trait("Lit", "no", "yes");
    const id = b.rule({
      effects: [goes(lit.id, "opposite"), { ...goes(lit.id, "next"), motion: plain }],
      motion: plain,
    });
    b.do(setEffectMotion(b.piece, id, 1, { ...plain, duration: 700 }));
    expect([
      b.piece.rules[id]?.motion,
      ...(b.piece.rules[id]?.effects.map((e) => e.motion) ?? []),
    ]).toEqual([plain, undefined, { ...plain, duration: 700 }]);
    expect(setEffectMotion(b.piece, "gone", 0, plain).ops).toEqual([]);
  });
});

describe("lanes of a motion", () => {
  it("a layer or property goes with what is around it until it gets a lane, and again when that is taken away", () => {
    expect(timingOf(plain, turn)).toMatchObject({ delay: 0, duration: 200, easing: "linear" });
    const own = withLane(withLane(plain, knob, { delay: 40 }), turn, { duration: 80 });
    expect([timingOf(own, turn), timingOf(own, { layer: "knob", key: "x" }).delay]).toMatchObject([
      { delay: 40, duration: 80 },
      40,
    ]);
    expect(withLane(own, knob, { delay: 90 }).lanes).toHaveLength(2);
    expect(withoutLane(withoutLane(own, knob), turn)).toEqual(plain);
  });

  it("poses stay in order of time, one at a moment", () => {
    const posed = [0.7, 0.2, 0.4, 0.201].reduce(
      (m, at, i) => withPose(m, turn, { at, value: i, easing: "ease" }),
      plain,
    );
    expect(laneOf(posed, turn)?.poses?.map((p) => [p.at, p.value])).toEqual([
      [0.201, 3],
      [0.4, 2],
      [0.7, 0],
    ]);
    expect(laneOf(withoutPose(posed, turn, 0), turn)?.poses).toHaveLength(2);
    expect(
      laneOf(
        withoutPose(withPose(plain, turn, { at: 0.5, value: 1, easing: "ease" }), turn, 0),
        turn,
      )?.poses,
    ).toBeUndefined();
  });

  it("cascades from the first, the last, the middle, or by where layers are", () => {
    const names = ["a", "b", "c", "d"].map((layer): LaneName => ({ layer, key: null }));
    const at: Record<string, number> = { a: 30, b: 10, c: 10, d: 20 };
    const delays = (order: "first" | "last" | "middle" | "across") =>
      cascaded(plain, names, 50, order, (l) => ({ x: at[l] ?? 0, y: 0 })).lanes?.map(
        (l) => l.delay,
      );
    expect([delays("first"), delays("last"), delays("middle"), delays("across")]).toEqual([
      [0, 50, 100, 150],
      [150, 100, 50, 0],
      [50, 0, 0, 50],
      [100, 0, 0, 50],
    ]);
    // again, with another interval: it begins where it began
    expect(
      cascaded(
        cascaded(plain, names, 50, "first", () => ({ x: 0, y: 0 })),
        names,
        20,
        "first",
        () => ({ x: 0, y: 0 }),
      ).lanes?.map((l) => l.delay),
    ).toEqual([0, 20, 40, 60]);
  });
});

const lamp = () => {
  const b = new Builder();
  b.new("component", "Lamp");
  const bulb = b.layer("box", { width: 40, height: 40 });
  const lit = b.trait("Lit", "no", "yes");
  const rule = b.rule({ source: bulb, effects: [goes(lit.id, "next")], motion: plain });
  return { b, bulb, rule };
};

describe("motions of a project", () => {
  it("are kept with what they name: poses need values of their property, lanes properties that exist", () => {
    const { b, bulb, rule } = lamp();
    const keep = (m: Motion) => () => b.do(setMotions(b.piece, [rule], () => m));
    expect(
      keep(
        withPose(plain, { layer: bulb, key: "rotation" }, { at: 0.5, value: 12, easing: "ease" }),
      ),
    ).not.toThrow();
    expect(
      keep(
        withPose(
          plain,
          { layer: bulb, key: "rotation" },
          { at: 0.5, value: "far", easing: "ease" },
        ),
      ),
    ).toThrow(/a keyframe needs a value/);
    expect(keep(withLane(plain, { layer: bulb, key: "glitter" }, {}))).toThrow(
      /no property “glitter”/,
    );
    expect(
      keep({ ...plain, easing: { kind: "spring", mass: 1, stiffness: 100, damping: 0 } }),
    ).toThrow();
  });

  it("a motion token says duration and curve for all who refer to it, also after it has changed; removed, they keep what it said", () => {
    const { b, rule } = lamp();
    const made = saveMotion(b.project, { duration: 300, easing: "ease-out" }, "Calm");
    b.do(made.change).do(setMotions(b.piece, [rule], (r) => ({ ...r.motion, token: made.id })));
    const motion = () => rulesOf(b.project, b.piece)[0]?.motion;
    expect(motion()).toMatchObject({ duration: 300, easing: "ease-out" });
    b.do({
      label: "x",
      ops: [
        {
          op: "set",
          path: ["tokens", made.id, "value"],
          value: { duration: 90, easing: "linear" },
        },
      ],
    });
    expect(motion()?.duration).toBe(90);
    const token = b.project.tokens[made.id] as Token;
    expect([motionUsesOf(b.project, made.id).length, tokenFindings(b.project).unused]).toEqual([
      1,
      [],
    ]);
    b.do(removeToken(b.project, token));
    expect([motion()?.duration, motion()?.token]).toEqual([90, undefined]);
  });

  it("the timing sheet groups what is alike, finds what is nearly a token, and lets it follow one, own motions of effects too", () => {
    const { b, bulb, rule } = lamp();
    const lit = Object.keys(b.piece.traits)[0] as string;
    const other = b.rule({
      source: bulb,
      trigger: { type: "press" },
      effects: [{ ...goes(lit, "next"), motion: { ...plain, duration: 210 } }],
      motion: plain,
    });
    b.rule({
      source: bulb,
      trigger: { type: "enter" },
      effects: [{ type: "raise", signal: "s" }],
      motion: plain,
    });
    const made = saveMotion(b.project, { duration: 200, easing: "linear" }, "Steady");
    b.do(made.change);
    const groups = () => motionGroups(b.project);
    expect(
      groups().map((g) => [g.value.duration, g.uses.length, g.token, (g.nearest?.off ?? 1) < 0.06]),
    ).toEqual([
      [200, 2, null, true],
      [210, 1, null, true],
    ]);
    b.do(
      followMotion(
        b.project,
        groups().flatMap((g) => g.uses),
        b.project.tokens[made.id] as Token,
      ),
    );
    expect(groups().map((g) => [g.token?.id, g.uses.length])).toEqual([[made.id, 3]]);
    expect([
      b.piece.rules[rule]?.motion.token,
      b.piece.rules[other]?.effects[0]?.motion?.token,
    ]).toEqual([made.id, made.id]);
    expect(
      unlike({ duration: 200, easing: "linear" }, { duration: 200, easing: "ease-in" }),
    ).toBeGreaterThan(0.1);
    // of two equal tokens one stays, and what followed the other follows it
    const twin = saveMotion(b.project, { duration: 200, easing: "linear" }, "Even");
    b.do(twin.change).do(
      mergeTokens(b.project, [
        b.project.tokens[twin.id] as Token,
        b.project.tokens[made.id] as Token,
      ]),
    );
    expect(groups().map((g) => [g.token?.id, g.uses.length])).toEqual([[twin.id, 3]]);
  });

  it("rules copied with their layers take their lanes along", () => {
    const { b, bulb, rule } = lamp();
    b.do(
      setMotions(b.piece, [rule], () => withLane(plain, { layer: bulb, key: null }, { delay: 30 })),
    );
    const clip = copyRules(b.piece, [rule]);
    const other = b.new("component", "Twin");
    const twin = b.layer("box", { width: 10, height: 10 });
    b.trait("Lit", "no", "yes");
    b.do({
      label: "x",
      ops: [
        {
          op: "set",
          path: ["pieces", other, "layers", twin, "name"],
          value: clip.names[bulb] ?? "",
        },
      ],
    });
    const pasted = pasteRules(b.piece, clip);
    b.do(pasted.change);
    expect(b.piece.rules[pasted.ids[0] ?? ""]?.motion.lanes?.map((l) => l.layer)).toEqual([twin]);
  });

  it("the next rule takes over duration and curve, not the lanes, which are of other layers", () => {
    const { b, bulb, rule } = lamp();
    b.do(
      setMotions(b.piece, [rule], () =>
        withLane({ ...plain, easing: "ease-in" }, { layer: bulb, key: null }, { delay: 30 }),
      ),
    );
    const made = addRule(b.piece, {});
    b.do(made.change);
    expect(b.piece.rules[made.id]?.motion).toEqual({ ...plain, easing: "ease-in" });
    expect(lastWiring(b.piece).motion.lanes).toBeUndefined();
  });

  it("the way back is told in words", () => {
    expect([
      compareTimes(plain, { ...plain, duration: 120 }),
      compareTimes(plain, plain),
      compareTimes(plain, withLane(plain, knob, { delay: 100 })),
    ]).toEqual(["Return: 80 ms faster", "Return: same duration", "Return: 100 ms slower"]);
  });
});

describe("copied lanes", () => {
  const lamp = () => {
    const b = new Builder();
    b.new("component", "Lamp");
    const [one, two] = [b.layer("box"), b.layer("ellipse")] as const;
    const motion = withPose(
      withLane(plain, { layer: one, key: null }, { delay: 40 }),
      { layer: two, key: "rotation" },
      { at: 0.5, value: 20, easing: "linear" },
    );
    return { b, one, two, motion };
  };
  const rotation = (layer: string): LaneName => ({ layer, key: "rotation" });

  it("go to another rule with their times and poses, and replace what is there", () => {
    const { b, one, two, motion } = lamp();
    const names = [{ layer: one, key: null }, rotation(two)];
    const clip = readLanes(JSON.stringify(copyLanes(b.piece, motion, names)));
    if (!clip) throw new Error("nothing copied");
    const other = withLane({ ...plain, duration: 900 }, { layer: one, key: null }, { delay: 7 });
    const pasted = pasteLanes(b.piece, other, clip);
    expect(pasted.motion.duration).toBe(900);
    expect(pasted.motion.lanes).toEqual(motion.lanes);
    expect(pasted.made).toEqual(names);
  });

  it("go to another piece by the names of layers, and say what it does not have", () => {
    const { b, one, two, motion } = lamp();
    const clip = copyLanes(b.piece, motion, [{ layer: one, key: null }, rotation(two)]);
    if (!clip) throw new Error("nothing copied");
    b.new("component", "Buoy");
    const ball = b.layer("ellipse");
    const pasted = pasteLanes(b.piece, plain, clip);
    expect(pasted.made).toEqual([rotation(ball)]);
    expect(pasted.lost).toEqual(["Box"]);
  });

  it("are none where nothing was chosen, and no other text is taken for them", () => {
    const { b, motion } = lamp();
    expect(copyLanes(b.piece, motion, [{ layer: "gone", key: null }])).toBeNull();
    expect([readLanes("{}"), readLanes("Board now"), readLanes('{"kind":"nubble-lanes"}')]).toEqual(
      [null, null, null],
    );
  });
});
