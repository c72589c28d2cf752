import { layout } from "../../core/layout/index.ts";
import type { LayoutEnv } from "../../core/layout/index.ts";
import { Resolver } from "../../core/looks/index.ts";
import { Mover } from "../../core/motion/index.ts";
import { paint } from "../../core/paint/index.ts";
import { addLayer, addPiece, addTrait, emptyProject, setValues } from "../../core/edit/index.ts";
import { inOrder } from "../../core/project/index.ts";
import type { Motion, Piece } from "../../core/project/index.ts";
import { median, must } from "./support.ts";
import type { Line } from "./support.ts";

const LAYERS = 500;

/** Sampling a change in which 500 layers move and change colour, shadow and corners at once, evenly and with springs in lanes. */
export const motion = (env: LayoutEnv, line: Line): void => {
  const made = addPiece(emptyProject("Bench"), "component", "Fleet");
  let project = must(emptyProject("Bench"), made.change);
  const piece = () => project.pieces[made.id] as Piece;
  const trait = addTrait(piece(), "Open", ["no", "yes"]);
  project = must(project, trait.change);
  const [no, yes] = inOrder(piece().traits[trait.id]?.values ?? {}).map((v) => v.id), ids: string[] = [];
  const shadow = (y: number) => [{ x: 0, y, blur: y * 2, spread: 0, colour: "#00000040" }];
  for (let i = 0; i < LAYERS; i++) {
    const layer = addLayer(piece(), "box", "root", { x: i, y: i, width: 20, height: 20, fill: "#c9c3b4", shadow: shadow(1) });
    project = must(project, layer.change);
    project = must(project, setValues(piece(), { [trait.id]: [yes as string] }, { [layer.id]: { x: 400 - i, width: 40, fill: "#1f6f5c", radius: [8, 8, 8, 8], opacity: 0.6, shadow: shadow(6) } }));
    ids.push(layer.id);
  }
  const resolver = new Resolver();
  const placed = (value: string | undefined) => {
    const tree = resolver.tree(project, made.id, { [trait.id]: value as string });
    if (!tree) throw new Error("nothing to move");
    return layout(env, tree);
  };
  const moving = (how: Motion) => {
    const mover = new Mover();
    mover.retarget(placed(no), { kind: "cut", duration: 0, delay: 0, easing: "linear" }, 0, "s");
    mover.retarget(placed(yes), how, 0, "s");
    return mover;
  };
  const even = moving({ kind: "tween", duration: 1e6, delay: 0, easing: "ease-in-out" });
  const sample = median((i) => { even.sample(1000 + i * 100); }, 200, 50);
  const painted = median((i) => { const p = even.sample(2000 + i * 100); if (p) paint(p); }, 200, 50);
  line(`motion: one sample of ${LAYERS} moving layers (6 properties each)`, `${sample.toFixed(3)} ms, ${((LAYERS * 6) / sample / 1000).toFixed(1)} million values/s`);
  line("motion: one sample and its paint", `${painted.toFixed(3)} ms`);
  const slow: Motion["easing"] = { kind: "spring", mass: 100, stiffness: 20, damping: 20 };
  const sprung = moving({ kind: "tween", duration: 0, delay: 0, easing: slow, lanes: ids.map((layer, i) => ({ layer, key: null, delay: i, duration: 0, easing: slow })) });
  line(`motion: the same, a cascade of ${LAYERS} lanes with springs`, `${median((i) => { sprung.sample(600 + i * 10); }, 200, 50).toFixed(3)} ms a sample`);
  const change = median((i) => { even.retarget(placed(i % 2 ? yes : no), { kind: "tween", duration: 1e6, delay: 0, easing: "ease" }, 1e5 + i * 16, "s"); }, 60, 10);
  line(`motion: turning ${LAYERS} moving layers round, with their velocities`, `${change.toFixed(3)} ms`);
};
