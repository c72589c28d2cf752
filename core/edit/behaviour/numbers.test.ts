import { describe, expect, it } from "vitest";
import {
  addToken,
  mergeTokens,
  motionUsesOf,
  numberUsesOf,
  removeToken,
  saveMotion,
  setTokenValue,
  tokenFindings,
  withNumberToken,
  withPose,
  withValueAt,
} from "#core/edit";
import { ruleText } from "#core/describe";
import { nextDue, rulesOf, start } from "#core/machine";
import { readProject } from "#core/project";
import type { Project, Rule, Token, TokenType, Trigger } from "#core/project";
import { Builder, goes } from "../../../tests/support/pieces";

const beacon = () => {
  const b = new Builder();
  b.new("component", "Beacon");
  const lit = b.trait("Lit", "no", "yes");
  const token = (type: TokenType, name: string, value: number): string => {
    const made = addToken(b.project, type, name, value);
    b.do(made.change);
    return made.id;
  };
  const rule = (trigger: Trigger): Rule => {
    const id = b.rule({ trigger, effects: [goes(lit.id, "next")] });
    return b.piece.rules[id] as Rule;
  };
  const follow = (of: Rule, name: "ms" | "travel" | "part", to: string | null): void => {
    const now = b.piece.rules[of.id]?.trigger ?? of.trigger;
    const trigger = withNumberToken(b.project, now, name, to);
    b.do({
      label: "follow",
      ops: [
        {
          op: "set",
          path: ["pieces", b.piece.id, "rules", of.id, "trigger"],
          value: { ...trigger },
        },
      ],
    });
  };
  const now = (of: Rule): Trigger | undefined =>
    rulesOf(b.project, b.piece).find((r) => r.id === of.id)?.trigger;
  const say = (id: string, value: number): void => {
    b.do(setTokenValue(b.project.tokens[id] as Token, value, {}));
  };
  return { b, token, rule, follow, now, say };
};

const firstWait = (project: Project, piece: string): number => nextDue(start(project, piece));

