import { useRef } from "react";
import type { Id } from "#core/basics";
import { boundsIn, unite } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { variantKey, variantsOf } from "#core/looks";
import { ROOT } from "#core/project";
import { useSession } from "../../session/context";
import { activeOf, useBenchStore } from "../state/state";

/** How far the socket lies outside of what is chosen, px on screen. */
const AWAY = 20;

/**
 * What lies under the pointer that a wire can end at: a card, or a screen offered while one drags.
 */
const targetAt = (x: number, y: number): HTMLElement | null =>
  document
    .elementsFromPoint(x, y)
    .map((e) => e.closest<HTMLElement>("[data-wire-screen], [data-variant]"))
    .find((e) => e !== null && e !== undefined) ?? null;

/**
 * The socket of the chosen layers, or of the whole piece: drag from it to the card it shall lead
 * to.
 */
export const Socket = ({
  placed,
  chosen,
  zoom,
}: {
  placed: LayoutBox;
  chosen: readonly Id[];
  zoom: number;
}) => {
  const store = useBenchStore();
  const session = useSession();
  const line = useRef<SVGSVGElement>(null);
  const over = useRef<HTMLElement | null>(null);
  const from = useRef<{ x: number; y: number } | null>(null);
  const layers = chosen.filter((id) => id !== ROOT);
  const bounds = boundsIn(placed);
  const box = layers.length
    ? unite(layers.flatMap((id) => bounds.get(id) ?? []))
    : { x: 0, y: 0, width: placed.width, height: placed.height };
  if (!box) return null;
  const light = (next: HTMLElement | null) => {
    if (next === over.current) return;
    over.current?.classList.remove("wire-target");
    next?.classList.add("wire-target");
    over.current = next;
  };
  const end = () => {
    from.current = null;
    light(null);
    line.current?.setAttribute("visibility", "hidden");
    store.getState().put({ wiring: false });
  };
  const down = (e: React.PointerEvent<HTMLButtonElement>) => {
    e.stopPropagation();
    e.preventDefault();
    e.currentTarget.setPointerCapture(e.pointerId);
    const r = e.currentTarget.getBoundingClientRect();
    from.current = { x: r.x + r.width / 2, y: r.y + r.height / 2 };
    store.getState().put({ wiring: true, wired: null });
  };
  const move = (e: React.PointerEvent) => {
    const a = from.current;
    if (!a) return;
    const bend = Math.max(30, Math.abs(e.clientX - a.x) / 2);
    line.current?.setAttribute("visibility", "visible");
    line.current?.firstElementChild?.setAttribute(
      "d",
      `M${a.x} ${a.y} C${a.x + bend} ${a.y} ${e.clientX - bend} ${e.clientY} ${e.clientX} ${e.clientY}`,
    );
    light(targetAt(e.clientX, e.clientY));
  };
  const up = (e: React.PointerEvent) => {
    if (!from.current) return;
    const target = targetAt(e.clientX, e.clientY);
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    end();
    if (!target || !piece) return;
    const { variants } = activeOf(piece, state);
    const { wireScreen, variant: key } = target.dataset;
    const to =
      wireScreen !== undefined
        ? { screen: wireScreen.slice(1), over: wireScreen.startsWith("+") }
        : variantsOf(piece).find((v) => variantKey(piece, v) === key);
    if (
      !to ||
      (wireScreen === undefined &&
        variants.length === 1 &&
        variantKey(piece, variants[0] ?? {}) === key)
    )
      return;
    state.put({
      wired: {
        x: e.clientX,
        y: e.clientY,
        layers: layers.length ? layers : [ROOT],
        from: variants,
        to:
          wireScreen !== undefined
            ? (to as { screen: Id; over: boolean })
            : { variant: to as Readonly<Record<Id, Id>> },
      },
    });
  };
  return (
    <>
      <button
        type="button"
        className="socket"
        aria-label="Wire: drag to the card it shall lead to"
        title="Drag to the card, screen or overlay this shall lead to"
        style={{
          left: (box.x + box.width) * zoom + AWAY - 8,
          top: (box.y + box.height / 2) * zoom - 8,
        }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={end}
        onDoubleClick={(e) => e.stopPropagation()}
      />
      <svg ref={line} className="wire-line" visibility="hidden" aria-hidden="true">
        <path fill="none" />
      </svg>
    </>
  );
};
