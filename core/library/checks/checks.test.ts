import { describe, expect, it } from "vitest";
import { addToken, duplicatePiece, setAbout, setStatus } from "#core/edit";
import { checkSystem } from "#core/library";
import type { SystemCheck, SystemFinding } from "#core/library";
import { ROOT, inOrder } from "#core/project";
import type { Id } from "#core/basics";
import { USUAL_FAMILY } from "#core/properties";
import { Builder, becomes, goes } from "../../../tests/support/pieces";

const found = (b: Builder, check: SystemCheck): readonly SystemFinding[] =>
  checkSystem(b.project).filter((f) => f.check === check);

/** Takes the first fix of a finding. */
const fix = (b: Builder, finding: SystemFinding | undefined): void => {
  const first = finding?.fixes[0];
  if (!first) throw new Error("there is no fix");
  b.do(first.change);
};

/** A component that is turned on and off, its values called as given. */
const toggle = (b: Builder, name: string, off: string, on: string): Id => {
  const id = b.new("component", name);
  const { id: trait } = b.trait("Checked", off, on);
  b.look({}, ROOT, { role: "checkbox" });
  b.rule({ effects: [goes(trait, "opposite")] });
  return id;
};

const button = (b: Builder, name: string, text: string): Id => {
  const id = b.new("component", name);
  b.look({}, ROOT, { role: "button", fill: "#0b5563" });
  const label = b.layer("text", { text, size: 15 });
  b.look({}, label, { weight: "600" });
  return id;
};

describe("components that are nearly the same", () => {
  it("are found whatever they say, and the less used one is superseded", () => {
    const b = new Builder();
    const board = button(b, "Board button", "Board");
    const leave = button(b, "Leave button", "Leave");
    b.new("screen", "Pier");
    b.layer("instance", { component: leave });
    const [finding, ...others] = found(b, "alike");
    expect(others).toEqual([]);
    expect(finding?.pieces).toEqual([leave, board]);
    fix(b, finding);
    expect(b.project.pieces[board]?.status).toEqual({ supersededBy: leave });
    expect(found(b, "alike")).toEqual([]);
  });

  it("are two things where structure or looks differ", () => {
    const b = new Builder();
    button(b, "Board button", "Board");
    button(b, "Leave button", "Leave");
    b.look({}, ROOT, { fill: "#b4472e", radius: [8, 8, 8, 8], borderWidth: 2, opacity: 0.9 });
    expect(found(b, "alike")).toEqual([]);
    const third = duplicatePiece(b.project, b.piece, true);
    b.do(third.change).on(third.id);
    b.layer("ellipse");
    b.layer("icon");
    expect(found(b, "alike")).toEqual([]);
  });
});

describe("names that differ for the same thing", () => {
  it("are aligned with what most say", () => {
    const b = new Builder();
    toggle(b, "Bicycle box", "no", "yes");
    toggle(b, "Dog box", "no", "yes");
    const odd = toggle(b, "Wheelchair box", "off", "on");
    const [finding, ...others] = found(b, "trait-names");
    expect(others).toEqual([]);
    expect(finding?.text).toContain("off/on");
    fix(b, finding);
    const [trait] = Object.values(b.project.pieces[odd]?.traits ?? {});
    expect(inOrder(trait?.values ?? {}).map((v) => v.name)).toEqual(["no", "yes"]);
    expect(found(b, "trait-names")).toEqual([]);
  });

  it("are found by the contact that sets them", () => {
    const b = new Builder();
    for (const [name, word] of [
      ["A", "hovered"],
      ["B", "hovered"],
      ["C", "over"],
    ] as const) {
      b.new("component", name);
      const t = b.trait("Contact", "none", word, "dragged");
      b.rule({
        trigger: { type: "hover" },
        undo: true,
        effects: [becomes(t.id, t.v[word] ?? "")],
      });
    }
    const [finding] = found(b, "trait-names");
    fix(b, finding);
    const names = Object.values(b.piece.traits).flatMap((t) =>
      inOrder(t.values).map((v) => v.name),
    );
    expect(names).toEqual(["none", "hovered", "dragged"]);
  });

  it("may speak of what only one component knows", () => {
    const b = new Builder();
    toggle(b, "Bicycle box", "no", "yes");
    toggle(b, "Fare", "single trip", "season pass");
    expect(found(b, "trait-names")).toEqual([]);
  });
});

describe("roles", () => {
  it("are missed where something answers a click", () => {
    const b = new Builder();
    b.new("component", "Bell");
    const { id } = b.trait("Open", "no", "yes");
    b.rule({ effects: [goes(id, "opposite")] });
    fix(b, found(b, "no-role")[0]);
    expect(found(b, "no-role")).toEqual([]);
    expect(Object.values(b.piece.looks)[0]?.changes[ROOT]?.role).toBe("button");
  });

  it("come with states, which are made with rule and look", () => {
    const b = new Builder();
    button(b, "Board button", "Board");
    const [finding] = found(b, "role-states");
    expect(finding?.text).toContain("pointed at, pressed, focused");
    fix(b, finding);
    expect(found(b, "role-states")).toEqual([]);
    const [trait] = Object.values(b.piece.traits);
    expect(inOrder(trait?.values ?? {}).map((v) => v.name)).toEqual([
      "none",
      "hovered",
      "pressed",
      "focused",
    ]);
    expect(inOrder(b.piece.rules).map((r) => [r.trigger.type, r.undo])).toEqual([
      ["hover", true],
      ["press", true],
      ["focus", true],
    ]);
    expect(Object.values(b.piece.looks)).toHaveLength(4);
  });
});

describe("what lies outside the system", () => {
  it("text without a text style takes the one that looks the same", () => {
    const b = new Builder();
    button(b, "Board button", "Board");
    expect(found(b, "own-style")).toEqual([]);
    const style = addToken(b.project, "style", "Strong", {
      font: USUAL_FAMILY,
      weight: "600",
      size: 15,
      lineHeight: 1.3,
      spacing: 0,
    });
    b.do(style.change);
    fix(b, found(b, "own-style")[0]);
    expect(found(b, "own-style")).toEqual([]);
  });

  it("motions that follow no token take the nearest", () => {
    const b = new Builder();
    const id = toggle(b, "Bicycle box", "no", "yes");
    const motion = { kind: "tween", duration: 210, delay: 0, easing: "ease-out" } as const;
    b.rule({ trigger: { type: "double" }, motion, effects: inOrder(b.piece.rules)[0]?.effects });
    expect(found(b, "own-motion")).toEqual([]);
    const calm = addToken(b.project, "motion", "Calm", { duration: 220, easing: "ease-out" });
    b.do(calm.change);
    fix(b, found(b, "own-motion")[0]);
    const followed = Object.values(b.project.pieces[id]?.rules ?? {}).map((r) => r.motion.token);
    expect(followed).toContain(calm.id);
  });
});

it("a component without a description is named until it has one", () => {
  const b = new Builder();
  button(b, "Board button", "Board");
  expect(found(b, "undescribed")).toHaveLength(1);
  b.do(setAbout(b.piece, "description", "Opens the **gate**."));
  expect(found(b, "undescribed")).toEqual([]);
  b.do(setAbout(b.piece, "description", " "));
  expect(b.piece.about).toBeUndefined();
  b.do(setStatus(b.piece, "ready")).do(setStatus(b.piece, "draft"));
  expect(b.piece.status).toBeUndefined();
});
