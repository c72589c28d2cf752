import { useLayoutEffect, useRef } from "react";
import type { LayoutBox } from "#core/layout";
import { paint } from "#core/paint";
import { Drawing } from "#player";
import { useSceneOf, useWorkpiece } from "../../state/context";

/** Draws a scene on a card at once. */
export type Draw = (placed: LayoutBox | null) => void;

interface Props {
  /** the key of the card */
  readonly of: string;
  readonly zoom: number;
  /** what is shown instead of the card's own look */
  readonly instead: LayoutBox | null;
  /** is given what draws another scene, until the next edit */
  readonly live: (draw: Draw) => void;
}

const widthOf = (placed: LayoutBox | null) => placed?.width ?? 0;
const heightOf = (placed: LayoutBox | null) => placed?.height ?? 0;

/**
 * The picture of a card. What changes on it with an edit is drawn beside React, so that the card
 * does not render.
 */
export const CardCanvas = ({ of, zoom, instead, live }: Props) => {
  const { scenes } = useWorkpiece();
  const host = useRef<SVGSVGElement>(null);
  const drawing = useRef<Drawing>(null);
  const ownWidth = useSceneOf(of, widthOf);
  const ownHeight = useSceneOf(of, heightOf);
  const width = instead ? instead.width : ownWidth;
  const height = instead ? instead.height : ownHeight;
  useLayoutEffect(() => {
    if (!host.current) return;
    drawing.current ??= new Drawing(host.current);
    const draw: Draw = (placed) => drawing.current?.draw(placed && paint(placed, true));
    const drawOwn = () => draw(scenes.get(of));
    live(draw);
    if (instead) {
      draw(instead);
      return;
    }
    drawOwn();
    return scenes.subscribe(of, drawOwn);
  }, [scenes, of, instead, live]);
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
