import { useVirtualizer } from "@tanstack/react-virtual";
import { memo, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { ClipboardEvent, KeyboardEvent, MouseEvent, RefObject } from "react";
import { reached, restingName, restingVariant, variantKey, variantName } from "#core/looks";
import type { Layer, Variant } from "#core/project";
import { ContextMenu } from "../../ui/floating/ContextMenu";
import { useSettings } from "../../services/settings";
import { Icon } from "../../ui/Icon";
import { runKey } from "../../ui/keys";
import { countRender } from "../../ui/renders";
import { useEdits } from "../commands/edits";
import { chooseCard } from "../state/active";
import { useActive, useBenchStore, useChosen, useVarying, useWorkpiece } from "../state/context";
import { useWatched } from "../../ui/watched";
import { CellBox } from "./cells/CellBox";
import { useCellMenu } from "./useCellMenu";
import { SheetHand } from "./hand";
import { NameToken } from "./NameToken";
import { sheetKeys } from "./keys";
import { RowHead } from "./RowHead";
import { groupNames } from "./rows";
import type { Cell, Row, Section } from "./rows";
import { sheetWords } from "./words";

/** Sizes of the grid, px: a row, a caption, a column. */
const ROW = 29;
const GROUP = 22;
const COLUMN = 150;

type Item = { readonly section: Section } | { readonly row: Row; readonly index: number };

/** Rows under the captions of their groups. */
const itemsOf = (sections: readonly Section[]): Item[] => {
  const out: Item[] = [];
  let index = 0;
  for (const section of sections) {
    out.push({ section });
    if (!section.folded) for (const row of section.rows) out.push({ row, index: index++ });
  }
  return out;
};

/** The rows and columns that are near what one sees. */
const useWindow = (room: RefObject<HTMLDivElement | null>, items: readonly Item[], n: number) => {
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoised by a compiler
  const down = useVirtualizer({
    count: items.length,
    getScrollElement: () => room.current,
    estimateSize: (i) => {
      const item = items[i];
      return item && "section" in item ? GROUP : ROW;
    },
    overscan: 3,
    scrollMargin: 0,
    paddingStart: ROW,
  });
  const across = useVirtualizer({
    horizontal: true,
    count: n,
    getScrollElement: () => room.current,
    estimateSize: () => COLUMN,
    overscan: 2,
    paddingStart: COLUMN,
  });
  useEffect(() => down.measure(), [items, down]);
  return { down, across };
};

/** Scrolls a room just so far that a cell is out from under the heads. */
const bringOut = (room: HTMLElement, top: number, column: number): void => {
  if (top - ROW < room.scrollTop) room.scrollTop = top - ROW;
  else if (top + ROW > room.scrollTop + room.clientHeight)
    room.scrollTop = top + ROW - room.clientHeight;
  const left = COLUMN + column * COLUMN;
  if (left - COLUMN < room.scrollLeft) room.scrollLeft = left - COLUMN;
  else if (left + COLUMN > room.scrollLeft + room.clientWidth)
    room.scrollLeft = left + COLUMN - room.clientWidth;
};

const focusHere = (room: HTMLElement | null): boolean => {
  const cell = room?.querySelector<HTMLElement>(".cell.here");
  cell?.focus({ preventScroll: true });
  return cell != null;
};

/** Gives the cell one goes to the focus, once it is there. */
const useCellFocus = (
  room: RefObject<HTMLDivElement | null>,
  hand: SheetHand,
  topOf: (row: number) => number,
) => {
  const { focusing } = hand;
  useLayoutEffect(() => {
    if (focusing === 0 || !room.current) return;
    // what one goes to is brought out from under the heads first, and only then it is there to be
    // focused
    const { row, column } = hand.place;
    bringOut(room.current, topOf(row), column);
    if (!focusHere(room.current)) requestAnimationFrame(() => focusHere(room.current));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when asked to go somewhere
  }, [focusing]);
};

interface HeadProps {
  readonly hand: SheetHand;
  readonly variants: readonly Variant[];
  readonly columns: readonly { readonly index: number; readonly start: number }[];
  readonly width: number;
  readonly title: string;
}

/** The names of the variants, to choose their cards by. */
const Head = ({ hand, variants, columns, width, title }: HeadProps) => {
  const store = useBenchStore();
  const piece = useVarying();
  const { variant: looked, whens } = useActive();
  const active = variantKey(piece, looked);
  const resting = variantKey(piece, restingVariant(piece));
  const chosen = new Set(hand.columns);
  const press = (e: MouseEvent, v: Variant, column: number) => {
    if (e.shiftKey) hand.extend({ row: hand.place.row, column });
    else chooseCard(piece, store.getState(), v, e.ctrlKey || e.metaKey);
  };
  return (
    <div role="row" className="sheet-head" style={{ width }}>
      <div role="columnheader" className="sheet-layer">
        {title}
      </div>
      {columns.map(({ index, start }) => {
        const v = variants[index];
        if (!v) return null;
        const key = variantKey(piece, v);
        const name = variantName(piece, v);
        const marks = [
          reached(whens, v) && "reached",
          key === active && "active",
          chosen.has(index) && "chosen",
        ];
        return (
          <div
            key={key}
            role="columnheader"
            aria-colindex={index + 2}
            className={marks.filter(Boolean).join(" ")}
            style={{ left: start }}
          >
            <button
              type="button"
              tabIndex={-1}
              data-variant-head={key}
              onClick={(e) => press(e, v, index)}
            >
              {name}
            </button>
            {key === resting && variants.length > 1 && name !== restingName && (
              <span className="quiet"> {sheetWords.default}</span>
            )}
          </div>
        );
      })}
    </div>
  );
};

interface RowProps {
  readonly layer: Layer;
  readonly row: Row;
  readonly index: number;
  readonly top: number;
  readonly width: number;
  readonly hand: SheetHand;
  readonly variants: readonly Variant[];
  readonly columns: HeadProps["columns"];
  readonly columnAt: (clientX: number) => number;
  readonly onMenu: (e: MouseEvent, row: Row, cell: Cell) => void;
}

/** A property of the chosen layers, in every variant in sight. */
const SheetRow = (props: RowProps) => {
  const { layer, row, index, top, width, hand, variants, columns, columnAt, onMenu } = props;
  const piece = useVarying();
  const { whens } = useActive();
  const { place, open } = hand;
  const chosen = new Set(hand.columns);
  const inRange = hand.inRows(index);
  const own = index === place.row;
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      className="sheet-row"
      data-row={row.key}
      style={{ top, width }}
    >
      <RowHead row={row} hand={hand} layer={layer} />
      {columns.map(({ index: column, start }) => {
        const variant = variants[column];
        if (!variant) return null;
        const here = own && column === place.column;
        return (
          <CellBox
            key={variantKey(piece, variant)}
            piece={piece}
            layer={layer}
            row={row}
            index={index}
            column={column}
            left={start}
            variant={variant}
            hand={hand}
            here={here}
            ranged={inRange && chosen.has(column)}
            reached={own && reached(whens, variant)}
            filling={own && hand.filled(column)}
            open={here ? open : null}
            fillable={variants.length > 1}
            columnAt={columnAt}
            onMenu={onMenu}
          />
        );
      })}
    </div>
  );
};

