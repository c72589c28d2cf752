import { curveOf } from "#core/motion";
import type { Easing } from "#core/project";

const SIZE = { width: 26, height: 16 };
const POINTS = 40;
/** Room for what goes past the end or winds up first, as a share of the way. */
const BEYOND = 0.35;

/** A curve as a little picture: time to the right, the way upwards. */
export const CurveMark = ({ easing }: { readonly easing: Easing }) => {
  const curve = curveOf(easing);
  const points = Array.from({ length: POINTS + 1 }, (_, i) => {
    const t = i / POINTS;
    const way = (curve(t) + BEYOND) / (1 + 2 * BEYOND);
    return `${(1 + t * (SIZE.width - 2)).toFixed(1)} ${((1 - way) * SIZE.height).toFixed(1)}`;
  });
  return (
    <svg className="curve-mark" {...SIZE} viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} aria-hidden>
      <polyline points={points.join(" ")} />
    </svg>
  );
};
