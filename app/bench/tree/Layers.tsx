import { DndContext, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import type { DragEndEvent, DragMoveEvent } from "@dnd-kit/core";
import { memo, useId, useMemo, useRef, useState } from "react";
import { Form } from "react-bootstrap";
import { useShallow } from "zustand/react/shallow";
import { holds } from "#core/edit";
import { ROOT } from "#core/project";
import { ContextMenu } from "../../ui/floating/ContextMenu";
import { countRender } from "../../ui/renders";
import { Tool } from "../../ui/Tool";
import { Toolbar } from "../../ui/focus/Toolbar";
import { useArranging } from "../commands/arranging";
import { useActive, usePiece, useWorkpiece } from "../state/context";
import { hiddenIn, placeOf } from "./lines";
import type { Landing } from "./lines";
import { TreeLine } from "./TreeLine";
import { useTree } from "./useTree";
import { treeWords } from "./words";

/** One object for ever: another one would make every line render again. */
const slack = { activationConstraint: { distance: 5 } };
/** Fewer layers than this need no search. */
const MANY = 6;

/** Dragging lines to another place of the tree. */
const useLanding = () => {
  const workpiece = useWorkpiece();
  const arranging = useArranging();
  const [landing, setLanding] = useState<Landing | null>(null);
  const landAt = (e: DragMoveEvent | DragEndEvent): Landing | null => {
    const { piece } = workpiece;
    const over = e.over && piece?.layers[String(e.over.id)];
    if (!piece || !over || !e.over) return null;
    const start = e.activatorEvent as PointerEvent;
    const part = (start.clientY + e.delta.y - e.over.rect.top) / e.over.rect.height;
    if (over.id === ROOT) return { id: ROOT, where: "into" };
    if (holds(piece, over.id) && part > 0.28 && part < 0.72) return { id: over.id, where: "into" };
    return { id: over.id, where: part < 0.5 ? "above" : "below" };
  };
  const onDragEnd = (e: DragEndEvent) => {
    const to = landAt(e);
    const { piece, state } = workpiece;
    const dragged = String(e.active.id);
    setLanding(null);
    if (!to || !piece) return;
    const ids = state.chosen.includes(dragged) ? state.chosen : [dragged];
    const place = placeOf(piece, to, ids);
    if (place) arranging.moveInto(ids, place.parent, place.index);
  };
  return {
    landing,
    onDragMove: (e: DragMoveEvent) => setLanding(landAt(e)),
    onDragEnd,
    onDragCancel: () => setLanding(null),
  };
};

/** The piece's one tree of layers. */
export const Layers = memo(function Layers() {
  countRender("tree");
  const [find, setFind] = useState("");
  const { variant } = useActive();
  const hidden = usePiece(useShallow((p) => hiddenIn(p, variant)));
  const notShown = useMemo(() => new Set(hidden), [hidden]);
  const element = useRef<HTMLDivElement>(null);
  const tree = useTree(element, find);
  const { lines, chosen, lead, closed, renaming, actions } = tree;
  const { landing, ...drag } = useLanding();
  const sensors = useSensors(useSensor(PointerSensor, slack));
  // without an id of its own the server and the browser would count differently
  const id = useId();
  const still = !chosen.some((c) => c !== ROOT);
  return (
    <div className="side-part grow">
      <div className="side-head">
        <h2 className="caption">{treeWords.layers}</h2>
        <Toolbar label={treeWords.layerOrder}>
          <Tool
            size="sm"
            icon="up"
            iconSize={14}
            label={treeWords.bringForward}
            title={treeWords.bringForwardAltUp}
            disabled={still}
            onClick={() => tree.move(1)}
          />
          <Tool
            size="sm"
            icon="down"
            iconSize={14}
            label={treeWords.sendBackward}
            title={treeWords.sendBackwardAltDown}
            disabled={still}
            onClick={() => tree.move(-1)}
          />
        </Toolbar>
      </div>
      {Object.keys(tree.piece.layers).length > MANY && (
        <Form.Control
          type="search"
          size="sm"
          className="tree-find"
          placeholder={treeWords.findLayer}
          aria-label={treeWords.findLayer}
          value={find}
          onChange={(e) => setFind(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Escape") setFind("");
          }}
        />
      )}
      <DndContext id={id} sensors={sensors} {...drag}>
        <div
          ref={element}
          role="tree"
          aria-label={treeWords.layers}
          aria-multiselectable="true"
          className="tree"
          data-entrance
          onKeyDown={tree.onKeyDown}
          onPointerDown={tree.onPointerDown}
        >
          {lines.map((line) => (
            <TreeLine
              key={line.layer.id}
              line={line}
              on={chosen.includes(line.layer.id)}
              lead={line.layer.id === lead}
              shut={closed.has(line.layer.id)}
              renaming={renaming === line.layer.id}
              hidden={notShown.has(line.layer.id)}
              landing={landing?.id === line.layer.id ? landing.where : null}
              actions={actions}
            />
          ))}
        </div>
      </DndContext>
      {lines.length === 0 && <p className="tree-none quiet">{treeWords.noLayersMatchSearch}</p>}
      {tree.menu && <ContextMenu menu={tree.menu} onClose={tree.closeMenu} />}
    </div>
  );
});
