import { useVirtualizer } from "@tanstack/react-virtual";
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { KeyboardEvent, PointerEvent } from "react";
import { addOption, contains, piecesOf, removeOption } from "#core/edit";
import { reached, restingVariant, variantKey, variantName, variantsOf } from "#core/looks";
import { optionKeys } from "#core/project";
import type { Layer, OptionKey, Piece, Variant } from "#core/project";
import { OPTION, TRAIT } from "#core/properties";
import { ContextMenu } from "../../ui/ContextMenu";
import type { MenuAt } from "../../ui/ContextMenu";
import { useProject, useSession } from "../../session/context";
import { stageOrder } from "../state/grid";
import { chooseCard, useActive, useBench, useBenchStore, useChosen } from "../state/state";
import { CellEditor } from "./CellEditor";
import { cellTitle, CellView } from "./CellView";
import { cellOf, differs, groupNames, rowsFor } from "./rows";
import type { Row } from "./rows";
import { useSheet } from "./useSheet";

const ROW = 29;
const GROUP = 22;
const COLUMN = 150;

type Item = { readonly group: string } | { readonly row: Row; readonly index: number };

/** The first or the last place of a list, for Home and End. */
const endOf = (list: readonly unknown[], key: string): number =>
  key === "Home" ? 0 : list.length - 1;

/** Rows under the captions of their groups. */
const itemsOf = (rows: readonly Row[]): Item[] => {
  const out: Item[] = [];
  rows.forEach((row, index) => {
    if (rows[index - 1]?.group !== row.group) out.push({ group: groupNames[row.group] });
    out.push({ row, index });
  });
  return out;
};

/** A row's name; of a number it can be dragged sideways to change the value. */
const RowName = ({
  row,
  onScrub,
  onEnd,
}: {
  row: Row;
  onScrub: (row: Row, steps: number, gesture: string) => void;
  onEnd: () => void;
}) => {
  const drag = useRef<{ x: number; gesture: string; at: number } | null>(null);
  if (row.type.is !== "number") return <span className="row-name">{row.label}</span>;
  const end = () => {
    if (drag.current) onEnd();
    drag.current = null;
  };
  return (
    <span
      className="row-name scrub"
      title="Drag sideways to change; Shift for larger steps"
      onPointerDown={(e) => {
        e.preventDefault();
        e.currentTarget.setPointerCapture(e.pointerId);
        drag.current = { x: e.clientX, gesture: `scrub ${Date.now()}`, at: 0 };
      }}
      onPointerMove={(e) => {
        const d = drag.current;
        if (!d) return;
        const steps = Math.trunc((e.clientX - d.x) / 3) * (e.shiftKey ? 10 : 1);
        if (steps !== d.at) onScrub(row, steps - d.at, d.gesture);
        d.at = steps;
      }}
      onPointerUp={end}
      onPointerCancel={end}
    >
      {row.label}
    </span>
  );
};

const OptionMark = ({ piece, layer, row }: { piece: Piece; layer: Layer; row: Row }) => {
  const session = useSession();
  const nested =
    layer.kind === "instance" && (row.key.startsWith(TRAIT) || row.key.startsWith(OPTION));
  if (!nested && !(optionKeys as readonly string[]).includes(row.key)) return null;
  const key = row.key as OptionKey;
  const option = Object.values(piece.options).find((o) => o.layer === layer.id && o.key === key);
  return (
    <button
      type="button"
      className={`option-mark${option ? " on" : ""}`}
      aria-pressed={option !== undefined}
      tabIndex={-1}
      title={
        option
          ? `Each copy may set this (option “${option.name}”). Click to take that back.`
          : "Let each copy set this for itself"
      }
      onClick={() => {
        session.edit(
          option
            ? removeOption(piece, option.id)
            : addOption(
                piece,
                layer.id,
                key,
                nested ? row.label.replace(/^starts with /, "") : undefined,
              ).change,
        );
      }}
    >
      {option ? "option" : "+ option"}
    </button>
  );
};

