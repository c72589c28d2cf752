import {
  DndContext,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import type { DragEndEvent, DragMoveEvent } from "@dnd-kit/core";
import { memo, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { KeyboardEvent, MouseEvent } from "react";
import type { Id } from "#core/basics";
import { holds, renameLayer, restack } from "#core/edit";
import { changesIn, childrenOf, looksIn, valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { Layer, Piece } from "#core/project";
import { ContextMenu } from "../../ui/ContextMenu";
import type { MenuAt } from "../../ui/ContextMenu";
import { Icon } from "../../ui/Icon";
import { NameField } from "../../ui/NameField";
import { useSession } from "../../session/context";
import { useArranging } from "../state/arranging";
import { useEdits } from "../state/edits";
import { layerMenu } from "./layerMenu";
import { useActive, useBench, useBenchStore, useChosen } from "../state/state";

/** One object for ever: another one would make every line render again. */
const slack = { activationConstraint: { distance: 5 } };

interface Line {
  readonly layer: Layer;
  readonly depth: number;
  readonly parent: boolean;
}

/**
 * The tree as lines, frontmost layers first, as they cover one another; only what matches and what
 * is around it when one looks for something.
 */
export const linesOf = (piece: Piece, closed: ReadonlySet<string>, find = ""): Line[] => {
  const out: Line[] = [];
  const text = find.trim().toLowerCase();
  const matches = (layer: Layer): boolean =>
    layer.name.toLowerCase().includes(text) ||
    layer.kind.includes(text) ||
    (childrenOf(piece).get(layer.id) ?? []).some(matches);
  const visit = (layer: Layer, depth: number) => {
    if (text !== "" && !matches(layer)) return;
    const children = childrenOf(piece).get(layer.id) ?? [];
    out.push({ layer, depth, parent: children.length > 0 });
    if (text !== "" || !closed.has(layer.id))
      for (const child of [...children].reverse()) visit(child, depth + 1);
  };
  const root = piece.layers[ROOT];
  if (root) visit(root, 0);
  return out;
};

/** Where a dragged line would land. */
interface Landing {
  readonly id: Id;
  readonly where: "above" | "below" | "into";
}

interface LineProps {
  line: Line;
  on: boolean;
  lead: boolean;
  hidden: boolean;
  shut: boolean;
  renaming: boolean;
  landing: Landing["where"] | null;
  call: (
    what: "choose" | "name" | "twist" | "hide" | "lock" | "menu",
    id: Id,
    e?: MouseEvent,
  ) => void;
  onName: (id: Id, name: string | null) => void;
}

/** What is chosen after one more layer was, or was not any more. */
const toggled = (chosen: readonly Id[], id: Id): readonly Id[] =>
  chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id];

const TreeLine = memo(function TreeLine({
  line: { layer, depth, parent },
  on,
  lead,
  hidden,
  shut,
  renaming,
  landing,
  call,
  onName,
}: LineProps) {
  const drag = useDraggable({ id: layer.id, disabled: layer.id === ROOT || renaming });
  const drop = useDroppable({ id: layer.id });
  return (
    <div
      ref={(e) => {
        drag.setNodeRef(e);
        drop.setNodeRef(e);
      }}
      role="treeitem"
      aria-level={depth + 1}
      aria-selected={on}
      aria-expanded={parent ? !shut : undefined}
      aria-label={layer.name}
      tabIndex={lead ? 0 : -1}
      data-line={layer.id}
      className={`tree-line${on ? " on" : ""}${hidden ? " hidden-layer" : ""}${landing ? ` land-${landing}` : ""}`}
      style={{ paddingLeft: 4 + depth * 14 }}
      {...(drag.listeners ?? {})}
      onClick={(e) => call("choose", layer.id, e)}
      onDoubleClick={() => call("name", layer.id)}
      onContextMenu={(e) => call("menu", layer.id, e)}
    >
      {parent ? (
        <span
          className={`twist${shut ? " shut" : ""}`}
          aria-hidden="true"
          onClick={(e) => {
            e.stopPropagation();
            call("twist", layer.id);
          }}
        >
          <Icon name="down" size={12} />
        </span>
      ) : (
        <span className="twist" aria-hidden="true" />
      )}
      <span className="kind">
        <Icon name={layer.kind} size={14} />
      </span>
      {renaming ? (
        <NameField
          value={layer.name}
          label="Layer name"
          onDone={(name) => onName(layer.id, name)}
        />
      ) : (
        <span className="tree-name">{layer.name}</span>
      )}
      {layer.id !== ROOT && !renaming && (
        <span className="tree-marks">
          <button
            type="button"
            tabIndex={-1}
            className={`tree-mark${layer.locked ? " set" : ""}`}
            aria-label={layer.locked ? `Unlock ${layer.name}` : `Lock ${layer.name}`}
            title={layer.locked ? "Locked: cannot be chosen on a card. Click to unlock" : "Lock"}
            onPointerDown={(e) => e.stopPropagation()}
            onClick={(e) => {
              e.stopPropagation();
              call("lock", layer.id);
            }}
          >
            <Icon name="lock" size={13} />
          </button>
          <button
            type="button"
            tabIndex={-1}
            className={`tree-mark${hidden ? " set" : ""}`}
            aria-label={hidden ? `Show ${layer.name}` : `Hide ${layer.name}`}
            title={
              hidden
                ? "Not shown in this variant. Click to show it where changes reach"
                : "Hide where changes reach"
            }
            onPointerDown={(e) => e.stopPropagation()}
            onClick={(e) => {
              e.stopPropagation();
              call("hide", layer.id);
            }}
          >
            <Icon name={hidden ? "hidden" : "seen"} size={13} />
          </button>
        </span>
      )}
    </div>
  );
});

/** The piece's one tree of layers. */
export const Layers = () => {
  const session = useSession();
  const store = useBenchStore();
  const { piece, variant } = useActive();
  const chosen = useChosen();
  const choose = useBench((s) => s.choose);
  const renaming = useBench((s) => s.renaming);
  const put = useBench((s) => s.put);
  const edits = useEdits();
  const arranging = useArranging();
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  const [find, setFind] = useState("");
  const [landing, setLanding] = useState<Landing | null>(null);
  const [menu, setMenu] = useState<MenuAt | null>(null);
  const closeMenu = useCallback(() => setMenu(null), []);
  const tree = useRef<HTMLDivElement>(null);
  // only the tree matters here, and it keeps its identity while looks change
  const { layers } = piece;
  // eslint-disable-next-line react-hooks/exhaustive-deps -- of the piece only its layers are read
  const lines = useMemo(() => linesOf(piece, closed, find), [layers, closed, find]);
  const looks = looksIn(piece, variant);
  const isHidden = (id: Id): boolean =>
    changesIn(looks, id).findLast((c) => c.visible !== undefined)?.visible === false;
  const lead = chosen[0] ?? ROOT;
  const sensors = useSensors(useSensor(PointerSensor, slack));

  const toggle = useCallback(
    (id: string, shut?: boolean) =>
      setClosed((was) => {
        const next = new Set(was);
        if (shut ?? !was.has(id)) next.add(id);
        else next.delete(id);
        return next;
      }),
    [],
  );
  const [focusing, setFocusing] = useState({ id: "", times: 0 });
  const focusLine = (id: string) => setFocusing(({ times }) => ({ id, times: times + 1 }));
  useLayoutEffect(() => {
    tree.current?.querySelector<HTMLElement>(`[data-line="${focusing.id}"]`)?.focus();
  }, [focusing]);
  useEffect(() => {
    if (lead !== ROOT)
      tree.current?.querySelector(`[data-line="${lead}"]`)?.scrollIntoView({ block: "nearest" });
  }, [lead]);
  const move = (by: 1 | -1) => {
    for (const id of chosen) {
      const change = restack(session.project.pieces[piece.id] ?? piece, id, by);
      if (change) session.edit(change);
    }
  };
  const call = useCallback<LineProps["call"]>(
    (what, id, e) => {
      const state = store.getState();
      const now = session.project.pieces[state.pieceId];
      if (!now) return;
      if (what === "choose")
        state.choose(
          e && (e.shiftKey || e.ctrlKey || e.metaKey) ? toggled(state.chosen, id) : [id],
        );
      else if (what === "name") state.put({ renaming: id });
      else if (what === "twist") toggle(id);
      else if (what === "lock") {
        const on = !now.layers[id]?.locked;
        state.choose([id]);
        arranging.lock(on);
      } else if (what === "hide") {
        const layer = now.layers[id];
        if (layer)
          arranging.show(
            [id],
            valuesIn(session.project, now, state.variant, layer).visible === false,
          );
      } else if (e) {
        e.preventDefault();
        if (!state.chosen.includes(id)) state.choose([id]);
        setMenu({
          x: e.clientX,
          y: e.clientY,
          items: layerMenu({
            project: session.project,
            piece: now,
            state: store.getState(),
            arranging,
            edits,
            onGather: () => state.put({ dialog: { kind: "gather" } }),
            onCombine: () => void arranging.flatten(),
          }),
        });
      }
    },
    [store, session, toggle, arranging, edits],
  );
  const onName = useCallback(
    (id: Id, name: string | null) => {
      put({ renaming: null });
      const now = session.project.pieces[store.getState().pieceId];
      if (name !== null && now) session.edit(renameLayer(now, id, name));
      focusLine(id);
    },
    [put, session, store],
  );
  const onKeyDown = (e: KeyboardEvent) => {
    const at = lines.findIndex((l) => l.layer.id === lead);
    const line = lines[at];
    if (!line || renaming !== null) return;
    const step = (to: Line | undefined) => {
      if (!to) return;
      choose([to.layer.id]);
      focusLine(to.layer.id);
    };
    if (e.altKey && (e.key === "ArrowUp" || e.key === "ArrowDown"))
      move(e.key === "ArrowUp" ? 1 : -1);
    else if (e.key === "ArrowUp") step(lines[at - 1]);
    else if (e.key === "ArrowDown") step(lines[at + 1]);
    else if (e.key === "ArrowLeft") {
      if (line.parent && !closed.has(lead)) toggle(lead, true);
      else step(lines.find((l) => l.layer.id === line.layer.parent));
    } else if (e.key === "ArrowRight") {
      if (closed.has(lead)) toggle(lead, false);
      else if (line.parent) step(lines[at + 1]);
    } else if (e.key === "Enter" || e.key === "F2") put({ renaming: lead });
    else if (e.key === "Delete" || e.key === "Backspace") edits.remove(chosen);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };

  const landAt = (e: DragMoveEvent | DragEndEvent): Landing | null => {
    const over = e.over && piece.layers[String(e.over.id)];
    if (!over || !e.over) return null;
    const start = e.activatorEvent as PointerEvent;
    const y = start.clientY + e.delta.y - e.over.rect.top;
    const part = y / e.over.rect.height;
    if (over.id === ROOT) return { id: ROOT, where: "into" };
    if (holds(piece, over.id) && part > 0.28 && part < 0.72) return { id: over.id, where: "into" };
    return { id: over.id, where: part < 0.5 ? "above" : "below" };
  };
  const onDrop = (e: DragEndEvent) => {
    const to = landAt(e);
    const dragged = String(e.active.id);
    setLanding(null);
    if (!to) return;
    const ids = chosen.includes(dragged) ? chosen : [dragged];
    const parent = to.where === "into" ? to.id : (piece.layers[to.id]?.parent ?? ROOT);
    const list = (childrenOf(piece).get(parent) ?? []).filter((l) => !ids.includes(l.id));
    const at = list.findIndex((l) => l.id === to.id);
    if (to.where !== "into" && at < 0) return;
    arranging.moveInto(ids, parent, { into: list.length, above: at + 1, below: at }[to.where]);
  };

  return (
    <div className="side-part grow">
      <div className="side-head">
        <h2 className="caption">Layers</h2>
        <span>
          <button
            type="button"
            className="tool small"
            aria-label="Move forward"
            title="Forward (Alt+Up)"
            disabled={!chosen.some((id) => id !== ROOT)}
            onClick={() => move(1)}
          >
            <Icon name="up" size={14} />
          </button>
          <button
            type="button"
            className="tool small"
            aria-label="Move back"
            title="Back (Alt+Down)"
            disabled={!chosen.some((id) => id !== ROOT)}
            onClick={() => move(-1)}
          >
            <Icon name="down" size={14} />
          </button>
        </span>
      </div>
      {Object.keys(piece.layers).length > 6 && (
        <input
          type="search"
          className="tree-find"
          placeholder="Find a layer"
          aria-label="Find a layer"
          value={find}
          onChange={(e) => setFind(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Escape") setFind("");
          }}
        />
      )}
      <DndContext
        sensors={sensors}
        onDragMove={(e) => setLanding(landAt(e))}
        onDragEnd={onDrop}
        onDragCancel={() => setLanding(null)}
      >
        <div
          ref={tree}
          role="tree"
          aria-label="Layers"
          aria-multiselectable="true"
          className="tree"
          onKeyDown={onKeyDown}
        >
          {lines.map((line) => (
            <TreeLine
              key={line.layer.id}
              line={line}
              on={chosen.includes(line.layer.id)}
              lead={line.layer.id === lead}
              shut={closed.has(line.layer.id)}
              renaming={renaming === line.layer.id}
              hidden={isHidden(line.layer.id)}
              landing={landing?.id === line.layer.id ? landing.where : null}
              call={call}
              onName={onName}
            />
          ))}
          {lines.length === 0 && <p className="quiet small px-2 m-0">No layer is called that.</p>}
        </div>
      </DndContext>
      {menu && <ContextMenu menu={menu} onClose={closeMenu} />}
    </div>
  );
};
