import { memo, useRef } from "react";
import type { KeyboardEvent, PointerEvent } from "react";
import { addOption, removeOption } from "#core/edit";
import { isOneOf } from "#core/basics";
import { newId, optionKeys } from "#core/project";
import type { Layer, OptionKey } from "#core/project";
import { OPTION, TRAIT } from "#core/properties";
import { keyStep } from "../../ui/keys";
import { useCommand, usePiece } from "../state/context";
import type { SheetHand } from "./hand";
import type { Row } from "./rows";
import { sheetWords } from "./words";

/** px on screen a name is dragged for one step */
const STEP = 3;
/** How many steps at once with Shift. */
const FAR = 10;

interface NameProps {
  readonly row: Row;
  readonly hand: SheetHand;
}

/** A row's name; of a number it can be dragged sideways, or moved by arrow keys, to change it. */
const RowName = ({ row, hand }: NameProps) => {
  const drag = useRef<{ x: number; gesture: string; at: number } | null>(null);
  if (row.type.is !== "number") return <span className="row-name">{row.label}</span>;
  const end = () => {
    if (drag.current) hand.settle();
    drag.current = null;
  };
  const move = (e: PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    const steps = Math.trunc((e.clientX - d.x) / STEP) * (e.shiftKey ? FAR : 1);
    if (steps !== d.at) hand.scrub(row, steps - d.at, d.gesture);
    d.at = steps;
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const step = keyStep(e.key, "ArrowLeft", "ArrowRight");
    if (step === 0) return;
    e.preventDefault();
    e.stopPropagation();
    hand.scrub(row, step * (e.shiftKey ? FAR : 1), `scrub ${row.key}`);
  };
  return (
    <span
      className="row-name scrub"
      role="spinbutton"
      tabIndex={-1}
      aria-label={row.label}
      title={sheetWords.dragLeftRightChange}
      onPointerDown={(e) => {
        e.preventDefault();
        e.currentTarget.setPointerCapture(e.pointerId);
        drag.current = { x: e.clientX, gesture: `scrub ${newId()}`, at: 0 };
      }}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={onKeyDown}
      onBlur={() => hand.settle()}
    >
      {row.label}
    </span>
  );
};

const isNested = (layer: Layer, row: Row): boolean =>
  layer.kind === "instance" && (row.key.startsWith(TRAIT) || row.key.startsWith(OPTION));

/** Whether each placed copy may set a row, and switching that. */
const OptionMark = ({ layer, row }: { layer: Layer; row: Row }) => {
  const command = useCommand();
  const nested = isNested(layer, row);
  const options = usePiece((p) => p.options);
  if (!nested && !isOneOf(optionKeys, row.key)) return null;
  const key = row.key as OptionKey;
  const option = Object.values(options).find((o) => o.layer === layer.id && o.key === key);
  const words = nested ? (row.name ?? row.label) : undefined;
  const toggle = () =>
    command((_, piece) =>
      option ? removeOption(piece, option.id) : addOption(piece, layer.id, key, words).change,
    );
  return (
    <button
      type="button"
      className={`option-mark${option ? " on" : ""}`}
      aria-pressed={option !== undefined}
      tabIndex={-1}
      title={option ? sheetWords.eachCopyCanSet(option.name) : sheetWords.letEachCopySet}
      onClick={toggle}
    >
      {option ? sheetWords.option : sheetWords.addOption}
    </button>
  );
};

/** The head of a row: its name, and whether copies may set it. */
export const RowHead = memo(function RowHead(props: NameProps & { readonly layer: Layer }) {
  const { row, hand, layer } = props;
  return (
    <div role="rowheader" className="row-label">
      <RowName row={row} hand={hand} />
      <OptionMark layer={layer} row={row} />
    </div>
  );
});