const Grid = ({
  piece,
  layer,
  rows,
  variants,
}: {
  piece: Piece;
  layer: Layer;
  rows: readonly Row[];
  variants: readonly Variant[];
}) => {
  const project = useProject();
  const store = useBenchStore();
  const { variant, whens } = useActive();
  const chosen = useChosen();
  const sheet = useSheet(layer, rows, variants);
  const { place, open, focusing } = sheet;
  const room = useRef<HTMLDivElement>(null);
  const [menu, setMenu] = useState<MenuAt | null>(null);
  const [filling, setFilling] = useState<number | null>(null);
  const closeMenu = useCallback(() => setMenu(null), []);
  const items = useMemo(() => itemsOf(rows), [rows]);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoised by a compiler
  const down = useVirtualizer({
    count: items.length,
    getScrollElement: () => room.current,
    estimateSize: (i) => ("group" in (items[i] as Item) ? GROUP : ROW),
    overscan: 3,
    scrollMargin: 0,
    paddingStart: ROW,
  });
  const across = useVirtualizer({
    horizontal: true,
    count: variants.length,
    getScrollElement: () => room.current,
    estimateSize: () => COLUMN,
    overscan: 2,
    paddingStart: COLUMN,
  });
  useEffect(() => down.measure(), [items, down]);

  const itemAt = items.findIndex((i) => "row" in i && i.index === place.row);
  useLayoutEffect(() => {
    if (focusing === 0) return;
    // what one goes to is brought out from under the heads first, and only then it is there to be
    // focused
    const box = room.current;
    const top = down.getOffsetForIndex(itemAt, "start")?.[0] ?? 0;
    if (box) {
      const y = down.measurementsCache[itemAt]?.start ?? top;
      if (y - ROW < box.scrollTop) box.scrollTop = y - ROW;
      else if (y + ROW > box.scrollTop + box.clientHeight)
        box.scrollTop = y + ROW - box.clientHeight;
      const x = COLUMN + place.column * COLUMN;
      if (x - COLUMN < box.scrollLeft) box.scrollLeft = x - COLUMN;
      else if (x + COLUMN > box.scrollLeft + box.clientWidth)
        box.scrollLeft = x + COLUMN - box.clientWidth;
    }
    const now = room.current?.querySelector<HTMLElement>(".cell.here");
    if (now) now.focus({ preventScroll: true });
    else
      requestAnimationFrame(() =>
        room.current?.querySelector<HTMLElement>(".cell.here")?.focus({ preventScroll: true }),
      );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when asked to go somewhere
  }, [focusing]);

  const active = variantKey(piece, variant);
  const resting = variantKey(piece, restingVariant(piece));
  const columnAt = (clientX: number): number => {
    const box = room.current?.getBoundingClientRect();
    return box
      ? Math.max(
          0,
          Math.min(
            variants.length - 1,
            Math.floor((clientX - box.left + (room.current?.scrollLeft ?? 0) - COLUMN) / COLUMN),
          ),
        )
      : 0;
  };
  const filled = (column: number) =>
    filling !== null &&
    column >= Math.min(filling, place.column) &&
    column <= Math.max(filling, place.column);
  const endFill = () => {
    if (filling !== null && filling !== place.column)
      sheet.fill(
        Array.from(
          { length: Math.abs(filling - place.column) },
          (_, i) => Math.min(filling, place.column) + i + (filling > place.column ? 1 : 0),
        ),
      );
    setFilling(null);
  };

  const onKey = (e: KeyboardEvent) => {
    const row = rows[place.row];
    if (open || !row || (e.target as HTMLElement).getAttribute("role") !== "gridcell") return;
    const cell = cellOf(project, piece, layer, row, variants[place.column] ?? {});
    const moves: Record<string, [number, number]> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
      PageDown: [10, 0],
      PageUp: [-10, 0],
    };
    const move = moves[e.key];
    const held = e.ctrlKey || e.metaKey;
    const far = () => ({
      row: sheet.inRows(place.row + 1)
        ? rows.findLastIndex((_, i) => sheet.inRows(i))
        : rows.findIndex((_, i) => sheet.inRows(i)),
      column:
        sheet.chosenColumns.at(-1) === place.column
          ? (sheet.chosenColumns[0] ?? place.column)
          : (sheet.chosenColumns.at(-1) ?? place.column),
    });
    if (move && e.shiftKey) {
      const f = far();
      sheet.extend(sheet.bound({ row: f.row + move[0], column: f.column + move[1] }));
    } else if (move)
      sheet.go(
        sheet.bound({
          row: place.row + move[0] * (held ? 1000 : 1),
          column: place.column + move[1] * (held ? 1000 : 1),
        }),
      );
    else if (e.key === "Home" || e.key === "End")
      sheet.go({
        row: held ? endOf(rows, e.key) : place.row,
        column: endOf(variants, e.key),
      });
    else if (held && e.key === "Enter")
      sheet.fill(sheet.chosenColumns.filter((c) => c !== place.column));
    else if (e.key === "Enter" || e.key === "F2") {
      if (row.type.is === "flag") sheet.flip(row, cell);
      else sheet.begin(null);
    } else if (e.key === "Delete" || e.key === "Backspace") sheet.clear();
    else if (e.key === "ContextMenu" || (e.shiftKey && e.key === "F10")) {
      const box = (e.target as HTMLElement).getBoundingClientRect();
      setMenu({ x: box.left + 20, y: box.bottom, items: sheet.menuFor(row, cell) });
    } else if (e.key.length === 1 && !held && !e.altKey) sheet.begin(e.key);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };

  const columns = across.getVirtualItems();
  const width = COLUMN * (variants.length + 1);
  const isHere = (index: number, column: number) => index === place.row && column === place.column;
  return (
    <div
      className="sheet"
      ref={room}
      onCopy={(e) => {
        if (open || !(e.target as HTMLElement).closest(".cell")) return;
        e.clipboardData.setData("text/plain", sheet.copy());
        e.preventDefault();
        e.stopPropagation();
      }}
      onCut={(e) => {
        if (open || !(e.target as HTMLElement).closest(".cell")) return;
        e.clipboardData.setData("text/plain", sheet.copy());
        e.preventDefault();
        e.stopPropagation();
        sheet.clear();
      }}
      onPaste={(e) => {
        if (open || !(e.target as HTMLElement).closest(".cell")) return;
        e.preventDefault();
        e.stopPropagation();
        sheet.paste(e.clipboardData.getData("text/plain"));
      }}
    >
      <div
        role="grid"
        aria-label={`Values of ${layer.name} by variant`}
        aria-rowcount={rows.length + 1}
        aria-colcount={variants.length + 1}
        aria-multiselectable="true"
        style={{ height: down.getTotalSize(), width, position: "relative" }}
        onKeyDown={onKey}
      >
        <div role="row" className="sheet-head" style={{ width }}>
          <div role="columnheader" className="sheet-layer">
            {chosen.length > 1 ? `${chosen.length} layers` : layer.name}
          </div>
          {columns.map(({ index, start }) => {
            const v = variants[index] as Variant;
            const key = variantKey(piece, v);
            const name = variantName(piece, v);
            return (
              <div
                key={key}
                role="columnheader"
                aria-colindex={index + 2}
                className={`${reached(whens, v) ? "reached" : ""}${key === active ? " active" : ""}${sheet.chosenColumns.includes(index) ? " chosen" : ""}`}
                style={{ left: start }}
              >
                <button
                  type="button"
                  data-variant-head={key}
                  onClick={(e) => {
                    if (e.shiftKey) sheet.extend({ row: place.row, column: index });
                    else chooseCard(piece, store.getState(), v, e.ctrlKey || e.metaKey);
                  }}
                >
                  {name}
                </button>
                {key === resting && variants.length > 1 && name !== "at rest" && (
                  <span className="quiet"> resting</span>
                )}
              </div>
            );
          })}
        </div>
        {down.getVirtualItems().map((line) => {
          const item = items[line.index] as Item;
          if ("group" in item)
            return (
              <div
                key={item.group}
                role="row"
                className="sheet-group caption"
                style={{ top: line.start, width }}
              >
                <span role="rowheader">{item.group}</span>
              </div>
            );
          const { row, index } = item;
          return (
            <div
              key={row.key}
              role="row"
              aria-rowindex={index + 2}
              className="sheet-row"
              data-row={row.key}
              style={{ top: line.start, width }}
            >
              <div role="rowheader" className="row-label">
                <RowName row={row} onScrub={sheet.scrub} onEnd={sheet.settle} />
                <OptionMark piece={piece} layer={layer} row={row} />
              </div>
              {columns.map(({ index: column, start }) => {
                const v = variants[column] as Variant;
                const cell = cellOf(project, piece, layer, row, v);
                const here = isHere(index, column);
                const inRange = sheet.inRows(index) && sheet.chosenColumns.includes(column);
                const classes = [
                  "cell",
                  cell.origin.own ? "own" : "inherited",
                  here ? "here" : "",
                  inRange ? "ranged" : "",
                  index === place.row && reached(whens, v) ? "reached" : "",
                  index === place.row && filled(column) ? "filling" : "",
                ]
                  .filter(Boolean)
                  .join(" ");
                return (
                  <div
                    key={variantKey(piece, v)}
                    role="gridcell"
                    aria-colindex={column + 2}
                    aria-selected={inRange}
                    className={classes}
                    style={{ left: start }}
                    tabIndex={here ? 0 : -1}
                    data-cell={`${index}.${column}`}
                    data-key={row.key}
                    data-of={variantKey(piece, v)}
                    title={cellTitle(piece, cell)}
                    onClick={(e) => {
                      if (here && open) return;
                      if (e.shiftKey) sheet.extend({ row: index, column });
                      else if (e.ctrlKey || e.metaKey) sheet.toggleColumn({ row: index, column });
                      else sheet.go({ row: index, column });
                    }}
                    onDoubleClick={() => {
                      if (!open) {
                        if (row.type.is === "flag") sheet.flip(row, cell);
                        else sheet.begin(null);
                      }
                    }}
                    onContextMenu={(e) => {
                      if (here && open) return;
                      e.preventDefault();
                      if (!inRange) sheet.go({ row: index, column });
                      setMenu({ x: e.clientX, y: e.clientY, items: sheet.menuFor(row, cell) });
                    }}
                  >
                    {here && open ? (
                      <CellEditor
                        row={row}
                        cell={cell}
                        start={open.typed}
                        onCommit={(text, by) => sheet.commit(row, text, by)}
                        onLive={(said) => sheet.show(row, said)}
                        onKeep={sheet.keep}
                        onCancel={sheet.cancel}
                      />
                    ) : (
                      <CellView
                        piece={piece}
                        row={row}
                        cell={cell}
                        layer={layer}
                        variant={variantKey(piece, v)}
                      />
                    )}
                    {here && !open && variants.length > 1 && (
                      <span
                        className="fill-grip"
                        title="Drag across to fill"
                        onPointerDown={(e: PointerEvent) => {
                          e.stopPropagation();
                          e.currentTarget.setPointerCapture(e.pointerId);
                          setFilling(place.column);
                        }}
                        onPointerMove={(e: PointerEvent) => {
                          if (filling !== null) setFilling(columnAt(e.clientX));
                        }}
                        onPointerUp={endFill}
                        onPointerCancel={() => setFilling(null)}
                        onClick={(e) => e.stopPropagation()}
                      />
                    )}
                  </div>
                );
              })}
            </div>
          );
        })}
      </div>
      {menu && <ContextMenu menu={menu} onClose={closeMenu} />}
    </div>
  );
};

