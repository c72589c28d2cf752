import { present } from "../basics";
/** Points along outlines. */
export type Ring = [number, number][];

const TOLERANCE = 0.02;

/** How many straight pieces an arc of a radius and angle needs to stay within the tolerance. */
const pieces = (radius: number, angle: number): number =>
  radius <= TOLERANCE
    ? 1
    : Math.max(
        2,
        Math.min(256, Math.ceil(Math.abs(angle) / (2 * Math.acos(1 - TOLERANCE / radius)))),
      );

/**
 * An elliptical arc without rotation by its end points (SVG 2 appendix B.2.4), as points after the
 * first.
 */
const arc = (
  x1: number,
  y1: number,
  rx: number,
  ry: number,
  large: boolean,
  sweep: boolean,
  x2: number,
  y2: number,
): Ring => {
  if (rx < 1e-6 || ry < 1e-6 || (x1 === x2 && y1 === y2)) return [[x2, y2]];
  const dx = (x1 - x2) / 2;
  const dy = (y1 - y2) / 2;
  const lack = (dx / rx) ** 2 + (dy / ry) ** 2;
  if (lack > 1) {
    rx *= Math.sqrt(lack);
    ry *= Math.sqrt(lack);
  }
  const part =
    Math.sqrt(
      Math.max(0, (rx * ry) ** 2 - (rx * dy) ** 2 - (ry * dx) ** 2) /
        ((rx * dy) ** 2 + (ry * dx) ** 2),
    ) * (large === sweep ? -1 : 1);
  const cx = (part * rx * dy) / ry + (x1 + x2) / 2;
  const cy = (-part * ry * dx) / rx + (y1 + y2) / 2;
  const from = Math.atan2((y1 - cy) / ry, (x1 - cx) / rx);
  let by = Math.atan2((y2 - cy) / ry, (x2 - cx) / rx) - from;
  if (sweep && by < 0) by += 2 * Math.PI;
  if (!sweep && by > 0) by -= 2 * Math.PI;
  const n = pieces(Math.max(rx, ry), by);
  return Array.from({ length: n }, (_, i): [number, number] =>
    i === n - 1
      ? [x2, y2]
      : [
          cx + rx * Math.cos(from + (by * (i + 1)) / n),
          cy + ry * Math.sin(from + (by * (i + 1)) / n),
        ],
  );
};

const curve = (points: readonly number[]): Ring => {
  const at = (i: number) => present(points[i]);
  const cubic = points.length === 8;
  let length = 0;
  for (let i = 2; i < points.length; i += 2)
    length += Math.hypot(at(i) - at(i - 2), at(i + 1) - at(i - 1));
  const n = Math.max(4, Math.min(96, Math.ceil(Math.sqrt(length / TOLERANCE) / 2.5)));
  return Array.from({ length: n }, (_, k): [number, number] => {
    const t = (k + 1) / n;
    const s = 1 - t;
    const of = (o: number) =>
      cubic
        ? s * s * s * at(o) +
          3 * s * s * t * at(o + 2) +
          3 * s * t * t * at(o + 4) +
          t * t * t * at(o + 6)
        : s * s * at(o) + 2 * s * t * at(o + 2) + t * t * at(o + 4);
    return [of(0), of(1)];
  });
};

const counts: Readonly<Record<string, number>> = { M: 2, L: 2, H: 1, V: 1, C: 6, Q: 4, A: 7, Z: 0 };

/**
 * Path data of absolute commands (M L H V C Q A Z, arcs without rotation) as closed rings of
 * points, within a fiftieth of a px.
 */
export const flatten = (data: string): Ring[] => {
  const rings: Ring[] = [];
  const tokens = data.match(/[MLHVCQAZ]|[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/g) ?? [];
  let ring: Ring = [];
  let command = "M";
  let x = 0;
  let y = 0;
  for (let i = 0; i < tokens.length;) {
    if (/[A-Z]/.test(present(tokens[i]))) command = present(tokens[i++]);
    else if (command === "Z") break;
    const n = counts[command] ?? 0;
    const v = tokens.slice(i, i + n).map(Number);
    i += n;
    if (v.length < n) break;
    const [a = 0, b = 0] = v;
    switch (command) {
      case "M":
        ring = [[a, b]];
        rings.push(ring);
        command = "L";
        break;
      case "L":
        ring.push([a, b]);
        break;
      case "H":
        ring.push([a, y]);
        break;
      case "V":
        ring.push([x, a]);
        break;
      case "C":
      case "Q":
        ring.push(...curve([x, y, ...v]));
        break;
      case "A":
        ring.push(...arc(x, y, a, b, v[3] === 1, v[4] === 1, v[5] ?? 0, v[6] ?? 0));
        break;
      default:
        break;
    }
    const end = command === "Z" ? ring[0] : ring.at(-1);
    if (end) [x, y] = end;
  }
  return rings.filter((points) => points.length > 2);
};
