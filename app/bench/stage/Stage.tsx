import { memo, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { DragEvent } from "react";
import { usedAgain } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import {
  MOST_VARIANTS,
  isUnused,
  reached,
  traitsOf,
  valuesOf,
  variantKey,
  variantName,
  variantsOf,
} from "#core/looks";
import { ROOT } from "#core/project";
import type { Piece, Variant } from "#core/project";
import { ContextMenu } from "../../ui/ContextMenu";
import type { MenuAt } from "../../ui/ContextMenu";
import { Icon, Swatch } from "../../ui/Icon";
import { useProject, useSession } from "../../session/context";
import { AlignBar } from "./AlignBar";
import { useArranging } from "../state/arranging";
import { Card } from "./Card";
import { useEdits } from "../state/edits";
import { gridOf, headings, shownVariants, variantOf } from "../state/grid";
import { GridMenu } from "./GridBar";
import { useInserter } from "../tools/inserting";
import { layerMenu } from "../tree/layerMenu";
import { ReferenceMenu } from "./Reference";
import { useScenes } from "../state/scenes";
import { isHeavy, useLagged } from "../state/Later";
import { ScopeBar } from "./ScopeBar";
import { useActive, useBench, useBenchStore } from "../state/state";
import type { GridView } from "../state/state";
import { variantMenu } from "./variantMenu";
import { WirePanel, WireScreens } from "../tools/WirePanel";

const PAD = 26;
const PAD_DOWN = 20;
const HEAD = 30;
const GAP = 12;
const SIDE = 104;
const NARROWEST = 190;
/** More cards than this are not laid out at once: choose which ones with the menu of cards. */
const MOST_CARDS = 240;
const steps = [0.1, 0.25, 0.5, 0.75, 1, 1.5, 2, 3, 4, 6, 8, 12, 16];

/**
 * The zoom at which the cards fill the stage: larger than life for small parts, half size for
 * screens at the least.
 */
const fitZoom = (
  room: { width: number; height: number },
  columns: number,
  rows: number,
  width: number,
  height: number,
  side: number,
): number => {
  if (!(room.width > 0) || width === 0 || height === 0) return 1;
  const across = (room.width - 40 - side - (columns - 1) * GAP) / columns - 2 * PAD;
  const down = (room.height - 76 - (rows - 1) * GAP) / rows - HEAD - 2 * PAD_DOWN;
  const fit = Math.min(across / width, down / height);
  return (
    Math.round(
      Math.max(Math.min(1, (columns * rows > 2 ? 138 : 190) / width), 0.1, Math.min(4, fit)) * 20,
    ) / 20
  );
};

interface Fit {
  readonly zoom: number;
  /** how many cards lie side by side when one trait is laid in several lines; null for one line */ readonly flow:
    number | null;
}

/**
 * The zoom that fits; the values of a single trait are laid in as many lines as leave the cards
 * largest.
 */
const bestFit = (
  piece: Piece,
  view: GridView,
  size: { width: number; height: number },
  w: number,
  h: number,
  alone: boolean,
): Fit => {
  if (alone) return { zoom: fitZoom(size, 1, 1, w, h, 0), flow: null };
  const g = gridOf(piece, view);
  const n = g.columns.length;
  const usual: Fit = {
    zoom: fitZoom(size, n, g.rows.length, w, h, (g.rows[0]?.values.length ?? 0) > 0 ? SIDE : 0),
    flow: null,
  };
  if (view.down !== null || traitsOf(piece).length !== 1) return usual;
  const fits = (columns: number, zoom: number) =>
    columns * (Math.max(NARROWEST, w * zoom + 2 * PAD) + GAP) <= size.width;
  let best = usual;
  let room = fits(n, usual.zoom);
  for (let flow = n - 1; flow >= 1; flow--) {
    const zoom = fitZoom(size, flow, Math.ceil(n / flow), w, h, 0);
    const holds = fits(flow, zoom);
    if ((holds && !room) || (holds === room && zoom > best.zoom * 1.05)) {
      best = { zoom, flow };
      room = holds;
    }
  }
  return best;
};

/** A place for a card that is painted once it is near what one sees. */
const Slot = ({
  of,
  width,
  height,
  eager,
  children,
}: {
  of: string;
  width: number;
  height: number;
  eager: boolean;
  children: () => React.ReactNode;
}) => {
  const slot = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(eager);
  useEffect(() => {
    const element = slot.current;
    if (!element) return;
    const watch = new IntersectionObserver(
      (entries) => {
        for (const e of entries) setNear(e.isIntersecting);
      },
      { root: element.closest(".stage-room"), rootMargin: "120px" },
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return (
    <div
      ref={slot}
      className="card-slot"
      data-slot={of}
      style={{ minWidth: width, minHeight: height }}
    >
      {near || eager ? children() : null}
    </div>
  );
};

/** Every variant as a live card, in rows and columns along the traits. */
export const Stage = memo(function Stage({ env }: { env: LayoutEnv }) {
  const project = useProject();
  const session = useSession();
  const active = useActive();
  const { piece, variant, variants: cards, whens } = active;
  const zoomChoice = useBench((s) => s.zoom);
  const view = useBench((s) => s.grid);
  const only = useBench((s) => s.only);
  const tool = useBench((s) => s.tool);
  const put = useBench((s) => s.put);
  const choose = useBench((s) => s.choose);
  const store = useBenchStore();
  const arranging = useArranging();
  const edits = useEdits();
  const insert = useInserter();
  const room = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [fits, setFits] = useState(0);
  const [menu, setMenu] = useState<MenuAt | null>(null);
  const closeMenu = useCallback(() => setMenu(null), []);
  const variants = useMemo(
    () => (only ? [only] : shownVariants(piece, view).slice(0, MOST_CARDS)),
    [piece, view, only],
  );
  // while one drags in a large piece the card under the hand follows at once, the others a little
  // later
  const editing = useBench((s) => s.editing);
  const lagged = useLagged(project, editing && isHeavy(piece, variants.length), 600);
  const looked = useMemo(() => [variant], [variant]);
  const slow = useScenes(env, lagged, lagged.pieces[piece.id] ?? piece, variants);
  const live = useScenes(env, project, piece, looked);
  const scenes = useMemo(
    () => (lagged === project ? slow : slow.map((s) => (s.key === live[0]?.key ? live[0] : s))),
    [lagged, project, slow, live],
  );

  useEffect(() => {
    if (!room.current) return;
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    watch.observe(room.current);
    return () => watch.disconnect();
  }, []);

  const w = Math.max(1, ...scenes.map((s) => s.placed?.width ?? 0));
  const h = Math.max(1, ...scenes.map((s) => s.placed?.height ?? 0));
  const several = variantsOf(piece).length > 1;
  const shape = traitsOf(piece)
    .map((t) => `${t.id} ${valuesOf(t).length}`)
    .join();
  // fitted when the stage or the grid changes, not while one resizes a layer: it must not grow
  // under one's hand
  const reason = `${piece.id} ${Math.round(size.width)} ${Math.round(size.height)} ${shape} ${JSON.stringify([view.down, view.hidden])} ${fits} ${only ? variantKey(piece, only) : ""}`;
  const [fitted, setFitted] = useState<Fit & { reason: string }>({
    reason: "",
    zoom: 1,
    flow: null,
  });
  if (fitted.reason !== reason)
    setFitted({ reason, ...bestFit(piece, view, size, w, h, only !== null) });
  const grid = useMemo(() => gridOf(piece, view), [piece, view]);
  const { flow } = fitted;
  const columns = flow ?? grid.columns.length;
  const side = !only && (grid.rows[0]?.values.length ?? 0) > 0 ? SIDE : 0;
  const zoom = zoomChoice === "fit" ? fitted.zoom : zoomChoice;
  const byKey = new Map(scenes.map((s) => [s.key, s]));
  useLayoutEffect(() => {
    const state = store.getState();
    const before = state.scenes.current;
    state.scenes.env = env;
    state.scenes.current = new Map(scenes.map((s) => [s.key, s.placed]));
    if (before.size !== scenes.length || scenes.some((s) => before.get(s.key) !== s.placed))
      put({ sceneCount: state.sceneCount + 1 });
  }, [env, scenes, store, put]);
  const cardWidth = Math.max(NARROWEST, w * zoom + 2 * PAD);
  const cardHeight = h * zoom + 2 * PAD_DOWN + HEAD;
  const empty = Object.keys(piece.layers).length === 1;
  const turn = useCallback(
    (by: 1 | -1, now: number) => {
      const next =
        by > 0 ? steps.find((s) => s > now + 0.01) : steps.findLast((s) => s < now - 0.01);
      if (next !== undefined) put({ zoom: next });
    },
    [put],
  );
  useEffect(() => {
    const element = room.current;
    const wheel = (e: WheelEvent) => {
      if (!e.ctrlKey && !e.metaKey) return;
      e.preventDefault();
      turn(e.deltaY < 0 ? 1 : -1, zoom);
    };
    element?.addEventListener("wheel", wheel, { passive: false });
    return () => element?.removeEventListener("wheel", wheel);
  }, [turn, zoom]);

  const openMenu = useCallback(
    (e: React.MouseEvent, on: Variant, whole: boolean) => {
      e.preventDefault();
      const state = store.getState();
      const now = session.project.pieces[state.pieceId];
      if (!now) return;
      const items = whole
        ? variantMenu({ piece: now, variant: on, state, session, arranging })
        : layerMenu({
            project: session.project,
            piece: now,
            state,
            arranging,
            edits,
            onGather: () => state.put({ dialog: { kind: "gather" } }),
            onCombine: () => void arranging.flatten(),
          });
      // a key that presses the button has no place of its own
      const box = e.currentTarget.getBoundingClientRect();
      const byKey = e.clientX === 0 && e.clientY === 0;
      setMenu({ x: byKey ? box.left : e.clientX, y: byKey ? box.bottom : e.clientY, items });
    },
    [store, session, arranging, edits],
  );

  const drop = (e: DragEvent) => {
    const files = [...e.dataTransfer.files];
    if (files.length === 0) return;
    e.preventDefault();
    const scene = (e.target as Element).closest<HTMLElement>(".scene");
    const box = scene?.getBoundingClientRect();
    const at = box
      ? { x: (e.clientX - box.left) / zoom, y: (e.clientY - box.top) / zoom }
      : undefined;
    void insert.files(files, at).then((note) => {
      if (note !== null) edits.note(note);
    });
  };

  const activeKey = variantKey(piece, variant);
  const pickedKeys = new Set(cards.map((v) => variantKey(piece, v)));
  const cardOf = (cell: Variant, key: string, pinned = false) => {
    const scene = byKey.get(variantKey(piece, cell) || "only");
    if (!scene) return <div key={key} />;
    const own = variantKey(piece, cell);
    const here = activeKey === own;
    return (
      <Slot key={key} of={scene.key} width={cardWidth} height={cardHeight} eager={here}>
        {() => (
          <Card
            env={env}
            piece={here ? piece : (lagged.pieces[piece.id] ?? piece)}
            variant={scene.variant}
            placed={scene.placed}
            zoom={zoom}
            lit={reached(whens, cell)}
            several={several}
            active={here}
            picked={cards.length > 1 && pickedKeys.has(own)}
            pinned={pinned}
            tool={tool}
            onMenu={openMenu}
          />
        )}
      </Slot>
    );
  };
  const pinned = view.pinned.filter((v) => !isUnused(piece, v));
  const pinnedKeys = new Set(pinned.map((v) => variantKey(piece, v)));
  const gone = grid.rows
    .flatMap((r) => grid.columns.map((c) => variantOf(r, c)))
    .filter((v) => isUnused(piece, v)).length;

  return (
    <div className="stage">
      <ScopeBar />
      <div
        className="stage-room"
        ref={room}
        onPointerDown={(e) => {
          if (
            e.target === e.currentTarget ||
            (e.target as Element).classList.contains("stage-grid")
          )
            choose([]);
        }}
        onDragOver={(e) => {
          if (e.dataTransfer.types.includes("Files")) {
            e.preventDefault();
            e.dataTransfer.dropEffect = "copy";
          }
        }}
        onDrop={drop}
      >
        {empty && (
          <p className="stage-empty">
            An empty {piece.kind}. Insert a box, an ellipse or a text on the left, draw with the pen
            (P), or drop a picture or SVG file here. Then declare its traits: every combination
            becomes a card.
          </p>
        )}
        {only ? (
          <div className="stage-grid single">{cardOf(only, "only")}</div>
        ) : (
          <>
            {pinned.length > 0 && (
              <div
                className="stage-grid pins"
                role="group"
                aria-label="Pinned cards"
                style={{ gap: GAP, gridAutoColumns: cardWidth }}
              >
                {pinned.map((v) => cardOf(v, `pin${variantKey(piece, v)}`, true))}
              </div>
            )}
            <div
              className="stage-grid"
              style={{
                gridTemplateColumns: `${side ? `${SIDE}px ` : ""}repeat(${columns}, ${cardWidth}px)`,
                gap: GAP,
              }}
            >
              {flow === null && (grid.columns[0]?.values.length ?? 0) > 0 && (
                <>
                  {side > 0 && <span />}
                  {grid.columns.map((column, c) => (
                    <div key={column.key} className="line-head">
                      {headings(grid.columns, c).map((v) => (
                        <span key={v.trait.id} className="line-name">
                          <Swatch pattern={v.trait.pattern} />
                          {v.trait.name}: <b>{v.name}</b>
                        </span>
                      ))}
                    </div>
                  ))}
                </>
              )}
              {grid.rows.map((row, r) => [
                side > 0 && (
                  <div key={`head${row.key}`} className="line-head side">
                    {headings(grid.rows, r).map((v) => (
                      <span key={v.trait.id} className="line-name">
                        <Swatch pattern={v.trait.pattern} />
                        <span>
                          {v.trait.name}: <b>{v.name}</b>
                        </span>
                      </span>
                    ))}
                  </div>
                ),
                ...grid.columns.map((column) => {
                  const cell = variantOf(row, column);
                  const key = row.key + column.key;
                  if (pinnedKeys.has(variantKey(piece, cell)))
                    return (
                      <div key={key} className="card-away">
                        pinned above
                      </div>
                    );
                  if (isUnused(piece, cell))
                    return (
                      <div key={key} className="card-away">
                        <span>{variantName(piece, cell)}: not used</span>
                        <button
                          type="button"
                          className="btn btn-link btn-sm p-0"
                          onClick={() => {
                            session.edit(usedAgain(piece, cell));
                          }}
                        >
                          Use it again
                        </button>
                      </div>
                    );
                  return cardOf(cell, key);
                }),
              ])}
            </div>
          </>
        )}
        {variants.length >= MOST_CARDS && (
          <p className="stage-empty">
            Only the first {MOST_CARDS} of{" "}
            {variantsOf(piece).length >= MOST_VARIANTS
              ? `more than ${MOST_VARIANTS}`
              : variantsOf(piece).length}{" "}
            variants are shown. Choose which ones with “Cards”.
          </p>
        )}
      </div>
      <AlignBar />
      <div className="zoom-bar" role="group" aria-label="Zoom">
        {only && (
          <button
            type="button"
            className="tool on"
            onClick={() => put({ only: null, zoom: "fit" })}
          >
            All cards
          </button>
        )}
        <ReferenceMenu />
        {traitsOf(piece).length > 0 && !only && <GridMenu />}
        {gone > 0 && !only && <span className="quiet small-text px-1">{gone} not used</span>}
        <button type="button" className="tool" onClick={() => turn(-1, zoom)} aria-label="Smaller">
          <Icon name="minus" />
        </button>
        <button
          type="button"
          className="tool mono"
          onClick={() => put({ zoom: 1 })}
          title="Real size"
        >
          {Math.round(zoom * 100)} %
        </button>
        <button type="button" className="tool" onClick={() => turn(1, zoom)} aria-label="Larger">
          <Icon name="plus" />
        </button>
        <button
          type="button"
          className={`tool${zoomChoice === "fit" ? " on" : ""}`}
          aria-pressed={zoomChoice === "fit"}
          onClick={() => {
            put({ zoom: "fit" });
            setFits(fits + 1);
          }}
        >
          Fit
        </button>
        <button
          type="button"
          className="tool"
          onClick={() => choose([ROOT])}
          title="Choose the whole piece, to set its size and fill"
        >
          Whole piece
        </button>
      </div>
      <WireScreens />
      <WirePanel />
      {menu && <ContextMenu menu={menu} onClose={closeMenu} />}
    </div>
  );
});
