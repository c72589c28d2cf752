import { memo, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { restingVariant, variantKey, variantName } from "#core/looks";
import { findPlaced } from "#core/layout";
import type { Placed } from "#core/layout";
import type { Id, Piece, Variant } from "#core/project";
import { useSession } from "../store/session-context";
import { Canvas } from "./Canvas";
import { Handles } from "./Handles";
import { TypeOver } from "./TypeOver";
import { chooseCard, useBench, useBenchStore, useChosen } from "./state";
import { useDragging } from "./useDragging";

interface Props { piece: Piece; variant: Variant; placed: Placed | null; zoom: number; active: boolean; picked: boolean; lit: boolean; several: boolean }

const Frame = ({ placed, id, zoom, handles }: { placed: Placed; id: Id; zoom: number; handles: boolean }) => {
  const frame = useRef<HTMLDivElement>(null);
  const found = findPlaced(placed, id);
  if (!found) return null;
  const { x, y } = found;
  const { width, height, values } = found.placed;
  const turn = values.rotation ? `rotate(${String(values.rotation)}deg)` : undefined;
  return (
    <>
      <div ref={frame} className="frame" data-frame={id} style={{ left: x * zoom, top: y * zoom, width: width * zoom, height: height * zoom, transform: turn }} />
      {handles && <Handles frame={frame} layer={id} zoom={zoom} rect={{ x, y, width, height }} />}
    </>
  );
};

/** One variant, really painted and directly editable. */
export const Card = memo(function Card({ piece, variant, placed, zoom, active, picked, lit, several }: Props) {
  const session = useSession();
  const navigate = useNavigate();
  const chosen = useChosen();
  const editing = useBench((s) => s.editing);
  const store = useBenchStore();
  const [typing, setTyping] = useState<Id | null>(null);
  const { onDoubleClick, ...pointer } = useDragging(variant, placed, zoom);
  const name = variantName(piece, variant);
  const resting = variantKey(piece, restingVariant(piece)) === variantKey(piece, variant);
  const goIn = (e: React.MouseEvent<HTMLElement>) => {
    const picked = onDoubleClick(e);
    const layer = picked === null ? undefined : piece.layers[picked];
    if (layer?.kind === "text") setTyping(layer.id);
    if (layer?.kind === "instance" && placed) {
      const component = findPlaced(placed, layer.id)?.placed.values.component;
      if (typeof component === "string" && session.project.pieces[component]) void navigate(`/projects/${session.id}/pieces/${component}`);
    }
  };
  const classes = ["card-variant", lit && several ? "lit" : "", active ? "active" : "", picked ? "picked" : "", editing && !lit ? "aside" : ""].filter(Boolean).join(" ");
  return (
    <section className={classes} aria-label={`Variant ${name}`} data-variant={variantKey(piece, variant)}>
      <header>
        <button type="button" className="card-name" aria-pressed={active || picked} title="Shift or Ctrl chooses several cards" onClick={(e) => chooseCard(piece, store.getState(), variant, e.shiftKey || e.ctrlKey || e.metaKey)}>{name}</button>
        {resting && several && name !== "at rest" && <span className="quiet">resting</span>}
        {lit && several && <span className="lands" title="The next edit lands here">edits land here</span>}
      </header>
      <div className="card-body">
        <div className="scene" style={{ width: (placed?.width ?? 0) * zoom, height: (placed?.height ?? 0) * zoom }} {...pointer} onDoubleClick={goIn}>
          <div className="piece-edge" />
          <Canvas placed={placed} zoom={zoom} />
          {placed && chosen.map((id, i) => <Frame key={id} placed={placed} id={id} zoom={zoom} handles={active && chosen.length === 1 && i === 0 && typing === null} />)}
          {placed && typing !== null && active && <TypeOver placed={placed} id={typing} zoom={zoom} onDone={() => setTyping(null)} />}
        </div>
      </div>
    </section>
  );
});
