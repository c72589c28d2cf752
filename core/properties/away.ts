import { hundredths } from "./rounding";
import type { AwayPose } from "./types";

/** As the layer itself is. */
export const HERE: AwayPose = { x: 0, y: 0, scale: [1, 1], rotation: 0, opacity: 1, blur: 0 };

/** Where a layer comes from, or goes to, by a word of its own. */
export const FADE = "fade";
export const AS_IT_CAME = "as it came";

/** Poses with names, as they are offered and can be typed. */
export const namedPoses: Readonly<Record<string, AwayPose>> = {
  "pops up": { ...HERE, scale: [0, 0] },
  grows: { ...HERE, scale: [0.8, 0.8], opacity: 0 },
  "from below": { ...HERE, y: 24, opacity: 0 },
  "from above": { ...HERE, y: -24, opacity: 0 },
  "from the left": { ...HERE, x: -24, opacity: 0 },
  "from the right": { ...HERE, x: 24, opacity: 0 },
  "from a blur": { ...HERE, blur: 12, opacity: 0 },
  "at once": HERE,
};

const trim = (n: number): string => String(hundredths(n));

/** A pose in the words it can be typed in: what is as the layer itself is left out. */
export const poseText = (pose: AwayPose): string => {
  const named = Object.entries(namedPoses).find(([, p]) => isSamePose(p, pose));
  if (named) return named[0];
  const [sx, sy] = pose.scale;
  const scale = sx === sy ? trim(sx) : `${trim(sx)} ${trim(sy)}`;
  return [
    ...(pose.x === 0 ? [] : [`x ${trim(pose.x)}`]),
    ...(pose.y === 0 ? [] : [`y ${trim(pose.y)}`]),
    ...(sx === 1 && sy === 1 ? [] : [`scale ${scale}`]),
    ...(pose.rotation === 0 ? [] : [`rotation ${trim(pose.rotation)}`]),
    ...(pose.opacity === 1 ? [] : [`opacity ${trim(pose.opacity)}`]),
    ...(pose.blur === 0 ? [] : [`blur ${trim(pose.blur)}`]),
  ].join(", ");
};

const isSamePose = (a: AwayPose, b: AwayPose): boolean =>
  a.x === b.x &&
  a.y === b.y &&
  a.scale[0] === b.scale[0] &&
  a.scale[1] === b.scale[1] &&
  a.rotation === b.rotation &&
  a.opacity === b.opacity &&
  a.blur === b.blur;

const part = /^(x|y|scale|rotation|opacity|blur)\s*:?\s+(-?[\d.]+)(?:\s+(-?[\d.]+))?$/;

/** Reads a pose, by name or in parts such as "y 24, scale 0.8, opacity 0"; null when it is none. */
export const parsePose = (text: string): AwayPose | null => {
  const word = text.trim().toLowerCase();
  const named = Object.entries(namedPoses).find(([name]) => word !== "" && name.startsWith(word));
  if (named) return named[1];
  let pose = HERE;
  for (const said of word.replaceAll(/px|°/g, "").split(",")) {
    const [, key, first, second] = part.exec(said.trim()) ?? [];
    const n = Number(first);
    if (key === undefined || Number.isNaN(n) || (second !== undefined && key !== "scale"))
      return null;
    const value = key === "scale" ? ([n, second === undefined ? n : Number(second)] as const) : n;
    pose = { ...pose, [key]: value };
  }
  return pose;
};
