import { memo, useEffect, useLayoutEffect, useRef, useState } from "react";
import type { ComponentProps } from "react";
import { useBench } from "../../state/context";
import { Card } from "./Card";

interface Props {
  /** the key of the card */
  readonly of: string;
  /** px */
  readonly width: number;
  readonly height: number;
  readonly eager: boolean;
  readonly card: ComponentProps<typeof Card>;
}

/** A place for a card that is painted once it is near what one sees. */
export const Slot = memo(
  function Slot({ of, width, height, eager, card }: Props) {
    const slot = useRef<HTMLDivElement>(null);
    const [near, setNear] = useState(eager);
    const cardNear = useBench((s) => s.cardNear);
    const shown = near || eager;
    // before the card itself renders for the first time: it shall find its scene
    useLayoutEffect(() => {
      cardNear(of, shown);
      return () => cardNear(of, false);
    }, [cardNear, of, shown]);
    useEffect(() => {
      const element = slot.current;
      if (!element) return;
      const watch = new IntersectionObserver(
        (entries) => {
          for (const e of entries) setNear(e.isIntersecting);
        },
        { root: element.closest(".stage-room"), rootMargin: "120px" },
      );
      watch.observe(element);
      return () => watch.disconnect();
    }, []);
    return (
      <div
        ref={slot}
        className="card-slot"
        data-slot={of}
        style={{ minWidth: width, minHeight: height }}
      >
        {shown && <Card {...card} />}
      </div>
    );
  },
  (a, b) =>
    a.of === b.of &&
    a.width === b.width &&
    a.height === b.height &&
    a.eager === b.eager &&
    a.card.env === b.card.env &&
    a.card.variant === b.card.variant &&
    a.card.zoom === b.card.zoom &&
    a.card.pinned === b.card.pinned &&
    a.card.onMenu === b.card.onMenu,
);
