import { useEffect, useRef, useState } from "react";
import { Form } from "react-bootstrap";
import type { LayoutBox } from "#core/layout";
import { Canvas } from "../parts/shown/Canvas";
import { useNear } from "../parts/shown/useNear";
import { Choices } from "../ui/fields/Choices";
import { pixelDifference } from "./pixels";
import type { PixelDifference } from "./pixels";
import { editionsWords } from "./words";

/** The room there is for a picture, px. */
const WIDE = 300;
const HIGH = 200;

const ways = [
  { value: "slide", words: editionsWords.slide },
  { value: "pixels", words: editionsWords.pixels },
] as const;

/** In how many pixels two pictures differ; null until it is known, or where it cannot be. */
const usePixels = (
  before: LayoutBox | null,
  after: LayoutBox | null,
  isNear: boolean,
): PixelDifference | null => {
  const [found, setFound] = useState<{ of: LayoutBox; difference: PixelDifference } | null>(null);
  useEffect(() => {
    if (!before || !after || !isNear) return;
    let isOver = false;
    void pixelDifference(before, after)
      .then((difference) => {
        if (!isOver) setFound({ of: after, difference });
      })
      .catch(() => undefined);
    return () => {
      isOver = true;
    };
  }, [before, after, isNear]);
  return found && found.of === after ? found.difference : null;
};

/** A part of a piece, px of the piece. */
export interface Region {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface Props {
  readonly before: LayoutBox | null;
  readonly after: LayoutBox | null;
  readonly label: string;
  readonly high?: number;
  /** what is shown; all where nothing is said */
  readonly region?: Region | undefined;
}

const wholeOf = (before: LayoutBox | null, after: LayoutBox | null): Region => ({
  x: 0,
  y: 0,
  width: Math.max(before?.width ?? 1, after?.width ?? 1),
  height: Math.max(before?.height ?? 1, after?.height ?? 1),
});

/** The same piece before and after over one another, with a slider between them, or in pixels. */
export const BeforeAfter = ({ before, after, label, high = HIGH, region }: Props) => {
  const place = useRef<HTMLDivElement>(null);
  const isNear = useNear(place);
  const [at, setAt] = useState(50);
  const [way, setWay] = useState<(typeof ways)[number]["value"]>("slide");
  const difference = usePixels(before, after, isNear);
  const whole = wholeOf(before, after);
  const part = region ?? whole;
  const zoom = Math.min(1, WIDE / part.width, high / part.height);
  const size = { width: part.width * zoom, height: part.height * zoom };
  // shadows of a whole piece may lie around it
  const outside = region ? "0px" : "-14px";
  const moved = { transform: `translate(${-part.x * zoom}px, ${-part.y * zoom}px)` };
  const view = (placed: LayoutBox | null, clipPath: string) => (
    <div className="before-view" style={{ ...size, clipPath }}>
      <div style={moved}>
        <Canvas placed={placed} zoom={zoom} />
      </div>
    </div>
  );
  return (
    <div ref={place} className="before-after" role="group" aria-label={label}>
      <div className="before-stage" style={{ minHeight: size.height }}>
        {isNear && way === "slide" && (
          <div className="before-stack" style={size}>
            {view(before, `inset(${outside} ${100 - at}% ${outside} ${outside})`)}
            {view(after, `inset(${outside} ${outside} ${outside} ${at}%)`)}
            <span className="before-edge" style={{ left: `${at}%` }} />
          </div>
        )}
        {way === "pixels" && difference && (
          <div className="before-stack" style={{ ...size, overflow: "hidden" }}>
            <img
              src={difference.picture}
              alt={editionsWords.markedPixels}
              style={{ ...moved, width: whole.width * zoom, height: whole.height * zoom }}
            />
          </div>
        )}
      </div>
      <div className="before-tools">
        <Choices label={editionsWords.comparison} value={way} choices={ways} onChoose={setWay} />
        <Form.Range
          aria-label={editionsWords.dividerOf(label)}
          min={0}
          max={100}
          value={at}
          disabled={way !== "slide"}
          onChange={(e) => setAt(Number(e.target.value))}
        />
        <span className="quiet small-text before-share">
          {difference ? editionsWords.pixelShare(difference.share) : " "}
        </span>
      </div>
    </div>
  );
};
