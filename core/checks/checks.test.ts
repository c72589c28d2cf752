import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import type { Id } from "#core/basics";
import { addOption, addTheme, addToken, setTokenValue } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { variantFrom, variantKey } from "#core/looks";
import { advance, focusStops, start, step } from "#core/machine";
import type { Input } from "#core/machine";
import { ROOT, accept } from "#core/project";
import type { Motion, Piece, Project, Variant } from "#core/project";
import { rehearse } from "#core/rehearse";
import { checked, neighbourhood, traitSpace } from "#core/checks";
import type { Finding } from "#core/checks";
import { testEnv } from "../../tests/support/env";
import { becomes, Builder, goes } from "../../tests/support/pieces";
import type { Explored } from "./walk/explore";
import { MOST_NODES, explore } from "./walk/explore";
import type { CheckKind } from "./types";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const tween = (duration: number): Motion => ({
  kind: "tween",
  duration,
  delay: 0,
  easing: "linear",
});
type Trait = ReturnType<Builder["trait"]>;
const at = (t: Trait, ...values: string[]) => ({ [t.id]: values.map((v) => t.v[v] as string) });
const to = (t: Trait, value: string) => becomes(t.id, t.v[value] as string);

/** A buoy: a body of 60 px with a lamp on it, and what a case adds. */
const buoy = (
  make: (b: Builder, body: Id, lamp: Id) => void,
): { b: Builder; findings: readonly Finding[] } => {
  const b = new Builder();
  b.new("component", "Buoy");
  b.look({}, ROOT, { role: "button" });
  const body = b.layer("box", { x: 0, y: 0, width: 60, height: 60, fill: "#1f6f5c" });
  const lamp = b.layer("box", { x: 15, y: 15, width: 30, height: 30, fill: "#e3b341" }, body);
  make(b, body, lamp);
  return { b, findings: checked(env, b.project, b.at).findings };
};
const kinds = (findings: readonly Finding[]): CheckKind[] => [
  ...new Set(findings.map((f) => f.kind)),
];
/** A look for each value but the first, so that no look and no value is idle. */
const shows = (b: Builder, t: Trait, layer: Id) =>
  Object.entries(t.v)
    .slice(1)
    .forEach(([, v], i) => b.look({ [t.id]: [v] }, layer, { rotation: 10 + i }));

/** Each kind of finding: a component that has it, and one that is alike but sound. */
const cases: Record<
  CheckKind,
  {
    faulty: (b: Builder, body: Id, lamp: Id) => void;
    sound: (b: Builder, body: Id, lamp: Id) => void;
    says: string;
  }
