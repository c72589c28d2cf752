import type { Preview } from "../../state/timing";
import { stageWords } from "../words";

/** The moment that is shown, and the path a layer takes, closer dots where it is slower. */
export const OnionPath = ({
  preview,
  width,
  height,
  zoom,
}: {
  preview: Preview;
  /** of the card, px on screen */
  width: number;
  height: number;
  zoom: number;
}) => (
  <>
    <span className="preview-time mono">{stageWords.ms(preview.at)}</span>
    {preview.path.length > 0 && (
      <svg className="onion" width={width} height={height} aria-hidden="true">
        <polyline points={preview.path.map(([x, y]) => `${x * zoom},${y * zoom}`).join(" ")} />
        {preview.path.map(([x, y], i) => (
          <circle key={i} cx={x * zoom} cy={y * zoom} r={2.2} />
        ))}
      </svg>
    )}
  </>
);
