import { beforeAll, describe, expect, it } from "vitest";
import { addPiece, fitFrame, isFitting, settleFrame, wrap } from "#core/edit";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import { BASE, ROOT } from "#core/project";
import type { Variant } from "#core/project";
import { testEnv } from "../../../tests/support/env";
import { Builder } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A component as one makes it, with nothing in it yet. */
const fromNothing = () => {
  const b = new Builder();
  const made = addPiece(b.project, "component", "Pin");
  b.do(made.change);
  b.at = made.id;
  return b;
};
const sizeOf = (b: Builder, variant: Variant = {}) => {
  const tree = new Resolver().tree(b.project, b.at, variant);
  if (!tree) throw new Error("nothing to lay out");
  const { width, height } = layout(env, tree);
  return { width, height };
};
const saidOf = (b: Builder, layer: string) => b.piece.looks[BASE]?.changes[layer];

describe("the frame of a component made from nothing", () => {
  it("is as large as what lies in it, until a size is set", () => {
    const b = fromNothing();
    expect(isFitting(b.piece)).toBe(true);
    expect(sizeOf(b)).toEqual({ width: 0, height: 0 });
    b.layer("box", { x: 10, y: 4, width: 40, height: 20 });
    expect(sizeOf(b)).toEqual({ width: 50, height: 24 });
    b.look({}, ROOT, { width: 90, widthMode: "fixed" });
    expect(isFitting(b.piece)).toBe(false);
    expect(sizeOf(b)).toEqual({ width: 90, height: 24 });
  });

  it("is as large as what is shown, in each variant", () => {
    const b = fromNothing();
    b.layer("box", { width: 40, height: 20 });
    const bubble = b.layer("box", { x: 30, width: 60, height: 50, visible: false });
    const { id, v } = b.trait("Open", "no", "yes");
    b.look({ [id]: [v.yes ?? ""] }, bubble, { visible: true });
    expect(sizeOf(b)).toEqual({ width: 40, height: 20 });
    expect(sizeOf(b, { [id]: v.yes ?? "" })).toEqual({ width: 90, height: 50 });
  });

  it("takes the layers along that lie where one was put beyond its corner", () => {
    const b = fromNothing();
    const one = b.layer("box", { x: 0, y: 0, width: 40, height: 20 });
    const two = b.layer("box", { x: -12, y: 5, width: 40, height: 20 });
    const change = settleFrame(b.piece, { x: -12, y: 0, width: 52, height: 25 });
    if (!change) throw new Error("nothing to settle");
    b.do(change);
    expect(saidOf(b, one)).toMatchObject({ x: 12, y: 0 });
    expect(saidOf(b, two)).toMatchObject({ x: 0, y: 5 });
    expect(settleFrame(b.piece, { x: 0, y: 0, width: 52, height: 25 })).toBeNull();
  });

  it("stays where it has a size of its own", () => {
    const b = fromNothing();
    b.look({}, ROOT, { width: 90, height: 40, widthMode: "fixed", heightMode: "fixed" });
    expect(settleFrame(b.piece, { x: -12, y: -3, width: 52, height: 25 })).toBeNull();
  });
});

describe("fitting a frame to its layers", () => {
  it("takes the size it had, in all looks, and moves the layers to its corner in all of them", () => {
    const b = fromNothing();
    const { id, v } = b.trait("Open", "no", "yes");
    const yes = { [id]: [v.yes ?? ""] };
    b.look({}, ROOT, { width: 240, height: 96, widthMode: "fixed", heightMode: "fixed" });
    b.look(yes, ROOT, { width: 300 });
    const box = b.layer("box", { x: 30, y: 12, width: 40, height: 20 });
    b.look(yes, box, { x: 50 });
    b.do(fitFrame(b.piece, { x: 30, y: 12, width: 40, height: 20 }));
    expect(sizeOf(b)).toEqual({ width: 40, height: 20 });
    expect(sizeOf(b, { [id]: v.yes ?? "" })).toEqual({ width: 60, height: 20 });
    expect(saidOf(b, ROOT)).not.toHaveProperty("width");
  });

  it("leaves what is arranged where it is", () => {
    const b = fromNothing();
    b.look({}, ROOT, { arrange: "row", width: 240, widthMode: "fixed", gap: 4 });
    const box = b.layer("box", { x: 7, width: 40, height: 20 });
    b.do(fitFrame(b.piece, { x: 0, y: 0, width: 40, height: 20 }));
    expect(saidOf(b, box)).toMatchObject({ x: 7 });
    expect(sizeOf(b)).toEqual({ width: 40, height: 20 });
  });
});

describe("combined shapes", () => {
  it("are painted as the lowest of them was, in every look", () => {
    const b = fromNothing();
    const { id, v } = b.trait("On", "no", "yes");
    const low = b.layer("box", { width: 40, height: 20, fill: "#c9472f", borderWidth: 3 });
    const high = b.layer("ellipse", { x: 20, width: 30, height: 30, fill: "#1f6f5c" });
    b.look({ [id]: [v.yes ?? ""] }, low, { fill: "#e3b341", x: 4 });
    const boxes = new Map([
      [low, { x: 0, y: 0, width: 40, height: 20 }],
      [high, { x: 20, y: 0, width: 30, height: 30 }],
    ]);
    const made = wrap(b.piece, [high, low], "compound", boxes);
    if (!made) throw new Error("nothing to combine");
    b.do(made.change);
    const look = Object.values(b.piece.looks).find((l) => l.id !== BASE);
    expect(saidOf(b, made.id)).toMatchObject({ fill: "#c9472f", borderWidth: 3, width: 50 });
    expect(look?.changes[made.id]).toEqual({ fill: "#e3b341" });
  });
});
