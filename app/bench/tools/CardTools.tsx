import { memo } from "react";
import type { ReactNode } from "react";
import type { LayoutBox } from "#core/layout";
import { useBench, useChosen, usePiece, useScene } from "../state/context";
import { Draw } from "./Draw";
import { Dropper } from "./Dropper";
import { Pen } from "./Pen";
import { Pose } from "./Pose";
import { Ruler } from "./Ruler";
import { Shaping } from "./Shaping";
import { Socket } from "./Socket";
import { TypeOver } from "./TypeOver";

interface Props {
  /** the key of the card */
  readonly of: string;
  readonly zoom: number;
  /** the card is the one looked at */
  readonly active: boolean;
}

/** What is drawn over a card as it looks now; nothing before it was laid out. */
const OnScene = ({ of, children }: { of: string; children: (placed: LayoutBox) => ReactNode }) => {
  const placed = useScene(of);
  return placed && children(placed);
};

/** With no tool in hand what is chosen can be typed over, shaped or wired. */
const OverChosen = ({ of, zoom }: Omit<Props, "active">) => {
  const typing = useBench((s) => s.typing);
  const shaping = useBench((s) => s.shaping);
  const idle = useBench((s) => !s.editing && s.preview === null);
  const chosen = useChosen();
  return (
    <OnScene of={of}>
      {(placed) => {
        if (typing !== null)
          return <TypeOver key={typing.layer} placed={placed} typing={typing} zoom={zoom} />;
        if (shaping !== null && chosen.includes(shaping))
          return <Shaping key={shaping} placed={placed} id={shaping} zoom={zoom} />;
        return idle && <Socket placed={placed} chosen={chosen} zoom={zoom} />;
      }}
    </OnScene>
  );
};

/** What the tool in hand draws over a card; with none, what is chosen can be wired and typed over. */
export const CardTools = memo(function CardTools({ active, ...props }: Props) {
  const { of, zoom } = props;
  const tool = useBench((s) => s.tool);
  const posing = useBench((s) => s.posing);
  const reference = usePiece((p) => p.reference);
  switch (tool) {
    case "draw":
      return <OnScene of={of}>{(placed) => <Draw placed={placed} zoom={zoom} />}</OnScene>;
    case "pose":
      return (
        active &&
        posing && (
          <OnScene of={of}>
            {(placed) => <Pose placed={placed} posing={posing} zoom={zoom} />}
          </OnScene>
        )
      );
    case "pen":
      return <OnScene of={of}>{(placed) => <Pen placed={placed} zoom={zoom} />}</OnScene>;
    case "ruler":
      return <Ruler zoom={zoom} />;
    case "dropper":
      return reference && <Dropper reference={reference} zoom={zoom} />;
    case "choose":
      return active && <OverChosen {...props} />;
  }
});
