import type { Id } from "#core/basics";
import type { LayoutBox } from "#core/layout";
import { comingFrom, goingTo, inPose } from "#core/motion";
import { HERE } from "#core/properties";
import type { AwayPose } from "#core/properties";
import type { Posing } from "../state/view";

/** A scene with one of its layers changed. */
const withLayer = (
  scene: LayoutBox,
  id: Id,
  change: (placed: LayoutBox) => LayoutBox,
): LayoutBox =>
  scene.layer.id === id
    ? change(scene)
    : { ...scene, children: scene.children.map((c) => withLayer(c, id, change)) };

const find = (scene: LayoutBox, id: Id): LayoutBox | null => {
  if (scene.layer.id === id) return scene;
  for (const child of scene.children) {
    const found = find(child, id);
    if (found) return found;
  }
  return null;
};

/** The pose a layer has in a scene; one that only fades is where it is. */
export const poseOf = (scene: LayoutBox, { layer, key }: Posing): AwayPose => {
  const placed = find(scene, layer);
  const own = placed && (key === "comesFrom" ? comingFrom(placed) : goingTo(placed));
  return own ?? { ...HERE, opacity: 0 };
};

/** How clear a layer is drawn that one poses, however faint its pose: one must see it. */
const SEEN = 0.45;

/** The scene with a layer in its pose, for one to see and take hold of. */
export const posedScene = (scene: LayoutBox, posing: Posing): LayoutBox => {
  const pose = poseOf(scene, posing);
  return withLayer(scene, posing.layer, (p) =>
    inPose(p, { ...pose, opacity: Math.max(SEEN, pose.opacity) }),
  );
};
