import Moveable from "moveable";
import { useEffect, useLayoutEffect, useRef } from "react";
import type { RefObject } from "react";
import type { Id } from "#core/basics";
import type { LayoutBox } from "#core/layout";
import { ROOT } from "#core/project";
import { pageNonce } from "../../ui/nonce";
import { useEdits } from "../commands/edits";
import type { BenchEdits } from "../commands/edits";
import { useWorkpiece } from "../state/context";
import type { Workpiece } from "../state/workpiece";
import { Resize } from "./gestures/resize";
import type { Pull } from "./gestures/resize";
import { Turn } from "./gestures/turn";

interface Props {
  readonly frame: RefObject<HTMLDivElement | null>;
  readonly layers: readonly Id[];
  readonly zoom: number;
  readonly placed: LayoutBox;
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

interface HandleParts {
  readonly handles: Moveable;
  readonly ids: readonly Id[];
  readonly workpiece: Workpiece;
  readonly edits: BenchEdits;
  readonly card: () => { readonly placed: LayoutBox; readonly zoom: number };
}

/** What is done when handles are pulled; returns what stops it, as by a key. */
const listen = ({ handles, ids, workpiece, edits, card }: HandleParts): (() => boolean) => {
  let resize: Resize | null = null;
  let turn: Turn | null = null;
  const end = () => {
    (resize ?? turn)?.end();
    resize = null;
    turn = null;
  };
  const [only] = ids.length === 1 ? ids : [];
  handles.on("resizeStart", () => {
    resize = new Resize(workpiece, edits, card(), ids);
  });
  handles.on("resize", (e) => {
    const { zoom, placed } = card();
    const input = e.inputEvent as MouseEvent;
    const [dx = 0, dy = 0] = e.direction;
    // the layer is resized by the edit, not by the handles, so only the way of the pointer counts
    const [across = 0, down = 0] = e.dist;
    const pull: Pull = {
      direction: [dx, dy],
      growth: [across / zoom, down / zoom],
      ratio: input.shiftKey,
      centred: input.altKey && only !== ROOT,
      free: input.ctrlKey || input.metaKey,
    };
    resize?.to(pull, placed);
  });
  handles.on("resizeEnd", end);
  handles.on("rotateStart", () => {
    if (only !== undefined) turn = new Turn(workpiece, edits, card(), only);
  });
  handles.on("rotate", (e) => turn?.to(e.beforeDist, (e.inputEvent as MouseEvent).shiftKey));
  handles.on("rotateEnd", end);
  return () => {
    const gesture = resize ?? turn;
    if (!gesture) return false;
    gesture.cancel();
    resize = null;
    turn = null;
    handles.stopDrag();
    return true;
  };
};

/**
 * Handles to resize and turn what is chosen on the card one looks at. Shift keeps the proportions
 * or turns in steps of 15°, Alt resizes about the middle; edges catch those of other layers unless
 * Ctrl is held.
 */
export const Handles = ({ frame, layers, zoom, placed }: Props) => {
  const workpiece = useWorkpiece();
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
    if (!target || !container) return;
    const handles = new Moveable(container, {
      cspNonce: pageNonce() ?? "",
      target,
      resizable: true,
      draggable: false,
      origin: false,
      rotatable: ids.length === 1 && ids[0] !== ROOT,
      rotationPosition: "top",
      renderDirections: directionsFor(ids, target.offsetWidth, target.offsetHeight),
    });
    moveable.current = handles;
    const cancel = listen({ handles, ids, workpiece, edits, card: () => latest.current });
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== "Escape" || !cancel()) return;
      e.stopPropagation();
      e.preventDefault();
    };
    window.addEventListener("keydown", onKey, true);
    return () => {
      window.removeEventListener("keydown", onKey, true);
      handles.destroy();
      moveable.current = null;
    };
  }, [frame, key, workpiece, edits]);

  useLayoutEffect(() => {
    const handles = moveable.current;
    if (!handles || !frame.current) return;
    // they measure the page, which is cheap only once it has been laid out and shown: they follow
    // one frame later
    let timer = 0;
    const shown = requestAnimationFrame(() => {
      timer = window.setTimeout(() => {
        if (!frame.current || moveable.current !== handles) return;
        const { offsetWidth, offsetHeight } = frame.current;
        if (!handles.isDragging())
          handles.renderDirections = directionsFor(layers, offsetWidth, offsetHeight);
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
