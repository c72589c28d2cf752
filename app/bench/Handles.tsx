import Moveable from "moveable";
import { useEffect, useLayoutEffect, useRef } from "react";
import type { RefObject } from "react";
import { valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { Id } from "#core/project";
import type { Value } from "#core/properties";
import { useSession } from "../store/session-context";
import { useEdits } from "./edits";
import { activeOf, useBenchStore } from "./state";

interface Props { frame: RefObject<HTMLDivElement | null>; layer: Id; zoom: number; rect: { x: number; y: number; width: number; height: number } }

/** On a small layer handles would cover it: it keeps one at its corner. The root stays at its top left. */
const directionsFor = (layer: Id, width: number, height: number): string[] => {
  if (layer === ROOT) return ["e", "s", "se"];
  const wide = width >= 36, high = height >= 36;
  if (!wide && !high) return ["se"];
  return [...(wide && high ? ["nw", "ne", "sw"] : []), "se", ...(high ? ["e", "w"] : []), ...(wide ? ["n", "s"] : [])];
};

/** Handles to resize the chosen layer on the card one looks at. Shift keeps its proportions. */
export const Handles = ({ frame, layer, zoom, rect }: Props) => {
  const session = useSession();
  const store = useBenchStore();
  const edits = useEdits();
  const moveable = useRef<Moveable>(null);
  const latest = useRef({ rect, zoom });
  useEffect(() => { latest.current = { rect, zoom }; });

  useEffect(() => {
    const target = frame.current;
    const container = target?.parentElement;
    if (!target || !container) return;
    const handles = new Moveable(container, {
      target, resizable: true, draggable: false, origin: false,
      renderDirections: directionsFor(layer, target.offsetWidth, target.offsetHeight),
    });
    moveable.current = handles;
    let start = { x: 0, y: 0, width: 0, height: 0 }, gesture = "";
    // set between gestures: changing it within one would end it
    const ratio = (e: KeyboardEvent) => { if (e.key === "Shift" && !handles.isDragging()) handles.keepRatio = e.type === "keydown"; };
    window.addEventListener("keydown", ratio);
    window.addEventListener("keyup", ratio);
    handles.on("resizeStart", () => {
      const { piece, variant } = activeOf(session.project.pieces[store.getState().pieceId] as never, store.getState());
      const record = piece.layers[layer];
      const v = record ? valuesIn(session.project, piece, variant, record) : {};
      const now = latest.current.rect;
      start = { x: v.x as number, y: v.y as number, width: now.width, height: now.height };
      gesture = `resize ${Date.now()}`;
      store.getState().put({ editing: true });
    });
    handles.on("resize", (e) => {
      const z = latest.current.zoom;
      // the layer is resized by the edit, not by the handles, so only the way of the pointer counts
      const width = Math.max(0, Math.round(start.width + (e.dist[0] ?? 0) / z)), height = Math.max(0, Math.round(start.height + (e.dist[1] ?? 0) / z));
      const next: Record<string, Value> = {};
      if (width !== Math.round(start.width) || e.direction[0] !== 0) Object.assign(next, { width, widthMode: "fixed" });
      if (height !== Math.round(start.height) || e.direction[1] !== 0) Object.assign(next, { height, heightMode: "fixed" });
      if (layer !== ROOT && (e.direction[0] ?? 0) < 0) next.x = Math.round(start.x + start.width - width);
      if (layer !== ROOT && (e.direction[1] ?? 0) < 0) next.y = Math.round(start.y + start.height - height);
      edits.set({ [layer]: next }, gesture);
    });
    handles.on("resizeEnd", () => {
      session.settle();
      store.getState().put({ editing: false });
    });
    return () => {
      window.removeEventListener("keydown", ratio);
      window.removeEventListener("keyup", ratio);
      handles.destroy();
      moveable.current = null;
    };
  }, [frame, layer, session, store, edits]);

  useLayoutEffect(() => {
    const handles = moveable.current;
    if (!handles || !frame.current) return;
    if (!handles.isDragging()) handles.renderDirections = directionsFor(layer, frame.current.offsetWidth, frame.current.offsetHeight);
    handles.updateRect();
  }, [frame, layer, rect.x, rect.y, rect.width, rect.height, zoom]);
  return null;
};
