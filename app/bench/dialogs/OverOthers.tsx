import { Form } from "react-bootstrap";
import { setOverlay } from "#core/edit";
import { overlayStyle } from "#core/machine";
import { overlayPlaces } from "#core/project";
import { NumberField } from "../../ui/fields/NumberField";
import { PATIENCE } from "../../session/session";
import { useCommand, usePiece } from "../state/context";
import { Pick } from "../../ui/fields/Pick";
import { dialogsWords } from "./words";

const words = {
  centre: dialogsWords.centre,
  top: dialogsWords.top,
  bottom: dialogsWords.bottom,
  start: dialogsWords.left,
  end: dialogsWords.right,
} as const;

/** How a screen lies over others when a rule opens it there. */
export const OverOthers = () => {
  const command = useCommand();
  const piece = usePiece();
  if (piece.kind !== "screen") return null;
  const style = overlayStyle(piece);
  const set = (part: Partial<typeof style>) => {
    command(
      (_, now) => setOverlay(now, { ...overlayStyle(now), ...part }),
      `overlay ${piece.id}`,
      PATIENCE,
    );
  };
  return (
    <div className="side-part">
      <h2 className="caption">{dialogsWords.overlay}</h2>
      <div className="over-others">
        <Pick
          label={dialogsWords.position}
          value={style.place}
          options={overlayPlaces.map((p) => ({ value: p, words: words[p] }))}
          onPick={(place) => set({ place })}
        />
        <span>{dialogsWords.dimBackground}</span>
        <NumberField
          label={dialogsWords.backgroundDimmingPerCent}
          value={Math.round(style.dim * 100)}
          min={0}
          max={100}
          step={5}
          unit="%"
          onChange={(d) => set({ dim: d / 100 })}
        />
        <label>
          <Form.Check.Input
            checked={style.closes}
            onChange={(e) => set({ closes: e.target.checked })}
          />{" "}
          {dialogsWords.pressOutsideClose}
        </label>
      </div>
    </div>
  );
};
