import { memo, useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { ComponentType, DragEvent, MouseEvent, ReactNode } from "react";
import type { LayoutEnv } from "#core/layout";
import {
  MOST_VARIANTS,
  traitsOf,
  valuesOf,
  variantFrom,
  variantKey,
  variantsOf,
} from "#core/looks";
import type { Variant, Varying } from "#core/project";
import { ContextMenu } from "../../ui/floating/ContextMenu";
import type { MenuAt } from "../../ui/floating/ContextMenu";
import { countRender } from "../../ui/renders";
import { useArranging } from "../commands/arranging";
import { useEdits } from "../commands/edits";
import { COMPONENT, readDragged } from "../commands/dragged";
import { fresh, useInserter } from "../commands/inserting";
import { layerMenu } from "../commands/layerMenu";
import { cardKey } from "../state/active";
import { useBench, usePiece, useScenes, useVarying, useWorkpiece } from "../state/context";
import { shownVariants } from "../state/grid";
import { AlignBar } from "./bars/AlignBar";
import type { OverCard } from "./cards/Card";
import { bestFit, cardSize, fitAlone, isOutgrown, nextZoom, takenFor } from "./fit";
import type { Fit } from "./fit";
import { KeepScenes } from "./KeepScenes";
import { ScopeBar } from "./bars/ScopeBar";
import { Slot } from "./cards/Slot";
import { useSteady } from "./useSteady";
import { StageGrid } from "./StageGrid";
import { variantMenu } from "./cards/variantMenu";
import { ZoomBar } from "./bars/ZoomBar";
import { stageWords } from "./words";

/** What the browser calls files among the kinds of what is dragged. */
const FILES = "Files";

/** More cards than this are not laid out at once: choose which ones with the menu of cards. */
const MOST_CARDS = 240;

/** How large an element is, px; watched. */
const useSize = () => {
  const element = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!element.current) return;
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    watch.observe(element.current);
    return () => watch.disconnect();
  }, []);
  return [element, size] as const;
};

/**
 * The zoom that fits; fitted when the stage, the grid or the piece's size changes, not while one
 * resizes a layer: it must not grow under one's hand.
 */
const useFit = (piece: Varying, room: { width: number; height: number }) => {
  const id = useBench((s) => s.pieceId);
  const view = useBench((s) => s.grid);
  const only = useBench((s) => s.only);
  const chosen = useBench((s) => s.zoom);
  const setZoom = useBench((s) => s.setZoom);
  const editing = useBench((s) => s.editing);
  const size = takenFor(
    useSteady(
      useScenes((all) => all.largest("width")),
      useScenes((all) => all.largest("height")),
    ),
  );
  const laid = useScenes((all) => all.laid);
  const [fits, setFits] = useState(0);
  const reason = JSON.stringify([
    id,
    laid,
    Math.round(room.width),
    Math.round(room.height),
    traitsOf(piece).map((t) => [t.id, valuesOf(t).length]),
    view.down,
    view.hidden,
    fits,
    only && variantKey(piece, only),
  ]);
  const [fitted, setFitted] = useState<Fit & { reason: string }>({
    reason: "",
    zoom: 1,
    flow: null,
  });
  const next = only ? fitAlone(room, size) : bestFit(piece, view, room, size);
  const grown = !editing && isOutgrown(fitted.zoom, next.zoom);
  if (fitted.reason !== reason || grown) setFitted({ reason, ...next });
  const zoom = chosen === "fit" ? fitted.zoom : chosen;
  const fitAgain = useCallback(() => {
    setZoom("fit");
    setFits((n) => n + 1);
  }, [setZoom]);
  return { zoom, flow: fitted.flow, card: cardSize(size, zoom), fitAgain };
};

/** Ctrl and the wheel change the zoom. */
const useWheel = (room: React.RefObject<HTMLDivElement | null>, zoom: number) => {
  const setZoom = useBench((s) => s.setZoom);
  useEffect(() => {
    const element = room.current;
    const wheel = (e: WheelEvent) => {
      if (!e.ctrlKey && !e.metaKey) return;
      e.preventDefault();
      const next = nextZoom(zoom, e.deltaY < 0 ? 1 : -1);
      if (next !== null) setZoom(next);
    };
    element?.addEventListener("wheel", wheel, { passive: false });
    return () => element?.removeEventListener("wheel", wheel);
  }, [room, setZoom, zoom]);
};

/** The menu of a card, or of what is chosen on it, where one asked for it. */
const useCardMenu = () => {
  const workpiece = useWorkpiece();
  const arranging = useArranging();
  const edits = useEdits();
  const [menu, setMenu] = useState<MenuAt | null>(null);
  const close = useCallback(() => setMenu(null), []);
  const open = useCallback(
    (e: MouseEvent, on: Variant, whole: boolean) => {
      e.preventDefault();
      const items = whole
        ? variantMenu({ workpiece, variant: on, arranging })
        : layerMenu({ workpiece, arranging, edits });
      // a key that presses the button has no place of its own
      const box = e.currentTarget.getBoundingClientRect();
      const byKey = e.clientX === 0 && e.clientY === 0;
      setMenu({ x: byKey ? box.left : e.clientX, y: byKey ? box.bottom : e.clientY, items });
    },
    [workpiece, arranging, edits],
  );
  return { menu, open, close };
};

