import { memo, useMemo } from "react";
import type { MouseEvent, PointerEvent } from "react";
import { variantKey } from "#core/looks";
import type { Id } from "#core/basics";
import type { Layer, Project, Variant, Varying } from "#core/project";
import { useDisplayedProject } from "../../../session/displayed";
import { steady } from "../../../ui/steady";
import { countRender } from "../../../ui/renders";
import { CellEditor } from "./CellEditor";
import { cellTitle, CellView } from "./CellView";
import type { SheetHand } from "../hand";
import { cellOf, sameCell } from "../rows";
import type { Cell, Row } from "../rows";
import { sheetWords } from "../words";

/** What a cell says, renewed only when that is something else. */
const useCell = (id: Id, layer: Layer, row: Row, variant: Variant): Cell | null => {
  const read = useMemo(
    () =>
      steady(
        (project: Project) => {
          const piece = project.pieces[id];
          return piece ? cellOf(project, piece, layer, row, variant) : null;
        },
        (a, b) => a !== null && b !== null && sameCell(a, b),
      ),
    [id, layer, row, variant],
  );
  return useDisplayedProject(read);
};

/** The corner that is dragged across to fill. */
const FillGrip = ({ hand, columnAt }: Pick<Props, "hand" | "columnAt">) => (
  <span
    className="fill-grip"
    title={sheetWords.dragFillOtherVariants}
    onPointerDown={(e: PointerEvent) => {
      e.stopPropagation();
      e.currentTarget.setPointerCapture(e.pointerId);
      hand.fillTo(hand.place.column);
    }}
    onPointerMove={(e: PointerEvent) => {
      if (hand.filling !== null) hand.fillTo(columnAt(e.clientX));
    }}
    onPointerUp={() => hand.endFill()}
    onPointerCancel={() => hand.fillTo(null)}
    onClick={(e) => e.stopPropagation()}
  />
);

interface Props {
  readonly piece: Varying;
  readonly layer: Layer;
  readonly row: Row;
  /** counted from 0 */
  readonly index: number;
  readonly column: number;
  /** px from the left of the grid */
  readonly left: number;
  readonly variant: Variant;
  readonly hand: SheetHand;
  readonly here: boolean;
  readonly ranged: boolean;
  readonly reached: boolean;
  readonly filling: boolean;
  /** edited, with what was typed to open it; null when it was opened with all that it says */
  readonly open: { readonly typed: string | null } | null;
  readonly fillable: boolean;
  readonly columnAt: (clientX: number) => number;
  readonly onMenu: (e: MouseEvent, row: Row, cell: Cell) => void;
}

/** A cell of the sheet: its own element, as thousands of them are shown and gone through. */
export const CellBox = memo(function CellBox(props: Props) {
  countRender("cell");
  const { layer, row, index, column, left, variant, hand, here, ranged, open } = props;
  const { piece } = props;
  const cell = useCell(hand.pieceId, layer, row, variant);
  if (!cell) return null;
  const key = variantKey(piece, variant);
  const classes = [
    cell.origin.own ? "own" : "inherited",
    here && "here",
    ranged && "ranged",
    props.reached && "reached",
    props.filling && "filling",
  ];
  const place = { row: index, column };
  const onClick = (e: MouseEvent) => {
    if (open) return;
    if (e.shiftKey) hand.extend(place);
    else if (e.ctrlKey || e.metaKey) hand.toggleColumn(column);
    else hand.go(place);
  };
  const onContextMenu = (e: MouseEvent) => {
    if (open) return;
    e.preventDefault();
    if (!ranged) hand.go(place);
    props.onMenu(e, row, cell);
  };
  return (
    <div
      role="gridcell"
      aria-colindex={column + 2}
      aria-selected={ranged}
      className={["cell", ...classes].filter(Boolean).join(" ")}
      style={{ left }}
      tabIndex={here ? 0 : -1}
      data-cell={`${index}.${column}`}
      data-key={row.key}
      data-of={key}
      title={cellTitle(piece, cell)}
      onClick={onClick}
      onDoubleClick={() => hand.press()}
      onContextMenu={onContextMenu}
    >
      {open ? (
        <CellEditor
          row={row}
          cell={cell}
          start={open.typed}
          onCommit={(text, by) => hand.commit(row, text, by)}
          onLive={(said) => hand.live(row, said)}
          onKeep={(by) => hand.keep(by)}
          onCancel={(by) => hand.cancel(by)}
        />
      ) : (
        <CellView piece={piece} row={row} cell={cell} layer={layer} variant={variant} />
      )}
      {here && !open && props.fillable && <FillGrip hand={hand} columnAt={props.columnAt} />}
    </div>
  );
});
