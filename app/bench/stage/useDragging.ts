import { useEffect, useRef } from "react";
import type { PointerEvent, RefObject } from "react";
import type { Id } from "#core/basics";
import { distances, snap, topmost } from "#core/edit";
import { boundsIn, layout, spotsIn, unite, wayInto } from "#core/layout";
import type { Affine, LayoutBox, LayoutEnv, Rect } from "#core/layout";
import { Resolver, childrenOf, valuesIn, variantKey, variantsOf } from "#core/looks";
import { ROOT } from "#core/project";
import type { Piece, Variant } from "#core/project";
import { hundredths } from "#core/properties";
import { useSession } from "../../session/context";
import { useEdits } from "../state/edits";
import { isHeavy } from "../state/Later";
import { pickLayer } from "../state/pick";
import { activeOf, chooseCard, noMarks, useBenchStore } from "../state/state";

interface LayerDrag {
  readonly x: number;
  readonly y: number;
  readonly gesture: string;
  readonly marquee: boolean;
  ids: readonly Id[];
  /** where each layer began, and the map of what it lies in */
  from: Map<Id, { x: number; y: number; around: Affine }>;
  frame: Rect | null;
  others: readonly Rect[];
  moving: boolean;
}

/** px on screen before a press becomes a drag, and within which edges catch one another */
const SLACK = 3;
const REACH = 6;
/**
 * How long the hand must rest before a drag is told to the other cards and panels in any case, ms.
 */
const REST = 120;
/**
 * A render that takes less than this is made with every move, ms; else the pause after it is so
 * many times as long.
 */
const CHEAP = 4;
const PAUSES = 16;

/** What a moved layer may line up with: its siblings and the box around them; px of the piece. */
export const neighbours = (
  piece: Piece,
  bounds: ReadonlyMap<Id, Rect>,
  ids: readonly Id[],
): Rect[] => {
  const parent = piece.layers[ids[0] ?? ""]?.parent;
  if (parent == null) return [];
  return [
    parent,
    ...(childrenOf(piece).get(parent) ?? []).map((l) => l.id).filter((id) => !ids.includes(id)),
  ].flatMap((id) => bounds.get(id) ?? []);
};

/**
 * Choosing and moving layers with the pointer, directly on a card. Alt drags copies, Shift keeps to
 * one direction, Ctrl keeps edges from catching; a drag on the empty ground chooses what it goes
 * round; Esc takes a drag back.
 */