describe("a number of a trigger", () => {
  it("is what its token says, for the running part, its sentence and the checks alike", () => {
    const { b, token, rule, follow, now, say } = beacon();
    const pause = token("duration", "Pause", 400);
    const wait = rule({ type: "delay", ms: 900 });
    follow(wait, "ms", pause);
    expect(now(wait)).toMatchObject({ ms: 400, tokens: { ms: pause } });
    say(pause, 250);
    expect(now(wait)?.ms).toBe(250);
    expect(firstWait(b.project, b.piece.id)).toBe(250);
    expect(ruleText(b.project, b.piece, b.piece.rules[wait.id] as Rule)).toContain("After 250 ms");
    expect(readProject(b.project).ok).toBe(true);
  });

  it("follows only a token of its type whose number can be there", () => {
    const { b, token, rule, follow, now, say } = beacon();
    const far = token("length", "Far", 80);
    const share = token("number", "Share", 0.25);
    const drag = rule({ type: "drag", travel: 120, part: 0.5 });
    follow(drag, "travel", far);
    follow(drag, "part", share);
    expect(now(drag)).toMatchObject({ travel: 80, part: 0.25 });
    expect(withNumberToken(b.project, drag.trigger, "travel", share)).toBe(drag.trigger);
    say(share, 7);
    expect(now(drag)?.part).toBe(0.25);
  });

  it("is said by the rule again, as it is shown, once it follows none", () => {
    const { token, rule, follow, now, say } = beacon();
    const pause = token("duration", "Pause", 400);
    const hold = rule({ type: "hold", ms: 900 });
    follow(hold, "ms", pause);
    say(pause, 250);
    follow(hold, "ms", null);
    expect(now(hold)).toEqual({ type: "hold", ms: 250 });
  });

  it("keeps what it is when its token is deleted, and follows another that it becomes", () => {
    const { b, token, rule, follow, now, say } = beacon();
    const pause = token("duration", "Pause", 400);
    const rest = token("duration", "Rest", 400);
    const wait = rule({ type: "delay", ms: 900 });
    follow(wait, "ms", pause);
    expect(numberUsesOf(b.project, pause)).toEqual([{ piece: b.piece.id, rule: wait.id }]);
    expect(tokenFindings(b.project).unused.map((t) => t.id)).toEqual([rest]);
    b.do(
      mergeTokens(b.project, [b.project.tokens[rest] as Token, b.project.tokens[pause] as Token]),
    );
    expect(now(wait)?.tokens).toEqual({ ms: rest });
    say(rest, 150);
    b.do(removeToken(b.project, b.project.tokens[rest] as Token));
    expect(now(wait)).toEqual({ type: "delay", ms: 150 });
  });

  it("a keyframe's curve follows a token, too, and keeps what it says", () => {
    const { b } = beacon();
    const glide = addToken(b.project, "curve", "Glide", "ease-in");
    b.do(glide.change);
    const [lit] = Object.keys(b.piece.traits);
    const pose = { at: 0.5, value: 12, easing: "linear", token: glide.id } as const;
    const time = { delay: 0, duration: 200, easing: "linear" } as const;
    const lane = { layer: "root", key: "rotation", ...time, poses: [pose] } as const;
    const id = b.rule({
      trigger: { type: "click" },
      effects: [goes(lit ?? "", "next")],
      motion: { kind: "tween", ...time, lanes: [lane] },
    });
    const shown = () =>
      rulesOf(b.project, b.piece).find((r) => r.id === id)?.motion.lanes?.[0]?.poses?.[0];
    expect(shown()).toMatchObject({ easing: "ease-in" });
    expect(tokenFindings(b.project).unused).toEqual([]);
    b.do(removeToken(b.project, b.project.tokens[glide.id] as Token));
    expect(shown()).toMatchObject({ easing: "ease-in", token: undefined });
  });

  it("a keyframe's value follows a token of its kind, through merging and deleting", () => {
    const { b, token, say } = beacon();
    const quarter = token("number", "Quarter", 90);
    const half = token("number", "Half", 180);
    const tint = addToken(b.project, "colour", "Tint", "#1f6f5c");
    b.do(tint.change);
    const name = { layer: "root", key: "rotation" } as const;
    const plain = { kind: "tween", delay: 0, duration: 200, easing: "linear" } as const;
    const curved = withPose(plain, name, { at: 0.5, value: 12, easing: "ease-in" });
    const following = withValueAt(b.project, curved, name, 0.5, { token: quarter });
    expect(following.lanes?.[0]?.poses).toEqual([
      { at: 0.5, value: 90, easing: "ease-in", valueToken: quarter },
    ]);
    expect(withValueAt(b.project, following, name, 0.5, { token: tint.id })).toBe(following);
    expect(withValueAt(b.project, following, name, 0.5, 45).lanes?.[0]?.poses).toEqual([
      { at: 0.5, value: 45, easing: "ease-in" },
    ]);
    const [lit] = Object.keys(b.piece.traits);
    const id = b.rule({
      trigger: { type: "click" },
      effects: [goes(lit ?? "", "next")],
      motion: following,
    });
    const shown = () =>
      rulesOf(b.project, b.piece).find((r) => r.id === id)?.motion.lanes?.[0]?.poses?.[0];
    say(quarter, 100);
    expect(shown()).toMatchObject({ value: 100 });
    expect(motionUsesOf(b.project, quarter)).toHaveLength(1);
    const both = [half, quarter].map((each) => b.project.tokens[each] as Token);
    b.do(mergeTokens(b.project, both));
    expect(shown()).toMatchObject({ value: 180, valueToken: half });
    b.do(removeToken(b.project, b.project.tokens[half] as Token));
    expect(shown()).toEqual({ at: 0.5, value: 180, easing: "ease-in", valueToken: undefined });
  });

  it("of an effect is kept together with the effect's motion", () => {
    const { b, token } = beacon();
    const at = token("duration", "At", 700);
    const calm = saveMotion(b.project, { duration: 300, easing: "ease-out" }, "Calm");
    b.do(calm.change);
    const clip = b.layer("picture", {});
    const [lit] = Object.keys(b.piece.traits);
    const motion = { kind: "tween", duration: 9, delay: 0, easing: "linear" } as const;
    const id = b.rule({
      trigger: { type: "click" },
      effects: [
        { ...goes(lit ?? "", "next"), motion: { ...motion, token: calm.id } },
        { type: "seek", layer: clip, ms: 0, tokens: { ms: at } },
      ],
    });
    const effects = () => rulesOf(b.project, b.piece).find((r) => r.id === id)?.effects;
    expect(effects()?.[1]).toMatchObject({ ms: 700 });
    const tokens = b.project.tokens;
    b.do(removeToken(b.project, tokens[calm.id] as Token));
    b.do(removeToken(b.project, tokens[at] as Token));
    expect(effects()?.[0]?.motion).toEqual({ ...motion, duration: 300, easing: "ease-out" });
    expect(effects()?.[1]).toEqual({ type: "seek", layer: clip, ms: 700 });
  });
});
