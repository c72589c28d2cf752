import { useLayoutEffect, useRef } from "react";
import type { RefObject } from "react";
import type { LayoutBox } from "#core/layout";
import { paint } from "#core/paint";
import { Drawing } from "#player";
import { useSceneOf, useWorkpiece } from "../state/context";

/** Draws a scene on a card at once. */
export type Draw = (placed: LayoutBox | null) => void;

interface Props {
  /** the key of the card */
  readonly of: string;
  readonly zoom: number;
  /** what is shown instead of the card's own look */
  readonly instead: LayoutBox | null;
  /** is given what draws another scene, until the next edit */
  readonly draw: RefObject<Draw | null>;
}

const widthOf = (placed: LayoutBox | null) => placed?.width ?? 0;
const heightOf = (placed: LayoutBox | null) => placed?.height ?? 0;

/**
 * The picture of a card. What changes on it with an edit is drawn beside React, so that the card
 * does not render.
 */
export const CardCanvas = ({ of, zoom, instead, draw }: Props) => {
  const { scenes } = useWorkpiece();
  const host = useRef<SVGSVGElement>(null);
  const ownWidth = useSceneOf(of, widthOf);
  const ownHeight = useSceneOf(of, heightOf);
  const width = instead ? instead.width : ownWidth;
  const height = instead ? instead.height : ownHeight;
  useLayoutEffect(() => {
    if (!host.current) return;
    const drawing = new Drawing(host.current);
    draw.current = (placed) => drawing.draw(placed && paint(placed, true));
    return () => {
      draw.current = null;
    };
  }, [draw]);
  useLayoutEffect(() => {
    const drawNow = () => draw.current?.(instead ?? scenes.get(of));
    drawNow();
    return instead ? undefined : scenes.subscribe(of, drawNow);
  }, [scenes, of, instead, draw]);
  return (
    <svg
      ref={host}
      className="canvas"
      width={width * zoom}
      height={height * zoom}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
    />
  );
};