const onCell = (e: { target: EventTarget }): boolean =>
  (e.target as HTMLElement).closest(".cell") !== null;

/** Copying and pasting cells, as text for spreadsheets. */
const clipboardOf = (hand: SheetHand) => {
  const take = (e: ClipboardEvent): boolean => {
    if (hand.open || !onCell(e)) return false;
    e.preventDefault();
    e.stopPropagation();
    return true;
  };
  const onCopy = (e: ClipboardEvent) => {
    if (!take(e)) return;
    e.clipboardData.setData("text/plain", hand.copy());
    if (e.type === "cut") hand.clear();
  };
  const onPaste = (e: ClipboardEvent) => {
    if (take(e)) hand.paste(e.clipboardData.getData("text/plain"));
  };
  return { onCopy, onCut: onCopy, onPaste };
};

/** What keys do on a cell; false for those that mean nothing there. Any letter begins to type. */
const pressKey = (hand: SheetHand, e: KeyboardEvent, openMenu: () => void): boolean => {
  if (runKey(sheetKeys, { hand, openMenu }, e.nativeEvent)) return true;
  const letter = e.key.length === 1 && !e.ctrlKey && !e.metaKey && !e.altKey;
  if (letter) hand.begin(e.key);
  return letter;
};

/** The caption of a group, which folds it and opens it again. */
const GroupHead = ({ section, top, width }: { section: Section; top: number; width: number }) => {
  const toggle = useSettings((s) => s.toggleGroup);
  const name = groupNames[section.group];
  return (
    <div role="row" className="sheet-group caption" style={{ top, width }}>
      <span role="rowheader">
        <button
          type="button"
          aria-expanded={!section.folded}
          title={sheetWords.groupRows(name, section.rows.length)}
          onClick={() => toggle(section.group)}
        >
          <Icon name={section.folded ? "right" : "down"} size={10} />
          {name}
        </button>
      </span>
    </div>
  );
};

