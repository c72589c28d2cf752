/** Within how many degrees the eighths of a turn catch. */
const EIGHTHS = 3;

/** What a turn comes to: whole degrees; in steps those of 15, else the eighths catch. */
export const turned = (degrees: number, steps: boolean): number => {
  if (steps) return Math.round(degrees / 15) * 15;
  const eighth = Math.round(degrees / 45) * 45;
  return Math.abs(degrees - eighth) < EIGHTHS ? eighth : Math.round(degrees);
};

type Point = readonly [x: number, y: number];

/** How far a hand has gone round a middle from one place to another, degrees, the short way. */
export const turnOf = (middle: Point, from: Point, to: Point): number => {
  const angle = ([x, y]: Point) => Math.atan2(y - middle[1], x - middle[0]) * (180 / Math.PI);
  const by = angle(to) - angle(from);
  return ((((by + 180) % 360) + 360) % 360) - 180;
};
