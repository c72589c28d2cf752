import {
  addLayer,
  addPiece,
  addRule,
  addTrait,
  emptyProject,
  setValues,
} from "../../core/edit/index.ts";
import { inOrder } from "../../core/project/index.ts";
import type { Lane, Motion, Piece, Project } from "../../core/project/index.ts";
import type { Value } from "../../core/properties/index.ts";
import { must } from "./support.ts";

export interface Fleet {
  readonly project: Project;
  readonly piece: string;
  readonly trait: string;
  readonly no: string;
  readonly yes: string;
  readonly ids: readonly string[];
}

/** Shadow as a layer at rest or lifted casts it. */
export const cast = (y: number) => [{ x: 0, y, blur: y * 2, spread: 0, colour: "#00000040" }];

/**
 * A component of many small boxes that all change at once when it is clicked. `to` says what of
 * each one changes.
 */
export const fleet = (
  layers: number,
  rest: Record<string, Value>,
  to: (i: number) => Record<string, Value>,
  motion: Motion,
): Fleet => {
  const made = addPiece(emptyProject("Bench"), "component", "Fleet");
  let project = must(emptyProject("Bench"), made.change);
  const piece = () => project.pieces[made.id] as Piece;
  project = must(
    project,
    setValues(piece(), {}, { root: { width: 800, height: 600, fill: "#f5f1e8" } }),
  );
  const trait = addTrait(piece(), "Open", ["no", "yes"]);
  project = must(project, trait.change);
  const [no = "", yes = ""] = inOrder(piece().traits[trait.id]?.values ?? {}).map((v) => v.id);
  const ids: string[] = [];
  for (let i = 0; i < layers; i++) {
    const layer = addLayer(piece(), "box", "root", {
      x: 10 + (i % 25) * 30,
      y: 10 + Math.floor(i / 25) * 28,
      width: 20,
      height: 20,
      fill: "#c9c3b4",
      ...rest,
    });
    project = must(project, layer.change);
    project = must(project, setValues(piece(), { [trait.id]: [yes] }, { [layer.id]: to(i) }));
    ids.push(layer.id);
  }
  project = must(
    project,
    addRule(piece(), {
      trigger: { type: "click" },
      effects: [{ type: "set", trait: trait.id, to: { step: "opposite" } }],
      motion,
    }).change,
  );
  return { project, piece: made.id, trait: trait.id, no, yes, ids };
};

/**
 * A screen with copies of a buoy: a component that rocks, blinks and turns for ever, each part in a
 * time of its own.
 */
export const buoys = (copies: number): { readonly project: Project; readonly piece: string } => {
  const buoy = addPiece(emptyProject("Bench"), "component", "Buoy");
  let project = must(emptyProject("Bench"), buoy.change);
  let at = buoy.id;
  const piece = () => project.pieces[at] as Piece;
  const lanes: Lane[] = [];
  project = must(project, setValues(piece(), {}, { root: { width: 120, height: 120 } }));
  for (let i = 0; i < 6; i++) {
    const layer = addLayer(piece(), i % 2 ? "ellipse" : "box", "root", {
      x: 10 + i * 15,
      y: 40,
      width: 24,
      height: 24,
      fill: "#1f6f5c",
    });
    project = must(project, layer.change);
    const goes = (key: string, duration: number, value: Value): Lane => ({
      layer: layer.id,
      key,
      delay: 0,
      duration,
      easing: "ease-in-out",
      times: 0,
      turns: true,
      poses: [{ at: 1, value, easing: "ease-in-out" }],
    });
    lanes.push(
      goes("y", 700 + i * 110, 10),
      goes("opacity", 500 + i * 70, 0.3),
      goes("rotation", 900 + i * 130, 90),
    );
  }
  project = must(
    project,
    addRule(piece(), {
      trigger: { type: "delay", ms: 0 },
      effects: [{ type: "stir" }],
      motion: { kind: "tween", duration: 100, delay: 0, easing: "linear", lanes },
    }).change,
  );
  const screen = addPiece(project, "screen", "Roadstead");
  project = must(project, screen.change);
  at = screen.id;
  for (let i = 0; i < copies; i++)
    project = must(
      project,
      addLayer(piece(), "instance", "root", {
        component: buoy.id,
        x: (i % 6) * 130,
        y: Math.floor(i / 6) * 130,
      }).change,
    );
  return { project, piece: at };
};