> = {
  broken: {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      b.rule({ source: body, trigger: { type: "press" }, effects: [becomes("gone", "x")] });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      b.rule({
        on: false,
        source: body,
        trigger: { type: "press" },
        effects: [becomes("gone", "x")],
      });
    },
    says: "the trait it sets was deleted",
  },
  unreachable: {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "dim", "bright");
      shows(b, t, body);
      b.rule({ source: body, when: at(t, "no"), effects: [to(t, "bright")] });
      b.rule({ source: body, when: at(t, "bright"), effects: [to(t, "no")] });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "dim", "bright");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    says: "No rule leads to Lit dim",
  },
  "dead-end": {
    faulty: (b, body) => {
      const t = b.trait("Sent", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, when: at(t, "no"), effects: [to(t, "yes")] });
    },
    sound: (b, body) => {
      const t = b.trait("Sent", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [to(t, "yes")] });
      b.rule({ trigger: { type: "delay", ms: 900 }, when: at(t, "yes"), effects: [to(t, "no")] });
    },
    says: "Dead end: once Sent is yes, nothing responds",
  },
  "no-way-back": {
    faulty: (b, body) => {
      const t = b.trait("Sent", "no", "yes");
      const lit = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.look(at(lit, "yes"), body, { opacity: 0.9 });
      b.rule({ source: body, when: at(t, "no"), effects: [to(t, "yes")] });
      b.rule({ source: body, trigger: { type: "hover" }, undo: true, effects: [to(lit, "yes")] });
    },
    sound: (b, body) => {
      const t = b.trait("Sent", "no", "yes");
      const lit = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.look(at(lit, "yes"), body, { opacity: 0.9 });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      b.rule({ source: body, trigger: { type: "hover" }, undo: true, effects: [to(lit, "yes")] });
    },
    says: "Once Sent is yes, nothing leads back to no",
  },
  "way-back-time": {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, when: at(t, "no"), effects: [to(t, "yes")], motion: tween(300) });
      b.rule({ source: body, when: at(t, "yes"), effects: [to(t, "no")], motion: tween(180) });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, when: at(t, "no"), effects: [to(t, "yes")], motion: tween(300) });
      b.rule({ source: body, when: at(t, "yes"), effects: [to(t, "no")], motion: tween(300) });
    },
    says: "Lit changes to yes in 300 ms, but back to no in 180 ms",
  },
  rivals: {
    faulty: (b, _body, lamp) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, lamp);
      b.rule({ source: lamp, effects: [goes(t.id, "next")] });
      b.rule({ effects: [goes(t.id, "next")] });
    },
    // the more specific one is meant to win
    sound: (b, _body, lamp) => {
      const t = b.trait("Lit", "no", "dim", "yes");
      shows(b, t, lamp);
      b.rule({ effects: [goes(t.id, "next")] });
      b.rule({ when: at(t, "dim"), effects: [to(t, "no")] });
      b.rule({ trigger: { type: "key", key: "a" }, effects: [to(t, "yes")] });
    },
    says: "One of them is enough",
  },
  "never-fires": {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      const away = b.layer(
        "box",
        { x: 5, y: 5, width: 30, height: 30 },
        b.layer("box", { visible: false }),
      );
      b.rule({ source: away, trigger: { type: "press" }, effects: [to(t, "no")] });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      const beside = b.layer("box", { x: 70, y: 5, width: 30, height: 30 });
      b.rule({ source: beside, trigger: { type: "press" }, effects: [to(t, "no")] });
    },
    says: "never runs",
  },
  gap: {
    faulty: (b, body) => {
      const t = b.trait("Step", "one", "two", "three");
      shows(b, t, body);
      b.rule({
        source: body,
        trigger: { type: "click" },
        when: at(t, "one"),
        effects: [to(t, "two")],
      });
      b.rule({ trigger: { type: "delay", ms: 80 }, when: at(t, "two"), effects: [to(t, "three")] });
      b.rule({ source: body, when: at(t, "three"), effects: [to(t, "one")] });
    },
    sound: (b, body) => {
      const t = b.trait("Step", "one", "two", "three");
      shows(b, t, body);
      b.rule({
        source: body,
        trigger: { type: "click" },
        when: at(t, "one"),
        effects: [to(t, "two")],
      });
      b.rule({ trigger: { type: "delay", ms: 80 }, when: at(t, "two"), effects: [to(t, "three")] });
      b.rule({ source: body, when: at(t, "two", "three"), effects: [to(t, "one")] });
    },
    says: "While Step is two, nothing happens when Box is clicked",
  },
  restarts: {
    faulty: (b, body) => {
      const t = b.trait("Contact", "none", "hovered");
      b.look(at(t, "hovered"), body, { y: 12 });
      b.rule({ source: body, trigger: { type: "hover" }, undo: true, effects: [to(t, "hovered")] });
    },
    sound: (b, body) => {
      const t = b.trait("Contact", "none", "hovered");
      b.look(at(t, "hovered"), body, { y: -6, height: 72 });
      b.rule({ source: body, trigger: { type: "hover" }, undo: true, effects: [to(t, "hovered")] });
    },
    says: "the hover flickers",
  },
  loop: {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ trigger: { type: "delay", ms: 0 }, when: at(t, "yes"), effects: [to(t, "no")] });
      b.rule({ trigger: { type: "delay", ms: 0 }, when: at(t, "no"), effects: [to(t, "yes")] });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ trigger: { type: "delay", ms: 200 }, when: at(t, "yes"), effects: [to(t, "no")] });
      b.rule({ trigger: { type: "delay", ms: 200 }, when: at(t, "no"), effects: [to(t, "yes")] });
    },
    says: "Endless loop",
  },
  "hover-only": {
    // the lamp is only there while the body is hovered: a finger can never press it
    faulty: (b, body, lamp) => {
      const c = b.trait("Contact", "none", "hovered");
      const t = b.trait("Lit", "no", "yes");
      b.look({}, lamp, { visible: false }).look(at(c, "hovered"), lamp, { visible: true });
      shows(b, t, body);
      b.rule({ source: body, trigger: { type: "hover" }, undo: true, effects: [to(c, "hovered")] });
      b.rule({ source: lamp, effects: [goes(t.id, "next")] });
    },
    sound: (b, body, lamp) => {
      const c = b.trait("Contact", "none", "hovered");
      const t = b.trait("Lit", "no", "yes");
      b.look(at(c, "hovered"), lamp, { opacity: 0.8 });
      shows(b, t, body);
      b.rule({ source: body, trigger: { type: "hover" }, undo: true, effects: [to(c, "hovered")] });
      b.rule({ source: lamp, effects: [goes(t.id, "next")] });
    },
    says: "cannot happen by touch",
  },
  "no-keyboard": {
    faulty: (b, body, lamp) => {
      const c = b.trait("Contact", "none", "hovered");
      const t = b.trait("Lit", "no", "yes");
      b.look({}, lamp, { visible: false }).look(at(c, "hovered"), lamp, { visible: true });
      shows(b, t, body);
      b.rule({ source: body, trigger: { type: "enter" }, effects: [to(c, "hovered")] });
      b.rule({ source: lamp, effects: [goes(t.id, "next"), to(c, "none")] });
    },
    sound: (b, body, lamp) => {
      const c = b.trait("Contact", "none", "hovered");
      const t = b.trait("Lit", "no", "yes");
      b.look({}, lamp, { visible: false }).look(at(c, "hovered"), lamp, { visible: true });
      shows(b, t, body);
      b.rule({ source: body, trigger: { type: "enter" }, effects: [to(c, "hovered")] });
      b.rule({ source: body, trigger: { type: "focus" }, effects: [to(c, "hovered")] });
      b.rule({ source: lamp, effects: [goes(t.id, "next"), to(c, "none")] });
    },
    says: "cannot be done with the keyboard",
  },
  "drag-only": {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({
        source: body,
        trigger: { type: "drag", direction: "right" },
        effects: [goes(t.id, "next")],
      });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({
        source: body,
        trigger: { type: "drag", direction: "right" },
        effects: [goes(t.id, "next")],
      });
      b.rule({ trigger: { type: "key", key: "ArrowRight" }, effects: [goes(t.id, "next")] });
    },
    says: "has no alternative",
  },
  contrast: {
    faulty: (b, body) => {
      b.layer("text", { text: "Berth 4", x: 4, y: 4, fill: "#2f8a72" }, body);
    },
    sound: (b, body) => {
      b.layer("text", { text: "Berth 4", x: 4, y: 4, fill: "#ffffff" }, body);
    },
    says: "has low contrast",
  },
  small: {
    faulty: (b) => {
      const t = b.trait("Lit", "no", "yes");
      const dot = b.layer("box", { x: 80, y: 4, width: 16, height: 20 });
      shows(b, t, dot);
      b.rule({ source: dot, effects: [goes(t.id, "next")] });
    },
    sound: (b) => {
      const t = b.trait("Lit", "no", "yes");
      const dot = b.layer("box", { x: 80, y: 4, width: 16, height: 20, touch: 6 });
      shows(b, t, dot);
      b.rule({ source: dot, effects: [goes(t.id, "next")] });
    },
    says: "The touch area of",
  },
  "hover-stays": {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, trigger: { type: "hover" }, effects: [to(t, "yes")] });
    },
    sound: (b, body, lamp) => {
      const t = b.trait("Lit", "no", "yes");
      const near = b.trait("Near", "no", "yes");
      shows(b, t, body);
      shows(b, near, lamp);
      b.rule({ source: body, trigger: { type: "hover" }, effects: [to(t, "yes")] });
      b.rule({ source: body, trigger: { type: "leave" }, effects: [to(t, "no")] });
      b.rule({ source: lamp, trigger: { type: "hover" }, undo: true, effects: [to(near, "yes")] });
    },
    says: "Hovering Box changes Lit permanently",
  },
  covered: {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      b.layer("box", { x: 0, y: 30, width: 60, height: 20, fill: "#ffffff" });
    },
    // words let the pointer through, and what answers itself is no dead cover
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      b.layer("text", { x: 0, y: 30, text: "Depart" });
      const tick = b.layer("box", { x: 0, y: 0, width: 30, height: 30, fill: "#ffffff" });
      b.rule({ source: tick, trigger: { type: "press" }, effects: [to(t, "no")] });
    },
    says: "clicks there do nothing",
  },
  "keys-unheard": {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      const away = b.layer("box", { x: 70, width: 40, height: 40, opacity: 0 });
      b.rule({ source: away, trigger: { type: "key", key: "a" }, effects: [to(t, "no")] });
      b.rule({ trigger: { type: "key", key: "Tab" }, effects: [to(t, "no")] });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      b.rule({ trigger: { type: "key", key: "a" }, effects: [to(t, "no")] });
    },
    says: "does nothing in a placed copy",
  },
  "tab-order": {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.look({}, body, { x: 100 });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      const first = b.layer("box", { x: 0, width: 60, height: 60, fill: "#1f6f5c" });
      b.rule({ source: first, effects: [goes(t.id, "next")] });
    },
    // a column is read downwards before the next one
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [goes(t.id, "next")] });
      const next = b.layer("box", { x: 0, y: 100, width: 60, height: 60, fill: "#1f6f5c" });
      const aside = b.layer("box", { x: 100, y: 0, width: 60, height: 60, fill: "#1f6f5c" });
      for (const source of [next, aside]) b.rule({ source, effects: [goes(t.id, "next")] });
    },
    says: "Tab reaches",
  },
  "no-role": {
    faulty: (b, body) => {
      const t = b.trait("Checked", "no", "yes");
      shows(b, t, body);
      b.look({}, ROOT, { role: "none" });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    sound: (b, body) => {
      const t = b.trait("Checked", "no", "yes");
      shows(b, t, body);
      b.look({}, ROOT, { role: "none" });
      b.look({}, body, { role: "checkbox" });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    says: "has no role",
  },
  "no-state": {
    faulty: (b, body) => {
      const t = b.trait("Lit", "dark", "bright");
      shows(b, t, body);
      b.look({}, ROOT, { role: "none" });
      b.look({}, body, { role: "switch" });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "off", "on");
      shows(b, t, body);
      b.look({}, ROOT, { role: "none" });
      b.look({}, body, { role: "switch" });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    says: "no trait says whether it is checked",
  },
  unpaired: {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      const one = b.layer("ellipse", { x: 70 });
      const two = b.layer("ellipse", { x: 90, visible: false });
      b.look(at(t, "yes"), one, { visible: false }).look(at(t, "yes"), two, { visible: true });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      const one = b.layer("ellipse", { x: 70 });
      b.layer("ellipse", { x: 90 });
      b.look(at(t, "yes"), one, { visible: false });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    says: "are never visible at the same time",
  },
  "empty-look": {
    faulty: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      b.look(at(t, "yes"), body, { fill: "#1f6f5c" });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    sound: (b, body) => {
      const t = b.trait("Lit", "no", "yes");
      b.look(at(t, "yes"), body, { fill: "#1f6f5d" });
      b.rule({ source: body, effects: [goes(t.id, "next")] });
    },
    says: "changes nothing",
  },
  missing: {
    faulty: (b, body) => {
      b.do({
        label: "x",
        ops: [
          {
            op: "set",
            path: ["pieces", b.at, "looks", "base", "changes", body, "fill"],
            value: { token: "gone" },
          },
        ],
      });
    },
    sound: (b, body) => {
      b.do({
        label: "x",
        ops: [
          {
            op: "set",
            path: ["tokens", "kelp"],
            value: {
              id: "kelp",
              type: "colour",
              name: "Kelp",
              group: "",
              order: "a0",
              value: "#1f6f5c",
            },
          },
          {
            op: "set",
            path: ["pieces", b.at, "looks", "base", "changes", body, "fill"],
            value: { token: "kelp" },
          },
        ],
      });
    },
    says: "uses a deleted token as its fill",
  },
};

describe("each check", () => {
  for (const [kind, { faulty, sound, says }] of Object.entries(cases)) {
    it(`${kind}: catches what is wrong, says it in words, and leaves alone what is sound`, () => {
      const wrong = buoy(faulty).findings.filter((f) => f.kind === kind);
      expect(wrong.map((f) => f.text).join("\n")).toContain(says);
      expect(kinds(buoy(sound).findings)).toEqual([]);
    });
  }

  const found = (make: (b: Builder, body: Id, lamp: Id) => void): CheckKind[] =>
    kinds(buoy(make).findings);

  it("leaving to another screen is no dead end, whatever is set on the way", () => {
    const b = new Builder();
    const pier = b.new("screen", "Pier");
    const other = b.new("screen", "Tickets");
    b.on(pier);
    const row = b.layer("box", { width: 80, height: 40, fill: "#1f6f5c", role: "link" });
    const t = b.trait("Chosen", "no", "yes");
    shows(b, t, row);
    b.rule({ source: row, effects: [to(t, "yes"), { type: "go", screen: other }] });
    expect(kinds(checked(env, b.project, pier).findings)).toEqual([]);
  });

  it("what cannot be seen needs no larger touch area", () => {
    const dot = (opacity: number) => (b: Builder) => {
      const t = b.trait("Lit", "no", "yes");
      const it = b.layer("box", { x: 80, width: 16, height: 16, fill: "#1f6f5c", opacity });
      shows(b, t, it);
      b.rule({ source: it, effects: [goes(t.id, "next")] });
    };
    expect(found(dot(1))).toContain("small");
    expect(found(dot(0))).not.toContain("small");
  });

  it("a control inside something that can be clicked is no rival of it", () => {
    const control = (b: Builder, body: Id, lamp: Id) => {
      const t = b.trait("Open", "no", "yes");
      shows(b, t, body);
      b.rule({ source: body, effects: [to(t, "yes")] });
      b.rule({ source: lamp, effects: [to(t, "no")] });
    };
    expect(found(control)).toEqual([]);
  });

  it("what a mouse cannot do either is no matter of fingers", () => {
    const byKeyAlone = (b: Builder, body: Id) => {
      const t = b.trait("Lit", "no", "yes");
      const open = b.trait("Open", "no", "yes");
      shows(b, t, body);
      shows(b, open, body);
      b.rule({ trigger: { type: "key", key: "o" }, effects: [goes(open.id, "next")] });
      b.rule({ source: body, when: at(open, "yes"), effects: [goes(t.id, "next")] });
    };
    expect(found(byKeyAlone)).not.toContain("hover-only");
  });

  it("a combination that nothing was drawn for is not missed; one that was is", () => {
    const apart = (drawn: boolean) => (b: Builder, body: Id, lamp: Id) => {
      const t = b.trait("Open", "no", "yes");
      const near = b.trait("Near", "no", "yes");
      shows(b, t, body);
      shows(b, near, lamp);
      b.rule({ source: body, when: at(near, "no"), effects: [goes(t.id, "next")] });
      b.rule({
        trigger: { type: "key", key: "n" },
        when: at(t, "no"),
        effects: [goes(near.id, "next")],
      });
      if (drawn) b.look({ ...at(t, "yes"), ...at(near, "yes") }, lamp, { rotation: 40 });
    };
    expect(found(apart(false))).not.toContain("unreachable");
    expect(found(apart(true))).toContain("unreachable");
  });

  it("every fix takes its finding away and leaves a valid project", () => {
    let fixed = 0;
    for (const [kind, { faulty }] of Object.entries(cases)) {
      const { b, findings } = buoy(faulty);
      for (const f of findings.filter((x) => x.fix)) {
        const after = accept(b.project, (f.fix as NonNullable<Finding["fix"]>).change);
        if (!after.ok) throw new Error(`${kind}: ${after.error}`);
        expect(checked(env, after.project, b.at).findings.map((x) => x.id)).not.toContain(f.id);
        fixed++;
      }
    }
    expect(fixed).toBeGreaterThan(8);
  });

  it("what it says one must do to see it can be done, and leads there", () => {
    let shown = 0;
    for (const { faulty } of Object.values(cases)) {
      const { b, findings } = buoy(faulty);
      for (const f of findings) {
        if (!f.way) continue;
        expect(rehearse(env, b.project, b.at, f.way)).toBeNull();
        if (f.kind === "dead-end" || f.kind === "no-way-back")
          expect(
            rehearse(env, b.project, b.at, [
              ...f.way,
              ...Object.entries(f.variant ?? {}).map(
                ([trait, value]) => ({ do: "trait", at: "", trait, value }) as const,
              ),
            ]),
          ).toBeNull();
        shown++;
      }
    }
    expect(shown).toBeGreaterThan(6);
  });
});

describe("the space of situations", () => {
  const whole = (project: Project, piece: Piece, most = MOST_NODES): Explored => {
    const run = explore(env, project, piece, most);
    for (;;) {
      const r = run.next();
      if (r.done) return r.value;
    }
  };
  const trigger = fc.constantFrom(
    "click",
    "press",
    "release",
    "enter",
    "leave",
    "hover",
    "focus",
    "blur",
    "key",
    "settled",
    "delay",
    "double",
  );
  const rules = fc.array(
    fc.record({
      trigger,
      on: fc.nat(2),
      undo: fc.boolean(),
      trait: fc.nat(1),
      step: fc.constantFrom("next", "opposite", "first"),
      ms: fc.integer({ min: 1, max: 300 }),
      when: fc.option(fc.nat(2)),
    }),
    { maxLength: 5 },
  );
  const input = fc.oneof(
    fc.constantFrom("down", "up", "off", "blur", "Enter", "a"),
    fc.nat(2),
    fc.integer({ min: 10, max: 600 }).map((ms) => ({ ms })),
  );

  it("holds everything that a mouse, or a keyboard, can bring about at whatever pace", () => {
    fc.assert(
      fc.property(
        rules,
        fc.array(input, { maxLength: 24 }),
        fc.boolean(),
        (list, script, mouse) => {
          const b = new Builder();
          const id = b.new("component", "Buoy");
          b.look({}, ROOT, { fill: "#ffffff" });
          const body = b.layer("box", { width: 80, height: 80, fill: "#1f6f5c" });
          const lamp = b.layer("box", { width: 30, height: 30, fill: "#e3b341" }, body);
          const s = b.trait("Step", "one", "two", "three");
          const lit = b.trait("Lit", "no", "yes");
          const layers = [body, lamp, "root"];
          for (const r of list)
            b.rule({
              source: r.on === 2 ? null : layers[r.on],
              trigger: { type: r.trigger as "click", ms: r.ms, key: "a" },
              when: r.when === null ? {} : { [s.id]: [Object.values(s.v)[r.when] as string] },
              undo: r.undo && ["hover", "press", "focus"].includes(r.trigger),
              effects: [
                { type: "set", trait: r.trait ? s.id : lit.id, to: { step: r.step as "next" } },
              ],
              motion: tween(r.ms),
            });
          const space = whole(b.project, b.piece);
          const seen = new Set(space.nodes.map((n) => variantKey(b.piece, n.variant)));
          let state = start(b.project, id);
          const feed = (i: Input) => {
            state = step(b.project, state, i).state;
          };
          for (const x of script) {
            if (typeof x === "object") state = advance(b.project, state, state.now + x.ms).state;
            else if (typeof x === "number") {
              const stops = focusStops(b.project, state);
              feed(
                mouse
                  ? { type: "over", layer: layers[x] as string }
                  : { type: "focus", layer: stops[x % stops.length] ?? null },
              );
            } else if (x === "down" || x === "up") {
              if (mouse) feed({ type: x });
            } else if (x === "off" || x === "blur")
              feed(mouse ? { type: "over", layer: null } : { type: "focus", layer: null });
            else if (!mouse) {
              feed({ type: "key", key: x, phase: "down" });
              feed({ type: "key", key: x, phase: "up" });
            }
            const there = variantKey(b.piece, variantFrom(b.piece, state.traits[id] ?? {}));
            // layers without rules are no place of their own: hovering the lamp is hovering the
            // body
            if (space.whole) expect(seen.has(there)).toBe(true);
          }
        },
      ),
      { numRuns: 250 },
    );
  });

  it("tells what only a hovering pointer ever shows", () => {
    const touch = (make: (b: Builder, body: Id, lamp: Id) => void) => {
      const { b } = buoy(make);
      const found = checked(env, b.project, b.at).unseenByTouch;
      return found.map((f) => b.piece.traits[f.trait]?.values[f.value]?.name);
    };
    const contact = (press: boolean) => (b: Builder, body: Id) => {
      const c = b.trait("Contact", "none", "hovered", "pressed");
      shows(b, c, body);
      b.rule({ source: body, trigger: { type: "hover" }, undo: true, effects: [to(c, "hovered")] });
      if (press)
        b.rule({
          source: body,
          trigger: { type: "press" },
          undo: true,
          effects: [to(c, "pressed")],
        });
    };
    // a finger hovers too, but only while it presses
    expect(touch(contact(true))).toEqual(["hovered"]);
    expect(touch(contact(false))).toEqual([]);
  });

  it("of too many situations, all variants are looked at by their traits alone: nothing that can be reached is missed", () => {
    fc.assert(
      fc.property(rules, (list) => {
        const b = new Builder();
        b.new("component", "Buoy");
        const body = b.layer("box", { width: 80, height: 80 });
        const lamp = b.layer("box", { width: 30, height: 30 }, body);
        const s = b.trait("Step", "one", "two", "three");
        const lit = b.trait("Lit", "no", "yes");
        const layers = [body, lamp];
        for (const r of list)
          b.rule({
            source: layers[r.on] ?? null,
            trigger: { type: r.trigger as "click", ms: r.ms, key: "a" },
            when: r.when === null ? {} : { [s.id]: [Object.values(s.v)[r.when] as string] },
            undo: r.undo && ["hover", "press", "focus"].includes(r.trigger),
            effects: [
              { type: "set", trait: r.trait ? s.id : lit.id, to: { step: r.step as "next" } },
            ],
            motion: tween(r.ms),
          });
        const traits = traitSpace(b.project, b.piece);
        const exact = whole(b.project, b.piece);
        if (!traits) throw new Error("too much");
        const index = (v: Variant) =>
          Object.values(s.v).indexOf(v[s.id] as string) +
          3 * Object.values(lit.v).indexOf(v[lit.id] as string);
        for (const n of exact.nodes) expect(traits.reached[index(n.variant)]).toBe(1);
        for (const e of exact.edges)
          for (const event of e.happened)
            if (event.type === "fired") expect(traits.fired.has(event.rule)).toBe(true);
      }),
      { numRuns: 120 },
    );
  });

  it("and what they tell is found there too: a value never reached, a rule that cannot be, a way without a return", () => {
    const b = new Builder();
    const id = b.new("component", "Board");
    for (let i = 0; i < 10; i++) {
      const lamp = b.layer("box", { x: i * 40, width: 30, height: 30 });
      const t = b.trait(`Lamp ${i}`, "off", "on", "broken");
      shows(b, t, lamp);
      b.rule({ source: lamp, when: at(t, "off"), effects: [to(t, "on")] });
      if (i > 0) b.rule({ source: lamp, when: at(t, "on"), effects: [to(t, "off")] });
      if (i === 1)
        b.rule({
          source: lamp,
          trigger: { type: "press" },
          when: at(t, "broken"),
          effects: [to(t, "off")],
        });
    }
    const found = checked(null, b.project, id, 500);
    const texts = found.findings.map((f) => f.text);
    expect(found.whole).toBe(false);
    expect(found.variants).toBe(1024);
    expect(texts).toContain("No rule leads to Lamp 3 broken.");
    expect(texts.some((x) => x.includes("never runs"))).toBe(true);
    expect(texts).toContain("Once Lamp 0 is on, possibly nothing leads back to off.");
    expect(texts.filter((x) => x.includes("leads back"))).toHaveLength(1);
  });

  it("says when there is more than it looks at, and then claims nothing that would need it all", () => {
    const b = new Builder();
    const id = b.new("component", "Board");
    for (let i = 0; i < 4; i++) {
      const lamp = b.layer("box", { x: i * 40, width: 30, height: 30 });
      const t = b.trait(`Lamp ${i}`, "off", "on");
      shows(b, t, lamp);
      b.rule({ source: lamp, when: at(t, "off"), effects: [to(t, "on")] });
    }
    const part = checked(env, b.project, id, 100);
    expect([
      part.whole,
      part.situations,
      part.findings.filter((f) => ["dead-end", "unreachable", "never-fires"].includes(f.kind)),
    ]).toEqual([false, 100, []]);
    expect(checked(env, b.project, id).whole).toBe(true);
  });

  it("a value that only placed copies give is reached there, and copies that tell nothing do not multiply the situations", () => {
    const b = new Builder();
    const lamp = b.new("component", "Lamp");
    const bulb = b.layer("box", { width: 40, height: 40, role: "button" });
    const size = b.trait("Size", "small", "large");
    const lit = b.trait("Lit", "no", "yes");
    shows(b, size, bulb);
    b.look(at(lit, "yes"), bulb, { opacity: 0.8 });
    b.rule({ source: bulb, effects: [goes(lit.id, "next")] });
    b.do(addOption(b.piece, bulb, "fill").change);
    expect(checked(env, b.project, lamp).findings).toEqual([]);
    const pier = b.new("screen", "Pier");
    for (let i = 0; i < 9; i++) b.layer("instance", { component: lamp, x: 0, y: i * 60 });
    expect(checked(env, b.project, pier)).toMatchObject({
      findings: [],
      whole: true,
      situations: 1,
    });
  });
});

describe("a theme", () => {
  /** A component with a label that is bound to a token, on a screen whose fill is one, too. */
  const berth = (nightInk: string, nightGround: string, dayInk: string) => {
    const b = new Builder();
    const theme = addTheme(b.project, "Theme", ["day", "night"]);
    b.do(theme.change);
    const night = Object.values(b.project.themes[theme.id]?.values ?? {}).find(
      (v) => v.name === "night",
    );
    const token = (name: string, day: string, dark: string): string => {
      const made = addToken(b.project, "colour", name, day);
      b.do(made.change);
      const record = b.project.tokens[made.id];
      if (record) b.do(setTokenValue(record, dark, { [theme.id]: [night?.id ?? ""] }));
      return made.id;
    };
    const ink = token("Ink", dayInk, nightInk);
    const ground = token("Ground", "#ffffff", nightGround);
    b.new("screen", "Pier");
    b.look({}, "root", { fill: { token: ground } });
    const component = b.new("component", "Berth");
    const label = b.layer("text", { text: "Berth 4" });
    b.look({}, label, { fill: { token: ink } });
    return { b, component };
  };
  const contrasts = (ink: string, ground: string, dayInk = "#1c2f3a") => {
    const { b, component } = berth(ink, ground, dayInk);
    const near = neighbourhood(b.project, b.project.pieces[component] as Piece);
    return checked(env, near, component).findings.filter((f) => f.kind === "contrast");
  };

  it("in which a text is faint is named, and it alone", () => {
    const found = contrasts("#203040", "#101820");
    expect(found).toHaveLength(1);
    expect(found[0]?.text).toContain("Theme night");
    expect(Object.keys(found[0]?.theme ?? {})).toHaveLength(1);
  });

  it("that is the usual one is named by its values, so that a faint text can be looked at", () => {
    const [faint] = contrasts("#efe6d6", "#101820", "#f4f4f4");
    expect(faint?.text).not.toContain("Theme");
    expect(Object.values(faint?.theme ?? {})).toHaveLength(1);
  });

  it("with a dark ground under light texts has nothing to complain of", () => {
    expect(contrasts("#efe6d6", "#101820")).toEqual([]);
  });
});
