import { memo, useCallback, useMemo, useRef, useState } from "react";
import { useNavigate } from "react-router";
import type { Id } from "#core/basics";
import { nameVariant } from "#core/edit";
import { findBox } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { restingVariant, variantKey, variantName } from "#core/looks";
import type { Piece, Variant } from "#core/project";
import { useSession } from "../../session/context";
import { Icon } from "../../ui/Icon";
import { NameField } from "../../ui/NameField";
import { Canvas } from "../state/Canvas";
import { Dropper } from "../tools/Dropper";
import { Frames } from "./Frames";
import { MarksLayer } from "./Marks";
import { Pen } from "../tools/Pen";
import { pickLayer } from "../state/pick";
import { ReferenceView } from "./Reference";
import { Ruler } from "./Ruler";
import { Shaping } from "../tools/Shaping";
import { TypeOver } from "../tools/TypeOver";
import { Socket } from "../tools/Socket";
import { chooseCard, useBench, useBenchStore } from "../state/state";
import type { BenchState, Preview } from "../state/state";
import { useDragging } from "./useDragging";

interface Props {
  env: LayoutEnv;
  piece: Piece;
  variant: Variant;
  placed: LayoutBox | null;
  zoom: number;
  active: boolean;
  picked: boolean;
  lit: boolean;
  several: boolean;
  pinned: boolean;
  tool: BenchState["tool"];
  onMenu: (e: React.MouseEvent, variant: Variant, whole: boolean) => void;
}

const Head = ({
  piece,
  variant,
  active,
  picked,
  lit,
  several,
  pinned,
  onMenu,
}: Omit<Props, "env" | "placed" | "zoom" | "tool">) => {
  const session = useSession();
  const store = useBenchStore();
  const key = variantKey(piece, variant);
  const name = variantName(piece, variant);
  const naming = useBench((s) => s.renaming === `variant ${key}`);
  const resting = variantKey(piece, restingVariant(piece)) === key;
  return (
    <header onContextMenu={(e) => onMenu(e, variant, true)}>
      {pinned && (
        <span className="quiet" title="Pinned">
          <Icon name="pin" size={12} />
        </span>
      )}
      {naming ? (
        <NameField
          value={name}
          label="Name of the variant"
          onDone={(text) => {
            store.getState().put({ renaming: null });
            if (text !== null) session.edit(nameVariant(piece, variant, text));
          }}
        />
      ) : (
        <button
          type="button"
          className="card-name"
          aria-pressed={active || picked}
          title="Shift or Ctrl chooses several cards"
          onDoubleClick={() => {
            if (several) store.getState().put({ renaming: `variant ${key}` });
          }}
          onClick={(e) =>
            chooseCard(piece, store.getState(), variant, e.shiftKey || e.ctrlKey || e.metaKey)
          }
        >
          {name}
        </button>
      )}
      {resting && several && name !== "at rest" && <span className="quiet">resting</span>}
      {lit && several && (
        <span className="lands" title="The next edit lands here">
          edits land here
        </span>
      )}
      <button
        type="button"
        className={`tool small card-more${lit && several ? "" : " alone"}`}
        aria-label={`More for variant ${name}`}
        onClick={(e) => onMenu(e, variant, true)}
      >
        …
      </button>
    </header>
  );
};

/** The moment that is shown, and the path a layer takes, closer dots where it is slower. */
const OnionPath = ({
  preview,
  placed,
  zoom,
}: {
  preview: Preview;
  placed: LayoutBox | null;
  zoom: number;
}) => (
  <>
    <span className="preview-time mono">{preview.at} ms</span>
    {placed && preview.path.length > 0 && (
      <svg
        className="onion"
        width={placed.width * zoom}
        height={placed.height * zoom}
        aria-hidden="true"
      >
        <polyline points={preview.path.map(([x, y]) => `${x * zoom},${y * zoom}`).join(" ")} />
        {preview.path.map(([x, y], i) => (
          <circle key={i} cx={x * zoom} cy={y * zoom} r={2.2} />
        ))}
      </svg>
    )}
  </>
);

