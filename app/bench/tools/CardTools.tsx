import { memo } from "react";
import type { LayoutBox } from "#core/layout";
import type { Id } from "#core/basics";
import { useBench, useChosen, usePiece } from "../state/context";
import { Dropper } from "./Dropper";
import { Pen } from "./Pen";
import { Ruler } from "./Ruler";
import { Shaping } from "./Shaping";
import { Socket } from "./Socket";
import { TypeOver } from "./TypeOver";

interface Props {
  readonly placed: LayoutBox | null;
  readonly zoom: number;
  /** the card is the one looked at */
  readonly active: boolean;
  /** the text being typed on the card */
  readonly typing: Id | null;
  readonly onTyped: () => void;
}

/** What the tool in hand draws over a card; with none, what is chosen can be wired and typed over. */
export const CardTools = memo(function CardTools(props: Props) {
  const { placed, zoom, active, typing, onTyped } = props;
  const tool = useBench((s) => s.tool);
  const shaping = useBench((s) => s.shaping);
  const idle = useBench((s) => !s.editing && s.preview === null);
  const reference = usePiece((p) => p.reference);
  const chosen = useChosen();
  switch (tool) {
    case "pen":
      return placed && <Pen placed={placed} zoom={zoom} />;
    case "ruler":
      return <Ruler zoom={zoom} />;
    case "dropper":
      return reference && <Dropper reference={reference} zoom={zoom} />;
    case "choose":
      if (!placed || !active) return null;
      if (typing !== null)
        return <TypeOver placed={placed} id={typing} zoom={zoom} onDone={onTyped} />;
      if (shaping !== null && chosen.includes(shaping))
        return <Shaping key={shaping} placed={placed} id={shaping} zoom={zoom} />;
      return idle && <Socket placed={placed} chosen={chosen} zoom={zoom} />;
  }
});
