import Moveable from "moveable";
import { pageNonce } from "../../ui/nonce";
import { useEffect, useLayoutEffect, useRef } from "react";
import type { RefObject } from "react";
import type { Id } from "#core/basics";
import { snap } from "#core/edit";
import type { Edges } from "#core/edit";
import { boundsIn, findBox, resized, unite } from "#core/layout";
import type { LayoutBox, Rect } from "#core/layout";
import { valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import { hundredths } from "#core/properties";
import type { Value } from "#core/properties";
import { useSession } from "../../session/context";
import { useEdits } from "../state/edits";
import { activeOf, noMarks, useBenchStore } from "../state/state";
import { neighbours } from "./useDragging";

interface Props {
  frame: RefObject<HTMLDivElement | null>;
  layers: readonly Id[];
  zoom: number;
  placed: LayoutBox;
}

/**
 * On a small layer handles would cover it: it keeps one at its corner. The root stays at its top
 * left.
 */
const directionsFor = (layers: readonly Id[], width: number, height: number): string[] => {
  if (layers[0] === ROOT) return ["e", "s", "se"];
  const wide = width >= 44;
  const high = height >= 44;
  return [
    ...(wide && high ? ["nw", "ne", "sw"] : []),
    "se",
    ...(high && width >= 22 ? ["e", "w"] : []),
    ...(width >= 64 && height >= 22 ? ["n", "s"] : []),
  ];
};

const CATCH = 6;
const QUARTERS = 3;

/** What a turn comes to: whole degrees; with Shift steps of 15, else the quarters catch. */
const turned = (degrees: number, steps: boolean): number => {
  if (steps) return Math.round(degrees / 15) * 15;
  const quarter = Math.round(degrees / 45) * 45;
  return Math.abs(degrees - quarter) < QUARTERS ? quarter : Math.round(degrees);
};

interface Start {
  readonly placed: LayoutBox;
  readonly bounds: ReadonlyMap<Id, Rect>;
  readonly frame: Rect;
  readonly values: ReadonlyMap<Id, Readonly<Record<string, Value>>>;
  readonly others: readonly Rect[];
  readonly gesture: string;
}

/**
 * Handles to resize and turn what is chosen on the card one looks at. Shift keeps the proportions
 * or turns in steps of 15°, Alt resizes about the middle; edges catch those of other layers unless
 * Ctrl is held.
 */
export const Handles = ({ frame, layers, zoom, placed }: Props) => {
  const session = useSession();
  const store = useBenchStore();
  const edits = useEdits();
  const moveable = useRef<Moveable>(null);
  const latest = useRef({ placed, zoom });
  useEffect(() => {
    latest.current = { placed, zoom };
  });
  const key = layers.join(" ");

  useEffect(() => {
    const target = frame.current;
    const container = target?.closest<HTMLElement>(".scene");
    const ids = key.split(" ");
    const [only] = ids.length === 1 ? ids : [];
    if (!target || !container) return;
    const handles = new Moveable(container, {
      cspNonce: pageNonce() ?? "",
      target,
      resizable: true,
      draggable: false,
      origin: false,
      rotatable: only !== undefined && only !== ROOT,
      rotationPosition: "top",
      renderDirections: directionsFor(ids, target.offsetWidth, target.offsetHeight),
    });
    moveable.current = handles;
    let start: Start | null = null;

    const begin = (word: string) => {
      const { piece, variant } = activeOf(
        session.project.pieces[store.getState().pieceId] as never,
        store.getState(),
      );
      const now = latest.current.placed;
      const bounds = boundsIn(now);
      const values = new Map(
        ids.flatMap((id) => {
          const l = piece.layers[id];
          return l ? [[id, valuesIn(session.project, piece, variant, l)] as const] : [];
        }),
      );
      const box = unite(ids.flatMap((id) => bounds.get(id) ?? []));
      if (box)
        start = {
          placed: now,
          bounds,
          frame: box,
          values,
          others: neighbours(piece, bounds, ids),
          gesture: `${word} ${Date.now()}`,
        };
      store.getState().put({ editing: true });
    };
    const end = () => {
      start = null;
      session.endGesture();
      store.getState().put({ editing: false, marks: null });
    };
    /** the guides of this moment are shown already */
    const say = (readout: string, box: Rect) =>
      store.getState().put({
        marks: {
          ...(store.getState().marks ?? noMarks),
          readout: { text: readout, x: box.x + box.width / 2, y: box.y + box.height },
        },
      });

    /** How far the pulled edges have to go on to meet others, as growth. */
    const caught = (
      s: Start,
      direction: readonly number[],
      growth: readonly [number, number],
      centred: boolean,
    ): [number, number] => {
      const times = centred ? 2 : 1;
      const [dx = 0, dy = 0] = direction;
      const width = s.frame.width + growth[0] * times;
      const height = s.frame.height + growth[1] * times;
      const x = centred || dx < 0 ? s.frame.x - growth[0] : s.frame.x;
      const y = centred || dy < 0 ? s.frame.y - growth[1] : s.frame.y;
      const edges: Edges = {
        x: dx === 0 ? [] : [dx < 0 ? "from" : "to"],
        y: dy === 0 ? [] : [dy < 0 ? "from" : "to"],
      };
      const found = snap({ x, y, width, height }, s.others, CATCH / latest.current.zoom, edges);
      store.getState().put({ marks: { ...noMarks, guides: found.guides } });
      return [growth[0] + found.dx * dx, growth[1] + found.dy * dy];
    };

    const resizeOne = (
      s: Start,
      id: Id,
      direction: readonly [number, number],
      growth: [number, number],
      how: { ratio: boolean; centred: boolean },
    ) => {
      const own = findBox(s.placed, id)?.placed;
      const v = s.values.get(id);
      if (!own || !v) return;
      const next = resized(own, direction, growth, how);
      const values: Record<string, Value> = {};
      if (direction[0] !== 0 || how.ratio)
        Object.assign(values, { width: next.width, widthMode: "fixed" });
      if (direction[1] !== 0 || how.ratio)
        Object.assign(values, { height: next.height, heightMode: "fixed" });
      if (id !== ROOT && next.x !== own.x) values.x = hundredths((v.x as number) + next.x - own.x);
      if (id !== ROOT && next.y !== own.y) values.y = hundredths((v.y as number) + next.y - own.y);
      edits.set({ [id]: values }, s.gesture);
      say(
        `${hundredths(next.width)} × ${hundredths(next.height)}`,
        boundsIn(latest.current.placed).get(id) ?? s.frame,
      );
    };

    /** Several at once keep their places and sizes in the frame around them. */
    const resizeAll = (
      s: Start,
      direction: readonly [number, number],
      growth: [number, number],
      how: { ratio: boolean; centred: boolean },
    ) => {
      const times = how.centred ? 2 : 1;
      const f = s.frame;
      let sx = f.width ? Math.max(0.01, (f.width + growth[0] * times) / f.width) : 1;
      let sy = f.height ? Math.max(0.01, (f.height + growth[1] * times) / f.height) : 1;
      if (how.ratio) {
        const along = direction[0] === 0 ? sy : sx;
        sx = direction[0] === 0 || direction[1] === 0 ? along : Math.max(sx, sy);
        sy = sx;
      }
      const fixed = (at: number, size: number, side: number) => {
        if (how.centred || side === 0) {
          return at + size / 2;
        }
        return side > 0 ? at : at + size;
      };
      const px = fixed(f.x, f.width, direction[0]);
      const py = fixed(f.y, f.height, direction[1]);
      const next: Record<Id, Record<string, Value>> = {};
      for (const id of ids) {
        const b = s.bounds.get(id);
        const v = s.values.get(id);
        const own = findBox(s.placed, id)?.placed;
        if (!b || !v || !own) continue;
        const turn = (v.rotation as number) % 180 !== 0;
        const scalable =
          v.widthMode === "fixed" && v.heightMode === "fixed" && (!turn || how.ratio);
        const w = scalable ? Math.round(own.width * sx) : own.width;
        const h = scalable ? Math.round(own.height * sy) : own.height;
        const cx = px + (b.x + b.width / 2 - px) * sx;
        const cy = py + (b.y + b.height / 2 - py) * sy;
        next[id] = {
          x: hundredths((v.x as number) + cx - w / 2 - (b.x + b.width / 2 - own.width / 2)),
          y: hundredths((v.y as number) + cy - h / 2 - (b.y + b.height / 2 - own.height / 2)),
          ...(scalable ? { width: w, height: h } : {}),
        };
      }
      edits.set(next, s.gesture);
      say(`${hundredths(f.width * sx)} × ${hundredths(f.height * sy)}`, f);
    };

    handles.on("resizeStart", () => begin("resize"));
    handles.on("resize", (e) => {
      if (!start) return;
      const z = latest.current.zoom;
      const input = e.inputEvent as MouseEvent;
      const direction = [e.direction[0] ?? 0, e.direction[1] ?? 0] as const;
      // the layer is resized by the edit, not by the handles, so only the way of the pointer counts
      let growth: [number, number] = [(e.dist[0] ?? 0) / z, (e.dist[1] ?? 0) / z];
      const how = { ratio: input.shiftKey, centred: input.altKey && only !== ROOT };
      const straight = only === undefined || (start.values.get(only)?.rotation ?? 0) === 0;
      store.getState().put({ marks: noMarks });
      if (straight && !how.ratio && !(input.ctrlKey || input.metaKey))
        growth = caught(start, direction, growth, how.centred);
      if (only !== undefined) resizeOne(start, only, direction, growth, how);
      else resizeAll(start, direction, growth, how);
    });
    handles.on("resizeEnd", end);
    handles.on("rotateStart", () => begin("turn"));
    handles.on("rotate", (e) => {
      if (!start || only === undefined) return;
      const before = start.values.get(only)?.rotation as number;
      const to = turned(before + e.beforeDist, (e.inputEvent as MouseEvent).shiftKey);
      edits.set({ [only]: { rotation: to } }, start.gesture);
      say(`${to}°`, start.frame);
    });
    handles.on("rotateEnd", end);
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== "Escape" || !start) return;
      e.stopPropagation();
      e.preventDefault();
      session.cancel(start.gesture);
      handles.stopDrag();
      end();
    };
    window.addEventListener("keydown", onKey, true);
    return () => {
      window.removeEventListener("keydown", onKey, true);
      handles.destroy();
      moveable.current = null;
    };
  }, [frame, key, session, store, edits]);

  useLayoutEffect(() => {
    const handles = moveable.current;
    if (!handles || !frame.current) return;
    // they measure the page, which is cheap only once it has been laid out and shown: they follow
    // one frame later
    let timer = 0;
    const shown = requestAnimationFrame(() => {
      timer = window.setTimeout(() => {
        if (!frame.current || moveable.current !== handles) return;
        if (!handles.isDragging())
          handles.renderDirections = directionsFor(
            layers,
            frame.current.offsetWidth,
            frame.current.offsetHeight,
          );
        handles.updateRect();
      });
    });
    return () => {
      cancelAnimationFrame(shown);
      window.clearTimeout(timer);
    };
  }, [frame, layers, placed, zoom]);
  return null;
};
