import { useEffect, useMemo, useRef, useState } from "react";
import type { PointerEvent } from "react";
import type { Id } from "#core/basics";
import { findBox, mapPoint, spotsIn, toParent, wayInto } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { valuesIn } from "#core/looks";
import {
  addKnot,
  bendKnot,
  boundsOfOutlines,
  dropKnot,
  moveKnot,
  nearestLine,
  placeOn,
  readOutlines,
  turnKnot,
  writeOutlines,
} from "#core/paths";
import type { Knot, KnotOutline, PathPoint } from "#core/paths";
import { thousandths } from "#core/properties";
import { useSession } from "../../session/context";
import { useEdits } from "../state/edits";
import { activeOf, useBenchStore } from "../state/state";

interface Point {
  readonly outline: number;
  readonly knot: number;
}
type Grip = Point & { readonly part: "knot" | "before" | "after" };
const samePoint = (a: Point, b: Point) => a.outline === b.outline && a.knot === b.knot;

const withKnot = (
  all: readonly KnotOutline[],
  at: Point,
  change: (k: Knot) => Knot,
): KnotOutline[] =>
  all.map((o, i) =>
    i === at.outline ? { ...o, knots: o.knots.map((k, j) => (j === at.knot ? change(k) : k)) } : o,
  );

/**
 * The points of a path, on the card one looks at: drag points and handles, click the line for
 * another point, double-click a point to make a corner smooth or sharp. Arrow keys move the chosen
 * points, Tab goes on, Delete removes them.
 */