/**
 * For the chosen layers: rows are properties, columns are variants; what a variant says for itself
 * is solid.
 */
export const Sheet = () => {
  const project = useProject();
  const { piece } = useActive();
  const chosen = useChosen();
  const onlyDifferences = useBench((s) => s.onlyDifferences);
  const down = useBench((s) => s.grid.down);
  const variants = useMemo(() => stageOrder(piece, down), [piece, down]);
  const layer = chosen[0] === undefined ? undefined : piece.layers[chosen[0]];
  const rows = useMemo(() => {
    if (!layer) return [];
    const candidates = piecesOf(project, "component").filter(
      (c) => !contains(project, c.id, piece.id),
    );
    const all = rowsFor(project, piece, layer, variantsOf(piece), candidates);
    return onlyDifferences ? all.filter((r) => differs(piece, layer, r)) : all;
  }, [project, piece, layer, onlyDifferences]);
  if (!layer)
    return (
      <p className="drawer-empty">
        Choose a layer, on a card or in the tree, to see and set its values in every variant.
      </p>
    );
  if (rows.length === 0)
    return (
      <p className="drawer-empty">
        {layer.name} looks the same in all variants. Untick “only differences” to see its values.
      </p>
    );
  return <Grid piece={piece} layer={layer} rows={rows} variants={variants} />;
};
