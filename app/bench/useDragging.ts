import { useRef } from "react";
import type { PointerEvent } from "react";
import { topmost } from "#core/edit";
import type { Placed } from "#core/layout";
import { valuesIn } from "#core/looks";
import type { Id, Variant } from "#core/project";
import { ROOT } from "#core/project";
import { useSession } from "../store/session-context";
import { useEdits } from "./edits";
import { pickLayer } from "./pick";
import { activeOf, useBenchStore } from "./state";

interface Drag { readonly x: number; readonly y: number; readonly gesture: string; ids: readonly Id[]; from: Map<Id, { x: number; y: number }>; moving: boolean; moved: boolean }

/** px on screen before a press becomes a drag */
const SLACK = 3;

/** Choosing and moving layers with the pointer, directly on a card. Alt drags copies, Shift keeps to one direction. */
export const useDragging = (variant: Variant, placed: Placed | null, zoom: number) => {
  const session = useSession();
  const store = useBenchStore();
  const edits = useEdits();
  const drag = useRef<Drag | null>(null);

  const at = (e: PointerEvent | React.MouseEvent): [number, number] => {
    const box = e.currentTarget.getBoundingClientRect();
    return [(e.clientX - box.left) / zoom, (e.clientY - box.top) / zoom];
  };

  const begin = (d: Drag, alt: boolean) => {
    d.moving = true;
    if (alt) d.ids = edits.duplicate(d.ids, 0);
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (!piece) return;
    const active = activeOf(piece, state);
    for (const id of topmost(piece, d.ids)) {
      const layer = piece.layers[id];
      const parent = layer?.parent == null ? undefined : piece.layers[layer.parent];
      if (!layer || !parent) continue;
      const v = valuesIn(session.project, piece, active.variant, layer);
      if (valuesIn(session.project, piece, active.variant, parent).arrange !== "free" && !v.floats) {
        state.put({ hint: `${parent.name} arranges its layers in a ${String(valuesIn(session.project, piece, active.variant, parent).arrange)}, so ${layer.name} keeps its place. Let it float, or restack it in the tree.` });
        continue;
      }
      d.from.set(id, { x: v.x as number, y: v.y as number });
    }
    state.put({ editing: d.from.size > 0 });
  };

  const onPointerDown = (e: PointerEvent<HTMLElement>) => {
    // the handles lie on the scene and look after themselves
    if (e.button !== 0 || !placed || (e.target as Element).closest(".moveable-control-box")) return;
    const state = store.getState();
    state.look(variant);
    const piece = session.project.pieces[state.pieceId];
    if (!piece) return;
    const [x, y] = at(e);
    const picked = pickLayer(piece, placed, x, y, state.chosen, e.ctrlKey || e.metaKey ? "deep" : "level");
    if (picked === null) { state.choose([]); return; }
    if (e.shiftKey) state.choose(state.chosen.includes(picked) ? state.chosen.filter((id) => id !== picked) : [...state.chosen, picked]);
    else if (!state.chosen.includes(picked)) state.choose([picked]);
    const ids = store.getState().chosen;
    if (ids.some((id) => id !== ROOT)) {
      e.currentTarget.setPointerCapture(e.pointerId);
      drag.current = { x: e.clientX, y: e.clientY, gesture: `drag ${Date.now()}`, ids, from: new Map(), moving: false, moved: false };
    }
  };

  const onPointerMove = (e: PointerEvent<HTMLElement>) => {
    const d = drag.current;
    if (!d) return;
    if (!d.moving) {
      if (Math.hypot(e.clientX - d.x, e.clientY - d.y) < SLACK) return;
      begin(d, e.altKey);
    }
    let dx = Math.round((e.clientX - d.x) / zoom), dy = Math.round((e.clientY - d.y) / zoom);
    if (e.shiftKey) { if (Math.abs(dx) > Math.abs(dy)) dy = 0; else dx = 0; }
    if (d.from.size === 0) return;
    d.moved = true;
    edits.set(Object.fromEntries([...d.from].map(([id, p]) => [id, { x: p.x + dx, y: p.y + dy }])), d.gesture);
  };

  const finish = () => {
    if (!drag.current) return;
    drag.current = null;
    session.settle();
    store.getState().put({ editing: false });
  };

  const onDoubleClick = (e: React.MouseEvent<HTMLElement>): Id | null => {
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (!piece || !placed) return null;
    const [x, y] = at(e);
    const picked = pickLayer(piece, placed, x, y, state.chosen, "into");
    if (picked !== null) state.choose([picked]);
    return picked;
  };

  return { onPointerDown, onPointerMove, onPointerUp: finish, onPointerCancel: finish, onDoubleClick };
};