/** Takes files and components that are dropped, where they are dropped. */
const useDrop = (zoom: number) => {
  const edits = useEdits();
  const insert = useInserter();
  const onDragOver = (e: DragEvent) => {
    const { types } = e.dataTransfer;
    if (!types.includes(FILES) && !types.includes(COMPONENT)) return;
    e.preventDefault();
    e.dataTransfer.dropEffect = "copy";
  };
  const onDrop = (e: DragEvent) => {
    const files = [...e.dataTransfer.files];
    const copy = readDragged(e.dataTransfer.getData(COMPONENT));
    if (files.length === 0 && !copy) return;
    e.preventDefault();
    const box = (e.target as Element).closest(".scene")?.getBoundingClientRect();
    const at = box && { x: (e.clientX - box.left) / zoom, y: (e.clientY - box.top) / zoom };
    if (copy) {
      insert.copy(copy, at);
      return;
    }
    void insert.files(files, at).then((note) => {
      if (note !== null) edits.note(note);
    });
  };
  return { onDragOver, onDrop };
};

const EmptyPiece = () => {
  const kind = usePiece((p) => p.kind);
  const empty = usePiece((p) => Object.keys(p.layers).length === 1);
  if (!empty) return null;
  return <p className="stage-empty">{stageWords.emptyInsertShapeText(kind)}</p>;
};

/** How the tool in hand is used. */
const ToolHint = () => {
  const drawn = useBench((s) => (s.tool === "draw" ? s.drawn : null));
  const posing = useBench((s) => (s.tool === "pose" ? s.posing : null));
  const name = usePiece((p) => p.layers[posing?.layer ?? ""]?.name ?? "");
  const isShown = drawn !== null || posing !== null;
  return (
    <div role="status" className={isShown ? "tool-hint" : "visually-hidden"}>
      {drawn !== null && stageWords.dragCardDrawClick(fresh[drawn].words)}
      {posing !== null && stageWords.dragWhereThenPress(name, posing.key === "comesFrom")}
    </div>
  );
};

const TooMany = ({ piece }: { piece: Varying }) => {
  const all = variantsOf(piece).length;
  return (
    <p className="stage-empty">
      {stageWords.showingFirstVariantsUse(MOST_CARDS, all >= MOST_VARIANTS, MOST_VARIANTS, all)}
    </p>
  );
};

interface Props {
  readonly env: LayoutEnv;
  /** what the tools draw over each card */
  readonly Over: ComponentType<OverCard>;
  /** what of the chosen layers is at hand under the stage */
  readonly Beside: ComponentType;
  /** what lies over the whole stage */
  readonly children: ReactNode;
}

/** Every variant as a live card, in rows and columns along the traits. */
export const Stage = memo(function Stage({ env, Over, Beside, children }: Props) {
  countRender("stage");
  const piece = useVarying();
  const view = useBench((s) => s.grid);
  const only = useBench((s) => s.only);
  const choose = useBench((s) => s.choose);
  const looked = useBench((s) => variantKey(piece, variantFrom(piece, s.variant)));
  const [room, size] = useSize();
  const { zoom, flow, card, fitAgain } = useFit(piece, size);
  const { menu, open, close } = useCardMenu();
  const drop = useDrop(zoom);
  useWheel(room, zoom);
  const variants = useMemo(
    () => (only ? [only] : shownVariants(piece, view).slice(0, MOST_CARDS)),
    [piece, view, only],
  );
  const shown = useMemo(() => {
    // the same objects for as long as the traits are: their cards need not render again
    const own = variantsOf(piece);
    return new Map(
      variants.map((v) => {
        const key = variantKey(piece, v);
        return [key, own.find((o) => variantKey(piece, o) === key) ?? v] as const;
      }),
    );
  }, [piece, variants]);
  const cardOf = (wanted: Variant, pinned: boolean) => {
    const variant = shown.get(variantKey(piece, wanted));
    if (!variant) return <div />;
    return (
      <Slot
        of={cardKey(piece, variant)}
        width={card.width}
        height={card.height}
        eager={variantKey(piece, variant) === looked}
        card={{ env, variant, zoom, pinned, Over, onMenu: open }}
      />
    );
  };
  return (
    <section className="stage" data-part aria-label={stageWords.stage}>
      <KeepScenes env={env} variants={variants} />
      <ScopeBar />
      <div
        className="stage-room"
        ref={room}
        onPointerDown={(e) => {
          const target = e.target as Element;
          if (target === e.currentTarget || target.classList.contains("stage-grid")) choose([]);
        }}
        {...drop}
      >
        <EmptyPiece />
        {only ? (
          <div className="stage-grid single">{cardOf(only, false)}</div>
        ) : (
          <StageGrid piece={piece} view={view} cardWidth={card.width} flow={flow} cardOf={cardOf} />
        )}
        {variants.length >= MOST_CARDS && <TooMany piece={piece} />}
      </div>
      <ToolHint />
      <div className="stage-foot">
        <AlignBar />
        <Beside />
        <ZoomBar zoom={zoom} onFit={fitAgain} />
      </div>
      {children}
      {menu && <ContextMenu menu={menu} onClose={close} />}
    </section>
  );
});
