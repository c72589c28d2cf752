import { layout } from "../../core/layout/index.ts";
import type { LayoutEnv } from "../../core/layout/index.ts";
import { Resolver } from "../../core/looks/index.ts";
import { Mover } from "../../core/motion/index.ts";
import { paint } from "../../core/paint/index.ts";
import { addLayer, addPiece, addTrait, emptyProject, setValues } from "../../core/edit/index.ts";
import { inOrder } from "../../core/project/index.ts";
import type { Piece } from "../../core/project/index.ts";
import { median, must } from "./support.ts";
import type { Line } from "./support.ts";

/** Sampling a tween in which 200 layers move and change colour, shadow and corners at once. */
export const motion = (env: LayoutEnv, line: Line): void => {
  const made = addPiece(emptyProject("Bench"), "component", "Fleet");
  let project = must(emptyProject("Bench"), made.change);
  const piece = () => project.pieces[made.id] as Piece;
  const trait = addTrait(piece(), "Open", ["no", "yes"]);
  project = must(project, trait.change);
  const [no, yes] = inOrder(piece().traits[trait.id]?.values ?? {}).map((v) => v.id);
  const shadow = (y: number) => [{ x: 0, y, blur: y * 2, spread: 0, colour: "#00000040" }];
  for (let i = 0; i < 200; i++) {
    const layer = addLayer(piece(), "box", "root", { x: i, y: i, width: 20, height: 20, fill: "#c9c3b4", shadow: shadow(1) });
    project = must(project, layer.change);
    project = must(project, setValues(piece(), { [trait.id]: [yes as string] }, { [layer.id]: { x: 400 - i, width: 40, fill: "#1f6f5c", radius: [8, 8, 8, 8], opacity: 0.6, shadow: shadow(6) } }));
  }
  const resolver = new Resolver();
  const placed = (value: string | undefined) => {
    const tree = resolver.tree(project, made.id, { [trait.id]: value as string });
    if (!tree) throw new Error("nothing to move");
    return layout(env, tree);
  };
  const mover = new Mover();
  mover.retarget(placed(no), { kind: "cut", duration: 0, delay: 0, easing: "linear" }, 0, "s");
  mover.retarget(placed(yes), { kind: "tween", duration: 1e6, delay: 0, easing: "ease-in-out" }, 0, "s");
  const sample = median((i) => { mover.sample(1000 + i * 100); }, 200, 50);
  const painted = median((i) => { const p = mover.sample(2000 + i * 100); if (p) paint(p); }, 200, 50);
  line("motion: one sample of 200 moving layers (6 properties each)", `${sample.toFixed(3)} ms, ${(1 / sample).toFixed(1)} samples/ms`);
  line("motion: one sample and its paint", `${painted.toFixed(3)} ms`);
};
