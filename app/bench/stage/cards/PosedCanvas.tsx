import { useMemo } from "react";
import { useScene } from "../../state/context";
import type { Posing } from "../../state/view";
import { posedScene } from "../../commands/posing";
import { CardCanvas } from "./CardCanvas";
import type { Draw } from "./CardCanvas";

interface Props {
  /** the key of the card */
  readonly of: string;
  readonly zoom: number;
  readonly posing: Posing;
  readonly live: (draw: Draw) => void;
}

/** A card on which a layer is shown in the pose it comes from or goes to. */
export const PosedCanvas = ({ of, zoom, posing, live }: Props) => {
  const placed = useScene(of);
  const posed = useMemo(() => placed && posedScene(placed, posing), [placed, posing]);
  return <CardCanvas of={of} zoom={zoom} instead={posed} live={live} />;
};