/** One variant, really painted and directly editable. */
export const Card = memo(function Card({
  env,
  piece,
  variant,
  placed,
  zoom,
  active,
  picked,
  lit,
  several,
  pinned,
  tool,
  onMenu,
}: Props) {
  const session = useSession();
  const navigate = useNavigate();
  const all = useBench((s) => s.chosen);
  const chosen = useMemo(() => all.filter((id) => piece.layers[id]), [all, piece.layers]);
  const editing = useBench((s) => s.editing);
  const shaping = useBench((s) => s.shaping);
  const store = useBenchStore();
  const cardKey = variantKey(piece, variant) || "only";
  const preview = useBench((s) => (s.preview?.key === cardKey ? s.preview : null));
  const [typing, setTyping] = useState<Id | null>(null);
  const canvas = useRef<((p: LayoutBox) => void) | null>(null);
  const takeDraw = useCallback((draw: (p: LayoutBox) => void) => {
    canvas.current = draw;
  }, []);
  const { onDoubleClick, ...pointer } = useDragging(env, variant, placed, zoom, canvas);
  const name = variantName(piece, variant);
  const goIn = (e: React.MouseEvent<HTMLElement>) => {
    const picked = onDoubleClick(e);
    const layer = picked === null ? undefined : piece.layers[picked];
    if (layer?.kind === "text") setTyping(layer.id);
    if (layer?.kind === "path") store.getState().put({ shaping: layer.id });
    if (layer?.kind === "instance" && placed) {
      const component = findBox(placed, layer.id)?.placed.values.component;
      if (typeof component === "string" && session.project.pieces[component])
        void navigate(`/projects/${session.id}/pieces/${component}`);
    }
  };
  const menu = (e: React.MouseEvent) => {
    if (!placed) return;
    const state = store.getState();
    const box = e.currentTarget.getBoundingClientRect();
    if (!active) chooseCard(piece, state, variant, false);
    const hit = pickLayer(
      piece,
      placed,
      (e.clientX - box.left) / zoom,
      (e.clientY - box.top) / zoom,
      state.chosen,
    );
    if (hit !== null && !state.chosen.includes(hit)) state.choose([hit]);
    onMenu(e, variant, false);
  };
  const shaped = active && shaping !== null && chosen.includes(shaping) ? shaping : null;
  // a piece with a ground of its own would hide what lies under it
  const covered = placed !== null && placed.values.fill !== "none";
  const classes = [
    "card-variant",
    lit && several ? "lit" : "",
    active ? "active" : "",
    picked ? "picked" : "",
    editing && !lit ? "aside" : "",
  ]
    .filter(Boolean)
    .join(" ");
  return (
    <section
      className={classes}
      aria-label={`Variant ${name}`}
      data-variant={variantKey(piece, variant)}
    >
      <Head
        piece={piece}
        variant={variant}
        active={active}
        picked={picked}
        lit={lit}
        several={several}
        pinned={pinned}
        onMenu={onMenu}
      />
      <div className="card-body">
        <div
          className="scene"
          style={{ width: (placed?.width ?? 0) * zoom, height: (placed?.height ?? 0) * zoom }}
          {...pointer}
          onDoubleClick={goIn}
          onContextMenu={menu}
        >
          <div className="piece-edge" />
          {!covered && <ReferenceView reference={piece.reference} zoom={zoom} />}
          <Canvas placed={preview?.placed ?? placed} zoom={zoom} live={takeDraw} />
          {preview && <OnionPath preview={preview} placed={placed} zoom={zoom} />}
          {covered && <ReferenceView reference={piece.reference} zoom={zoom} />}
          {placed && !preview && (
            <Frames
              placed={placed}
              chosen={chosen}
              zoom={zoom}
              handles={active && typing === null && shaped === null && tool === "choose"}
            />
          )}
          {active &&
            placed &&
            typing === null &&
            shaped === null &&
            tool === "choose" &&
            !editing && <Socket placed={placed} chosen={chosen} zoom={zoom} />}
          {active && <MarksLayer zoom={zoom} />}
          {placed && typing !== null && active && (
            <TypeOver placed={placed} id={typing} zoom={zoom} onDone={() => setTyping(null)} />
          )}
          {placed && shaped !== null && tool === "choose" && (
            <Shaping key={shaped} placed={placed} id={shaped} zoom={zoom} />
          )}
          {placed && tool === "pen" && <Pen placed={placed} zoom={zoom} />}
          {tool === "ruler" && <Ruler zoom={zoom} />}
          {tool === "dropper" && piece.reference && (
            <Dropper reference={piece.reference} zoom={zoom} />
          )}
        </div>
      </div>
    </section>
  );
});
