import { useCallback, useRef, useState } from "react";
import type { MouseEvent, PointerEvent } from "react";
import type { Id } from "#core/basics";
import { boundsOf, unite } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { ROOT } from "#core/project";
import { ContextMenu } from "../../ui/floating/ContextMenu";
import type { MenuAt } from "../../ui/floating/ContextMenu";
import { useWorkpiece } from "../state/context";
import { WireDrawing, wireEnds, wirePath } from "./gestures/wire";
import type { WireEnd } from "./gestures/wire";
import { toolsWords } from "./words";

/**
 * How far the socket lies outside of the piece, px on screen: it covers neither what is in it nor
 * the handles at its edge.
 */
const AWAY = 34;
/** Half a socket, px on screen. */
const HALF = 12;

/**
 * What lies under the pointer that a wire can end at: a card, or a screen offered while one drags.
 */
const targetAt = (x: number, y: number): HTMLElement | null =>
  document
    .elementsFromPoint(x, y)
    .map((e) => e.closest<HTMLElement>("[data-wire-screen], [data-variant]"))
    .find((e) => e !== null && e !== undefined) ?? null;

const endOf = (target: HTMLElement | null): WireEnd | null => {
  const { wireScreen, variant } = target?.dataset ?? {};
  if (wireScreen !== undefined)
    return { screen: wireScreen.slice(1), over: wireScreen.startsWith("+") };
  return variant === undefined ? null : { card: variant };
};

interface Props {
  readonly placed: LayoutBox;
  readonly chosen: readonly Id[];
  readonly zoom: number;
}

/**
 * The socket of the chosen layers, or of the whole piece: drag from it to the card it shall lead
 * to.
 */
export const Socket = ({ placed, chosen, zoom }: Props) => {
  const workpiece = useWorkpiece();
  const [wire] = useState(() => new WireDrawing(workpiece));
  const [menu, setMenu] = useState<MenuAt | null>(null);
  const closeMenu = useCallback(() => setMenu(null), []);
  const line = useRef<SVGSVGElement>(null);
  const over = useRef<HTMLElement | null>(null);
  const layers = chosen.filter((id) => id !== ROOT);
  const box = layers.length
    ? unite(layers.flatMap((id) => boundsOf(placed, id) ?? []))
    : { x: 0, y: 0, width: placed.width, height: placed.height };
  if (!box) return null;
  const light = (next: HTMLElement | null) => {
    if (next === over.current) return;
    over.current?.classList.remove("wire-target");
    next?.classList.add("wire-target");
    over.current = next;
  };
  const rest = () => {
    light(null);
    line.current?.setAttribute("visibility", "hidden");
  };
  const down = (e: PointerEvent<HTMLButtonElement>) => {
    e.stopPropagation();
    e.preventDefault();
    e.currentTarget.setPointerCapture(e.pointerId);
    const r = e.currentTarget.getBoundingClientRect();
    wire.begin({ x: r.x + r.width / 2, y: r.y + r.height / 2 });
  };
  const move = (e: PointerEvent) => {
    if (!wire.from) return;
    line.current?.setAttribute("visibility", "visible");
    line.current?.firstElementChild?.setAttribute(
      "d",
      wirePath(wire.from, { x: e.clientX, y: e.clientY }),
    );
    light(targetAt(e.clientX, e.clientY));
  };
  const up = (e: PointerEvent) => {
    const end = endOf(targetAt(e.clientX, e.clientY));
    rest();
    wire.end({ x: e.clientX, y: e.clientY }, end);
  };
  const cancel = () => {
    rest();
    wire.cancel();
  };
  /** A key that presses the socket asks where the wire shall lead. */
  const click = (e: MouseEvent<HTMLButtonElement>) => {
    if (e.detail > 0) return;
    const r = e.currentTarget.getBoundingClientRect();
    const at = { x: r.right, y: r.bottom };
    const items = wireEnds(workpiece).map(({ label, end }) => ({
      label,
      onPick: () => {
        wire.begin(at);
        wire.end(at, end);
      },
    }));
    setMenu({ ...at, items });
  };
  const edge = Math.max(box.x + box.width, placed.width) * zoom;
  const from = (box.x + box.width) * zoom;
  const level = (box.y + box.height / 2) * zoom;
  return (
    <>
      {edge - from > 1 && (
        <span
          className="socket-lead"
          aria-hidden="true"
          style={{ left: from, width: edge - from + AWAY - HALF, top: level }}
        />
      )}
      <button
        type="button"
        className="socket"
        aria-haspopup="menu"
        aria-label={toolsWords.wireDragCardShould}
        title={toolsWords.dragCardScreenOverlay}
        style={{
          left: edge + AWAY - HALF,
          top: level - HALF,
        }}
        onClick={click}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={cancel}
        onDoubleClick={(e) => e.stopPropagation()}
      />
      <svg ref={line} className="wire-line" visibility="hidden" aria-hidden="true">
        <path fill="none" />
      </svg>
      {menu && <ContextMenu menu={menu} onClose={closeMenu} />}
    </>
  );
};
