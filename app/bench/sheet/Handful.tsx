import { memo, useEffect, useMemo, useRef, useState } from "react";
import type { Layer, Variant } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { steady } from "../../ui/steady";
import { Toolbar } from "../../ui/focus/Toolbar";
import { useEdits } from "../commands/edits";
import { shownLayers } from "../state/active";
import {
  useActive,
  useBench,
  useChosen,
  usePiece,
  useVarying,
  useWorkpiece,
} from "../state/context";
import { useWatched } from "../../ui/watched";
import { CellEditor } from "./cells/CellEditor";
import { cellTitle, CellView } from "./cells/CellView";
import { SheetHand } from "./hand";
import { handfulOf } from "./handfuls";
import { readRows } from "./readRows";
import { cellOf, sameCell } from "./rows";
import type { Row } from "./rows";
import { sheetWords } from "./words";

interface ValueProps {
  readonly layer: Layer;
  readonly row: Row;
  readonly variant: Variant;
  readonly hand: SheetHand;
  readonly index: number;
}

/** One value; a press opens it to be edited where it stands. */
const ValueAtHand = ({ layer, row, variant, hand, index }: ValueProps) => {
  const piece = useVarying();
  const id = useBench((s) => s.pieceId);
  const read = useMemo(
    () =>
      steady(
        (project: Parameters<typeof cellOf>[0]) => {
          const now = project.pieces[id];
          return now ? cellOf(project, now, layer, row, variant) : null;
        },
        (a, b) => a !== null && b !== null && sameCell(a, b),
      ),
    [id, layer, row, variant],
  );
  const cell = useDisplayedProject(read);
  if (!cell) return null;
  if (hand.open && hand.place.row === index)
    return (
      <span className="handful-edit">
        <CellEditor
          row={row}
          cell={cell}
          start={hand.open.typed}
          onCommit={(text, by) => hand.commit(row, text, by)}
          onLive={(said) => hand.live(row, said)}
          onKeep={(by) => hand.keep(by)}
          onCancel={(by) => hand.cancel(by)}
        />
      </span>
    );
  return (
    <button
      type="button"
      className="handful-value"
      data-at={index}
      title={cellTitle(piece, cell)}
      onClick={() => {
        hand.go({ row: index, column: 0 });
        hand.press();
      }}
    >
      <span className="handful-name">{row.label}</span>
      <CellView piece={piece} row={row} cell={cell} layer={layer} variant={variant} />
    </button>
  );
};

const Values = ({ layer }: { layer: Layer }) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const { variant } = useActive();
  const id = useBench((s) => s.pieceId);
  const read = useMemo(() => readRows(id, layer.id, false), [id, layer.id]);
  const all = useDisplayedProject(read);
  const rows = useMemo(() => handfulOf(all, layer.kind), [all, layer.kind]);
  const variants = useMemo(() => [variant], [variant]);
  const [made] = useState(() => new SheetHand(workpiece, edits));
  const hand = useWatched(made);
  const room = useRef<HTMLDivElement>(null);
  hand.show(rows, variants);
  const { focusing } = hand;
  useEffect(() => {
    if (focusing === 0) return;
    room.current?.querySelector<HTMLElement>(`[data-at="${hand.place.row}"]`)?.focus();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when asked to go somewhere
  }, [focusing]);
  if (rows.length === 0) return null;
  return (
    <div className="handful" ref={room}>
      <Toolbar label={sheetWords.handful(layer.name)}>
        {rows.map((row, index) => (
          <ValueAtHand
            key={row.key}
            layer={layer}
            row={row}
            variant={variant}
            hand={hand}
            index={index}
          />
        ))}
      </Toolbar>
    </div>
  );
};

/** The handful of values one changes most for the kind of layer that is chosen, beside the stage. */
export const Handful = memo(function Handful() {
  const chosen = useChosen();
  const [lead] = shownLayers(chosen);
  const layer = usePiece((p) => p.layers[lead ?? ""]);
  const idle = useBench((s) => s.tool === "choose" && s.shaping === null);
  if (!layer || chosen.length === 0 || !idle) return null;
  return <Values key={layer.id} layer={layer} />;
});
