import { describe, expect, it } from "vitest";
import { rivalsIn } from "#core/machine";
import type { Rule } from "#core/project";
import { Builder, becomes, goes } from "../../../tests/support/pieces";

const piece = () => {
  const b = new Builder();
  b.new("component", "Buoy");
  const body = b.layer("box");
  const lit = b.trait("Lit", "no", "yes");
  const open = b.trait("Open", "no", "yes");
  const rule = (given: Partial<Rule>) =>
    b.rule({ source: body, effects: [goes(lit.id, "next")], ...given });
  const rivals = () => Object.fromEntries(rivalsIn(b.project, b.piece));
  return { b, body, lit, open, rule, rivals };
};

describe("rules that fight", () => {
  it("are both told, and which has it", () => {
    const { lit, rule, rivals } = piece();
    const first = rule({});
    const second = rule({ effects: [becomes(lit.id, lit.v.yes as string)] });
    expect(rivals()).toEqual({
      [first]: [{ rule: second, wins: true }],
      [second]: [{ rule: first, wins: false }],
    });
  });

  it("do not where anything tells them apart", () => {
    const { lit, open, rule, rivals } = piece();
    const at = (value: string) => ({ [open.id]: [open.v[value] as string] });
    rule({ when: at("no") });
    rule({ when: at("yes") });
    // the more specific one is meant to win
    rule({});
    rule({ trigger: { type: "key", key: "a" } });
    rule({ trigger: { type: "key", key: "b" } });
    rule({ trigger: { type: "press" }, effects: [becomes(open.id, open.v.yes as string)] });
    rule({ trigger: { type: "press" }, effects: [becomes(lit.id, lit.v.yes as string)] });
    rule({ source: null });
    rule({ on: false });
    expect(rivals()).toEqual({});
  });
});
