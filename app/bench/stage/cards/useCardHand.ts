import { useEffect, useMemo, useRef } from "react";
import type { MouseEvent, PointerEvent, RefObject } from "react";
import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import type { Variant } from "#core/project";
import { useEdits } from "../../commands/edits";
import { useWorkpiece } from "../../state/context";
import type { Draw } from "./CardCanvas";
import { CardHand } from "../gestures/hand";
import { Hurry } from "../gestures/hurry";
import { pointingAt } from "../gestures/pointing";

interface Card {
  readonly env: LayoutEnv;
  readonly variant: Variant;
  /** its key */
  readonly of: string;
  readonly zoom: number;
  /** what draws another scene on the card at once */
  readonly draw: RefObject<Draw | null>;
}

/** The handles lie on the scene and look after themselves. */
const onHandle = (target: EventTarget): boolean =>
  (target as Element).closest(".handle, .turn-handle, .corner-knob") !== null;

/** Styles while layers are moved: the pointer, and what does without transitions. */
const showMoving = (scene: Element): void => {
  scene.classList.add("moving");
  scene.closest(".bench")?.classList.add("hurried");
};
const showRest = (): void => {
  for (const element of document.querySelectorAll(".scene.moving, .bench.hurried"))
    element.classList.remove("moving", "hurried");
};

/** Lets a hand choose and move layers on a card: what its scene does with events. */
export const useCardHand = ({ env, variant, of, zoom, draw }: Card) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const latest = useRef({ env, variant, of, zoom });
  useEffect(() => {
    latest.current = { env, variant, of, zoom };
  });
  const handlers = useMemo(() => {
    const hand = new CardHand(
      workpiece,
      edits,
      (card) => new Hurry(workpiece, card, (scene) => draw.current?.(scene)),
    );
    const card = () => {
      const { env, variant, of, zoom } = latest.current;
      const placed = workpiece.scenes.get(of);
      return placed && { env, variant, placed, zoom };
    };
    const at = (e: MouseEvent<HTMLElement>) =>
      pointingAt(e, e.currentTarget.getBoundingClientRect(), latest.current.zoom);
    const rest = (act: () => void) => () => {
      act();
      showRest();
    };
    const end = rest(() => hand.up());
    return {
      hand,
      onPointerDown: (e: PointerEvent<HTMLElement>) => {
        const on = card();
        if (e.button !== 0 || !on || onHandle(e.target)) return;
        hand.down(at(e), on);
        e.currentTarget.setPointerCapture(e.pointerId);
      },
      onPointerMove: (e: PointerEvent<HTMLElement>) => {
        const on = card();
        if (!on) return;
        // the movable edges between the parts of the bench need not look whether the hand is near
        if (hand.pressed) e.preventDefault();
        const moved = hand.moving;
        hand.move(at(e), on);
        if (hand.moving && !moved) showMoving(e.currentTarget);
      },
      onPointerUp: end,
      onPointerCancel: end,
      onPointerLeave: () => hand.leave(),
      goIn: (e: MouseEvent<HTMLElement>): Id | null => {
        const on = card();
        return on && hand.goIn(at(e), on);
      },
    };
  }, [workpiece, edits, draw]);
  const { hand, goIn, ...pointer } = handlers;
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== "Escape" || !hand.escape()) return;
      showRest();
      e.stopPropagation();
      e.preventDefault();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, [hand]);
  return { pointer, goIn };
};