export const useDragging = (
  env: LayoutEnv,
  variant: Variant,
  placed: LayoutBox | null,
  zoom: number,
  canvas: RefObject<((p: LayoutBox) => void) | null>,
) => {
  const session = useSession();
  const store = useBenchStore();
  const edits = useEdits();
  const drag = useRef<LayerDrag | null>(null);
  /**
   * A drag is painted here, on this card, and told to the rest of the bench as often as that leaves
   * the hand free; of a large piece only when the hand rests.
   */
  const fast = useRef<{ readonly resolver: Resolver; resting: number; next: number } | null>(null);
  const tell = () => {
    const f = fast.current;
    const began = performance.now();
    if (!f) return;
    session.resume();
    // runs when React has rendered what was told
    queueMicrotask(() => {
      const took = performance.now() - began;
      if (f.next < Infinity) f.next = took < CHEAP ? 0 : performance.now() + took * PAUSES;
    });
  };
  const paintNow = () => {
    const f = fast.current;
    const piece = session.project.pieces[store.getState().pieceId];
    const tree = f && piece && f.resolver.tree(session.project, piece.id, variant);
    if (!f || !tree) return;
    canvas.current?.(layout(env, tree));
    window.clearTimeout(f.resting);
    if (performance.now() >= f.next) tell();
    else f.resting = window.setTimeout(tell, REST);
  };

  const at = (e: PointerEvent | React.MouseEvent): [number, number] => {
    const box = e.currentTarget.getBoundingClientRect();
    return [(e.clientX - box.left) / zoom, (e.clientY - box.top) / zoom];
  };

  const begin = (d: LayerDrag, alt: boolean, scene: Element) => {
    d.moving = true;
    if (d.marquee) return;
    scene.classList.add("moving");
    const whole = session.project.pieces[store.getState().pieceId];
    fast.current = {
      resolver: new Resolver(),
      resting: 0,
      next: isHeavy(whole, whole ? variantsOf(whole).length : 1) ? Infinity : 0,
    };
    scene.closest(".bench")?.classList.add("hurried");
    if (alt) d.ids = edits.duplicate(d.ids, 0);
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (!piece) return;
    const active = activeOf(piece, state);
    const spots = placed && spotsIn(placed);
    for (const id of topmost(piece, d.ids)) {
      const layer = piece.layers[id];
      const parent = layer?.parent == null ? undefined : piece.layers[layer.parent];
      if (!layer || !parent) continue;
      const v = valuesIn(session.project, piece, active.variant, layer);
      const around = valuesIn(session.project, piece, active.variant, parent);
      if (parent.kind === "box" && around.arrange !== "free" && !v.floats) {
        state.put({
          hint: `${parent.name} arranges its layers in a ${String(around.arrange)}, so ${layer.name} keeps its place. Let it float, or restack it in the tree.`,
        });
        continue;
      }
      // a copy made by this very drag is not on the card yet; it lies in what its original lies in
      const own = spots?.get(layer.parent ?? "")?.map ?? [1, 0, 0, 1, 0, 0];
      d.from.set(id, { x: v.x, y: v.y, around: own });
    }
    const bounds = placed ? boundsIn(placed) : new Map<Id, Rect>();
    const moving = [...d.from.keys()];
    // a copy made by this very drag lies where its original is
    const originals = alt ? d.ids.length : 0;
    d.frame = unite((originals ? [...state.chosen] : moving).flatMap((id) => bounds.get(id) ?? []));
    d.others = neighbours(piece, bounds, moving);
    state.put({ editing: d.from.size > 0 });
  };

  const moveTo = (
    d: LayerDrag,
    wantX: number,
    wantY: number,
    free: boolean,
    along: "x" | "y" | null,
  ) => {
    let dx = wantX;
    let dy = wantY;
    let marks = noMarks;
    const first = d.from.values().next().value;
    if (!first) return;
    const whole = (start: number, by: number) => Math.round(start + by) - start;
    dx = whole(first.x, dx);
    dy = whole(first.y, dy);
    if (d.frame && !free) {
      const caught = snap(
        { ...d.frame, x: d.frame.x + wantX, y: d.frame.y + wantY },
        d.others,
        REACH / zoom,
      );
      const caughtOn = (axis: "x" | "y") =>
        caught.guides.some((g) => g.axis === axis) || caught.gaps.some((g) => g.axis === axis);
      if (along !== "y" && caughtOn("x")) dx = wantX + caught.dx;
      if (along !== "x" && caughtOn("y")) dy = wantY + caught.dy;
      marks = { ...noMarks, guides: caught.guides, gaps: caught.gaps };
    }
    if (d.frame)
      marks = {
        ...marks,
        readout: {
          text: `${hundredths(first.x + dx)}, ${hundredths(first.y + dy)}`,
          x: d.frame.x + dx + d.frame.width / 2,
          y: d.frame.y + dy + d.frame.height,
        },
      };
    session.pause();
    edits.set(
      Object.fromEntries(
        [...d.from].map(([id, p]) => {
          const [lx, ly] = wayInto(p.around, dx, dy);
          return [id, { x: hundredths(p.x + lx), y: hundredths(p.y + ly) }];
        }),
      ),
      d.gesture,
    );
    store.getState().put({ marks });
    paintNow();
  };

  const goRound = (d: LayerDrag, e: PointerEvent<HTMLElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const [x1, y1, x2, y2] = [
      (d.x - box.left) / zoom,
      (d.y - box.top) / zoom,
      (e.clientX - box.left) / zoom,
      (e.clientY - box.top) / zoom,
    ];
    const marquee = {
      x: Math.min(x1, x2),
      y: Math.min(y1, y2),
      width: Math.abs(x2 - x1),
      height: Math.abs(y2 - y1),
    };
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (!piece || !placed) return;
    const bounds = boundsIn(placed);
    const inside = (childrenOf(piece).get(ROOT) ?? [])
      .filter((l) => {
        const r = bounds.get(l.id);
        return (
          !l.locked &&
          r &&
          r.x < marquee.x + marquee.width &&
          marquee.x < r.x + r.width &&
          r.y < marquee.y + marquee.height &&
          marquee.y < r.y + r.height
        );
      })
      .map((l) => l.id);
    if (inside.join() !== state.chosen.join()) state.choose(inside);
    state.put({ marks: { ...noMarks, marquee } });
  };

  const onPointerDown = (e: PointerEvent<HTMLElement>) => {
    // the handles lie on the scene and look after themselves
    if (
      e.button !== 0 ||
      !placed ||
      (e.target as Element).closest(".moveable-control-box, .corner-knob")
    )
      return;
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (!piece) return;
    if (
      !activeOf(piece, state).variants.some(
        (v) => variantKey(piece, v) === variantKey(piece, variant),
      )
    )
      chooseCard(piece, state, variant, false);
    const [x, y] = at(e);
    const picked = pickLayer(
      piece,
      placed,
      x,
      y,
      state.chosen,
      e.ctrlKey || e.metaKey ? "deep" : "level",
    );
    const ground = picked === null || picked === ROOT;
    if (e.shiftKey && picked !== null && !ground)
      state.choose(
        state.chosen.includes(picked)
          ? state.chosen.filter((id) => id !== picked)
          : [...state.chosen, picked],
      );
    else if (picked === null) state.choose([]);
    else if (!state.chosen.includes(picked)) state.choose([picked]);
    e.currentTarget.setPointerCapture(e.pointerId);
    drag.current = {
      x: e.clientX,
      y: e.clientY,
      gesture: `drag ${Date.now()}`,
      marquee: ground,
      ids: store.getState().chosen,
      from: new Map(),
      frame: null,
      others: [],
      moving: false,
    };
  };

  const measure = (e: PointerEvent<HTMLElement>) => {
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (!e.altKey || !piece || !placed) {
      if (state.marks) state.put({ marks: null });
      return;
    }
    const [x, y] = at(e);
    const bounds = boundsIn(placed);
    const from = unite(state.chosen.flatMap((id) => bounds.get(id) ?? []));
    const over = bounds.get(pickLayer(piece, placed, x, y, state.chosen) ?? ROOT);
    if (from && over) state.put({ marks: { ...noMarks, gaps: distances(from, over) } });
  };

  const onPointerMove = (e: PointerEvent<HTMLElement>) => {
    const d = drag.current;
    if (!d) {
      measure(e);
      return;
    }
    // the movable edges between the parts of the bench need not look whether the hand is near them
    e.preventDefault();
    if (!d.moving) {
      if (Math.hypot(e.clientX - d.x, e.clientY - d.y) < SLACK) return;
      begin(d, e.altKey, e.currentTarget);
    }
    if (d.marquee) {
      goRound(d, e);
      return;
    }
    if (d.from.size === 0) return;
    let dx = (e.clientX - d.x) / zoom;
    let dy = (e.clientY - d.y) / zoom;
    const longer = Math.abs(dx) > Math.abs(dy) ? "x" : "y";
    const along = e.shiftKey ? longer : null;
    if (along === "x") dy = 0;
    if (along === "y") dx = 0;
    moveTo(d, dx, dy, e.ctrlKey || e.metaKey, along);
  };

  const rest = () => {
    drag.current = null;
    window.clearTimeout(fast.current?.resting);
    fast.current = null;
    for (const scene of document.querySelectorAll(".scene.moving, .bench.hurried"))
      scene.classList.remove("moving", "hurried");
    session.resume();
  };

  const finish = () => {
    if (!drag.current) return;
    rest();
    session.endGesture();
    store.getState().put({ editing: false, marks: null });
  };

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const d = drag.current;
      if (e.key !== "Escape" || !d?.moving) return;
      e.stopPropagation();
      e.preventDefault();
      rest();
      session.cancel(d.gesture);
      store.getState().put({ editing: false, marks: null });
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  });

  const onDoubleClick = (e: React.MouseEvent<HTMLElement>): Id | null => {
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (!piece || !placed) return null;
    const [x, y] = at(e);
    const picked = pickLayer(piece, placed, x, y, state.chosen, "into");
    if (picked !== null) state.choose([picked]);
    return picked;
  };

  const onPointerLeave = () => {
    if (!drag.current && store.getState().marks) store.getState().put({ marks: null });
  };

  return {
    onPointerDown,
    onPointerMove,
    onPointerUp: finish,
    onPointerCancel: finish,
    onPointerLeave,
    onDoubleClick,
  };
};