export const Shaping = ({ placed, id, zoom }: { placed: LayoutBox; id: Id; zoom: number }) => {
  const edits = useEdits();
  const session = useSession();
  const store = useBenchStore();
  const [chosen, setChosen] = useState<readonly Point[]>([]);
  const [ghost, setGhost] = useState<{ outline: number; line: number; t: number } | null>(null);
  const drag = useRef<{
    grip: Grip;
    x: number;
    y: number;
    outlines: readonly KnotOutline[];
    start: LayoutBox;
    map: readonly number[];
    gesture: string;
    values: Readonly<Record<string, unknown>>;
  } | null>(null);
  const host = useRef<SVGSVGElement>(null);
  const found = findBox(placed, id)?.placed;
  const spot = useMemo(() => spotsIn(placed).get(id), [placed, id]);
  const shape = String(found?.values.shape ?? "");
  const outlines = useMemo(
    () => (found ? readOutlines(shape, found.width / 100, found.height / 100) : []),
    [found, shape],
  );
  useEffect(() => host.current?.focus(), []);

  /**
   * Writes changed points, with the layer's box fitted around them and the rest left where it is
   * shown.
   */
  const write = (
    next: readonly KnotOutline[],
    from: LayoutBox,
    values: Readonly<Record<string, unknown>>,
    gesture: string | null,
  ) => {
    const box = boundsOfOutlines(next);
    const moved = next.map((o) => ({
      ...o,
      knots: o.knots.map((k) => moveKnot(k, -box.x, -box.y)),
    }));
    const width = thousandths(box.width);
    const height = thousandths(box.height);
    const before = toParent(from)(box.x, box.y);
    const after = toParent({ ...from, width, height })(0, 0);
    const dx = before[0] - after[0];
    const dy = before[1] - after[1];
    edits.set(
      {
        [id]: {
          shape: writeOutlines(moved, (width || 1) / 100, (height || 1) / 100),
          width,
          height,
          widthMode: "fixed",
          heightMode: "fixed",
          ...(Math.abs(dx) > 1e-3 ? { x: thousandths((values.x as number) + dx) } : {}),
          ...(Math.abs(dy) > 1e-3 ? { y: thousandths((values.y as number) + dy) } : {}),
        },
      },
      gesture,
    );
  };
  const valuesNow = () => {
    const piece = session.project.pieces[store.getState().pieceId];
    const layer = piece?.layers[id];
    return piece && layer
      ? valuesIn(session.project, piece, activeOf(piece, store.getState()).variant, layer)
      : {};
  };
  if (!found || !spot) return null;

  const on = (s: PathPoint): PathPoint => {
    const [x, y] = mapPoint(spot.map, s.x, s.y);
    return { x: x * zoom, y: y * zoom };
  };
  const local = (e: PointerEvent): PathPoint => {
    const box = host.current?.getBoundingClientRect();
    const [x, y] = wayInto(
      spot.map,
      (e.clientX - (box?.left ?? 0)) / zoom - spot.map[4],
      (e.clientY - (box?.top ?? 0)) / zoom - spot.map[5],
    );
    return { x, y };
  };
  const down = (grip: Grip) => (e: PointerEvent<SVGElement>) => {
    if (e.button !== 0) return;
    e.stopPropagation();
    host.current?.focus();
    host.current?.setPointerCapture(e.pointerId);
    if (grip.part === "knot")
      setChosen((was) => {
        if (e.shiftKey) {
          return was.some((p) => samePoint(p, grip))
            ? was.filter((p) => !samePoint(p, grip))
            : [...was, grip];
        }
        return was.some((p) => samePoint(p, grip)) ? was : [grip];
      });
    drag.current = {
      grip,
      x: e.clientX,
      y: e.clientY,
      outlines,
      start: found,
      map: spot.map,
      gesture: `shape ${Date.now()}`,
      values: valuesNow(),
    };
  };
  const move = (e: PointerEvent) => {
    const d = drag.current;
    if (!d) {
      const near = nearestLine(outlines, local(e));
      setGhost(near && near.distance * zoom < 8 ? near : null);
      return;
    }
    const [rx, ry] = wayInto(d.map as never, (e.clientX - d.x) / zoom, (e.clientY - d.y) / zoom);
    const snapped =
      e.ctrlKey || e.metaKey ? [rx, ry] : [Math.round(rx * 2) / 2, Math.round(ry * 2) / 2];
    let [dx = 0, dy = 0] = snapped;
    if (e.shiftKey && d.grip.part === "knot") {
      if (Math.abs(dx) > Math.abs(dy)) dy = 0;
      else dx = 0;
    }
    const moving = chosen.some((p) => samePoint(p, d.grip)) ? chosen : [d.grip];
    const { grip } = d;
    const next =
      grip.part === "knot"
        ? moving.reduce<readonly KnotOutline[]>(
            (all, p) => withKnot(all, p, (k) => moveKnot(k, dx, dy)),
            d.outlines,
          )
        : withKnot(d.outlines, grip, (k) => {
            const h = k[grip.part as "before"] ?? k;
            return bendKnot(k, grip.part as "before", { x: h.x + dx, y: h.y + dy }, e.altKey);
          });
    write(next, d.start, d.values, d.gesture);
  };
  const up = () => {
    drag.current = null;
    session.endGesture();
  };
  const add = (e: PointerEvent) => {
    const near = nearestLine(outlines, local(e));
    if (!near || near.distance * zoom >= 8) {
      store.getState().put({ shaping: null });
      return;
    }
    e.stopPropagation();
    write(
      outlines.map((o, i) => (i === near.outline ? addKnot(o, near.line, near.t) : o)),
      found,
      valuesNow(),
      null,
    );
    setChosen([{ outline: near.outline, knot: near.line + 1 }]);
    setGhost(null);
  };
  const remove = () => {
    const next = outlines.flatMap((o, i): KnotOutline[] => {
      const gone = chosen
        .filter((p) => p.outline === i)
        .map((p) => p.knot)
        .sort((a, b) => b - a);
      const left = gone.reduce<KnotOutline | null>((all, k) => all && dropKnot(all, k), o);
      return left ? [left] : [];
    });
    setChosen([]);
    if (next.length === 0) {
      edits.remove([id]);
      return;
    }
    write(next, found, valuesNow(), null);
  };
  const onKeyDown = (e: React.KeyboardEvent) => {
    const all = outlines.flatMap((o, outline) => o.knots.map((_, knot) => ({ outline, knot })));
    const arrows: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1],
    };
    const arrow = arrows[e.key];
    const by = e.shiftKey ? 10 : 1;
    if (arrow && chosen.length)
      write(
        chosen.reduce<readonly KnotOutline[]>(
          (o, p) => withKnot(o, p, (k) => moveKnot(k, arrow[0] * by, arrow[1] * by)),
          outlines,
        ),
        found,
        valuesNow(),
        `points ${chosen.map((p) => `${p.outline}.${p.knot}`).join()}`,
      );
    else if (e.key === "Tab") {
      const at = all.findIndex((p) => chosen[0] && samePoint(p, chosen[0]));
      setChosen(
        all.length ? [all[(at + (e.shiftKey ? -1 : 1) + all.length) % all.length] as Point] : [],
      );
    } else if ((e.key === "Delete" || e.key === "Backspace") && chosen.length) remove();
    else if (e.key === "Enter" && chosen[0])
      write(
        outlines.map((o, i) => (i === chosen[0]?.outline ? turnKnot(o, chosen[0].knot) : o)),
        found,
        valuesNow(),
        null,
      );
    else if (e.key === "Escape") {
      if (chosen.length) setChosen([]);
      else store.getState().put({ shaping: null });
    } else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const d = writeOutlines(
    outlines.map((o) => ({
      ...o,
      knots: o.knots.map((k): Knot => ({
        ...on(k),
        before: k.before && on(k.before),
        after: k.after && on(k.after),
      })),
    })),
  );
  const ghostAt =
    ghost && outlines[ghost.outline]
      ? on(placeOn(outlines[ghost.outline] as KnotOutline, ghost.line, ghost.t))
      : null;
  return (
    <svg
      ref={host}
      className="shaping"
      tabIndex={0}
      role="application"
      aria-label={`Points of ${found.layer.name}: arrows move, Tab goes on, Enter makes smooth or sharp, Delete removes`}
      onPointerDown={add}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
      onDoubleClick={(e) => e.stopPropagation()}
      onKeyDown={onKeyDown}
    >
      <path d={d} className="shaping-line" />
      {outlines.map((o, outline) =>
        o.knots.map((k, knot) => {
          const p = on(k);
          const isOn = chosen.some((c) => samePoint(c, { outline, knot }));
          return (
            <g key={`${outline}.${knot}`}>
              {isOn &&
                (["before", "after"] as const).map((part) => {
                  const h = k[part];
                  if (!h) return null;
                  const q = on(h);
                  return (
                    <g key={part}>
                      <line x1={p.x} y1={p.y} x2={q.x} y2={q.y} />
                      <circle
                        cx={q.x}
                        cy={q.y}
                        r={4}
                        className="bend"
                        data-bend={part}
                        onPointerDown={down({ outline, knot, part })}
                      />
                    </g>
                  );
                })}
              <rect
                x={p.x - 4}
                y={p.y - 4}
                width={8}
                height={8}
                rx={k.before || k.after ? 4 : 1}
                className={`knot${isOn ? " on" : ""}`}
                data-knot={`${outline}.${knot}`}
                onPointerDown={down({ outline, knot, part: "knot" })}
                onDoubleClick={(e) => {
                  e.stopPropagation();
                  write(
                    outlines.map((x, i) => (i === outline ? turnKnot(x, knot) : x)),
                    found,
                    valuesNow(),
                    null,
                  );
                }}
              />
            </g>
          );
        }),
      )}
      {ghostAt && <circle cx={ghostAt.x} cy={ghostAt.y} r={3.5} className="ghost" />}
    </svg>
  );
};