interface Props {
  readonly layer: Layer;
  readonly sections: readonly Section[];
  readonly variants: readonly Variant[];
}

/**
 * The grid of the sheet (WAI-ARIA grid). Its cells are elements of our own, not a table: only those
 * in sight are there, of rows and columns alike.
 */
export const Grid = memo(function Grid({ layer, sections, variants }: Props) {
  countRender("sheet");
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const chosen = useChosen();
  useActive();
  const [made] = useState(() => new SheetHand(workpiece, edits));
  const hand = useWatched(made);
  const items = useMemo(() => itemsOf(sections), [sections]);
  const rows = useMemo(() => items.flatMap((i) => ("row" in i ? [i.row] : [])), [items]);
  hand.show(rows, variants);
  const room = useRef<HTMLDivElement>(null);
  const { down, across } = useWindow(room, items, variants.length);
  useCellFocus(room, hand, (row) => {
    const at = items.findIndex((i) => "row" in i && i.index === row);
    return down.measurementsCache[at]?.start ?? down.getOffsetForIndex(at, "start")?.[0] ?? 0;
  });
  const { menu, open, close, naming, endNaming } = useCellMenu(hand);
  const onMenu = useCallback(
    (e: MouseEvent, row: Row, cell: Cell) => open({ x: e.clientX, y: e.clientY }, row, cell),
    [open],
  );
  const columnAt = useCallback((clientX: number): number => {
    const box = room.current?.getBoundingClientRect();
    const x = clientX - (box?.left ?? 0) + (room.current?.scrollLeft ?? 0);
    return Math.floor((x - COLUMN) / COLUMN);
  }, []);
  const onKeyDown = (e: KeyboardEvent) => {
    const target = e.target as HTMLElement;
    if (hand.open || target.getAttribute("role") !== "gridcell") return;
    const openMenu = () => {
      const box = target.getBoundingClientRect();
      const here = hand.here();
      if (here) open({ x: box.left + 20, y: box.bottom }, here.row, here.cell);
    };
    if (!pressKey(hand, e, openMenu)) return;
    e.preventDefault();
    e.stopPropagation();
  };
  const columns = across.getVirtualItems();
  const width = COLUMN * (variants.length + 1);
  return (
    <div className="sheet" data-entrance ref={room} {...clipboardOf(hand)}>
      <div
        role="grid"
        aria-label={sheetWords.valuesByVariant(layer.name)}
        aria-rowcount={rows.length + 1}
        aria-colcount={variants.length + 1}
        aria-multiselectable="true"
        style={{ height: down.getTotalSize(), width, position: "relative" }}
        onKeyDown={onKeyDown}
      >
        <Head
          hand={hand}
          variants={variants}
          columns={columns}
          width={width}
          title={chosen.length > 1 ? sheetWords.layers(chosen.length) : layer.name}
        />
        {down.getVirtualItems().map((line) => {
          const item = items[line.index];
          if (!item) return null;
          if ("section" in item) {
            const { section } = item;
            return (
              <GroupHead key={section.group} section={section} top={line.start} width={width} />
            );
          }
          return (
            <SheetRow
              key={item.row.key}
              layer={layer}
              row={item.row}
              index={item.index}
              top={line.start}
              width={width}
              hand={hand}
              variants={variants}
              columns={columns}
              columnAt={columnAt}
              onMenu={onMenu}
            />
          );
        })}
      </div>
      {menu && <ContextMenu menu={menu} onClose={close} />}
      {naming && <NameToken naming={naming} onClose={endNaming} />}
    </div>
  );
});
