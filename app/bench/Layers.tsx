import { useLayoutEffect, useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import { Dropdown } from "react-bootstrap";
import { addLayer, contains, piecesOf, renameLayer, restack } from "#core/edit";
import { childrenOf, valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { Layer, LayerKind, Piece } from "#core/project";
import type { Value } from "#core/properties";
import { Menu } from "../common/Menu";
import { Icon } from "../common/Icon";
import { NameField } from "../common/NameField";
import { useProject, useSession } from "../store/session-context";
import { useEdits } from "./edits";
import { parentForNew, useActive, useBench, useBenchStore, useChosen, usePiece } from "./state";

const fresh: Readonly<Record<Exclude<LayerKind, "instance">, { words: string; key: string; values: Record<string, Value>; size: [number, number] }>> = {
  box: { words: "Box", key: "B", values: { width: 80, height: 48, radius: [8, 8, 8, 8], fill: "#c9d8d2" }, size: [80, 48] },
  ellipse: { words: "Ellipse", key: "E", values: { width: 48, height: 48, fill: "#8fb5a9" }, size: [48, 48] },
  text: { words: "Text", key: "T", values: { text: "Text", size: 16 }, size: [32, 20] },
  path: { words: "Triangle", key: "G", values: { width: 48, height: 42, shape: "M50 0 L100 100 L0 100 Z", fill: "#dcbf8d" }, size: [48, 42] },
};

/** Puts a new layer near the middle of where it goes, a little further each time. */
export const useInsert = () => {
  const session = useSession();
  const store = useBenchStore();
  return (kind: LayerKind, component?: Piece) => {
    const state = store.getState();
    const piece = session.project.pieces[state.pieceId];
    if (!piece) return;
    const parent = parentForNew(piece, state.chosen);
    const room = valuesIn(piece, state.variant, piece.layers[parent] as Layer);
    const count = childrenOf(piece).get(parent)?.length ?? 0;
    const size = kind === "instance" ? [120, 40] as const : fresh[kind].size;
    const at = (all: Value | undefined, own: number) => Math.max(0, Math.round(((all as number) - own) / 2 + (count % 6) * 8));
    const own = kind === "instance" ? { component: component?.id ?? "" } : fresh[kind].values;
    const made = addLayer(piece, kind, parent, { ...own, x: at(room.width, size[0]), y: at(room.height, size[1]) }, component?.name);
    if (session.edit(made.change)) store.getState().choose([made.id]);
  };
};

export const Insert = () => {
  const project = useProject();
  const piece = usePiece();
  const insert = useInsert();
  const components = piecesOf(project, "component").filter((c) => !contains(project, c.id, piece.id));
  return (
    <div className="side-part">
      <h2 className="caption">Insert</h2>
      <div className="insert-row" role="toolbar" aria-label="Insert a layer">
        {(["box", "ellipse", "text", "path"] as const).map((kind) => (
          <button key={kind} type="button" className="tool framed" title={`${fresh[kind].words} (${fresh[kind].key})`} aria-label={`Insert ${fresh[kind].words.toLowerCase()}`} onClick={() => insert(kind)}><Icon name={kind} /></button>
        ))}
        <Dropdown>
          <Dropdown.Toggle as="button" type="button" className="tool framed" aria-label="Insert a component" title="A copy of a component" disabled={components.length === 0}><Icon name="instance" /></Dropdown.Toggle>
          <Menu>
            {components.map((c) => <Dropdown.Item key={c.id} as="button" type="button" onClick={() => insert("instance", c)}>{c.name}</Dropdown.Item>)}
          </Menu>
        </Dropdown>
      </div>
    </div>
  );
};

interface Line { readonly layer: Layer; readonly depth: number; readonly parent: boolean }

/** The tree as lines, frontmost layers first, as they cover one another. */
const linesOf = (piece: Piece, closed: ReadonlySet<string>): Line[] => {
  const out: Line[] = [];
  const visit = (layer: Layer, depth: number) => {
    const children = childrenOf(piece).get(layer.id) ?? [];
    out.push({ layer, depth, parent: children.length > 0 });
    if (!closed.has(layer.id)) for (const child of [...children].reverse()) visit(child, depth + 1);
  };
  const root = piece.layers[ROOT];
  if (root) visit(root, 0);
  return out;
};

/** The piece's one tree of layers. */
export const Layers = () => {
  const session = useSession();
  const { piece, variant } = useActive();
  const chosen = useChosen();
  const choose = useBench((s) => s.choose);
  const renaming = useBench((s) => s.renaming);
  const put = useBench((s) => s.put);
  const edits = useEdits();
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  const tree = useRef<HTMLDivElement>(null);
  const lines = linesOf(piece, closed);
  const lead = chosen[0] ?? ROOT;

  const toggle = (id: string, shut: boolean) => {
    const next = new Set(closed);
    if (shut) next.add(id); else next.delete(id);
    setClosed(next);
  };
  const [focusing, setFocusing] = useState({ id: "", times: 0 });
  const focusLine = (id: string) => setFocusing(({ times }) => ({ id, times: times + 1 }));
  useLayoutEffect(() => { tree.current?.querySelector<HTMLElement>(`[data-line="${focusing.id}"]`)?.focus(); }, [focusing]);
  const move = (by: 1 | -1) => {
    for (const id of chosen) {
      const change = restack(session.project.pieces[piece.id] ?? piece, id, by);
      if (change) session.edit(change);
    }
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const at = lines.findIndex((l) => l.layer.id === lead);
    const line = lines[at];
    if (!line || renaming !== null) return;
    const step = (to: Line | undefined) => {
      if (!to) return;
      choose([to.layer.id]);
      focusLine(to.layer.id);
    };
    if (e.altKey && (e.key === "ArrowUp" || e.key === "ArrowDown")) move(e.key === "ArrowUp" ? 1 : -1);
    else if (e.key === "ArrowUp") step(lines[at - 1]);
    else if (e.key === "ArrowDown") step(lines[at + 1]);
    else if (e.key === "ArrowLeft") { if (line.parent && !closed.has(lead)) toggle(lead, true); else step(lines.find((l) => l.layer.id === line.layer.parent)); }
    else if (e.key === "ArrowRight") { if (closed.has(lead)) toggle(lead, false); else if (line.parent) step(lines[at + 1]); }
    else if (e.key === "Enter" || e.key === "F2") put({ renaming: lead });
    else if (e.key === "Delete" || e.key === "Backspace") edits.remove(chosen);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };

  return (
    <div className="side-part grow">
      <div className="side-head">
        <h2 className="caption">Layers</h2>
        <span>
          <button type="button" className="tool small" aria-label="Move forward" title="Forward (Alt+Up)" disabled={!chosen.some((id) => id !== ROOT)} onClick={() => move(1)}><Icon name="up" size={14} /></button>
          <button type="button" className="tool small" aria-label="Move back" title="Back (Alt+Down)" disabled={!chosen.some((id) => id !== ROOT)} onClick={() => move(-1)}><Icon name="down" size={14} /></button>
        </span>
      </div>
      <div ref={tree} role="tree" aria-label="Layers" aria-multiselectable="true" className="tree" onKeyDown={onKeyDown}>
        {lines.map(({ layer, depth, parent }) => {
          const on = chosen.includes(layer.id);
          const hidden = valuesIn(piece, variant, layer).visible === false;
          return (
            <div key={layer.id} role="treeitem" aria-level={depth + 1} aria-selected={on} aria-expanded={parent ? !closed.has(layer.id) : undefined} tabIndex={layer.id === lead ? 0 : -1} data-line={layer.id}
              className={`tree-line${on ? " on" : ""}${hidden ? " hidden-layer" : ""}`} style={{ paddingLeft: 4 + depth * 14 }}
              onClick={(e) => choose(e.shiftKey || e.ctrlKey || e.metaKey ? (on ? chosen.filter((c) => c !== layer.id) : [...chosen, layer.id]) : [layer.id])}
              onDoubleClick={() => put({ renaming: layer.id })}>
              {parent
                ? <span className={`twist${closed.has(layer.id) ? " shut" : ""}`} aria-hidden="true" onClick={(e) => { e.stopPropagation(); toggle(layer.id, !closed.has(layer.id)); }}><Icon name="down" size={12} /></span>
                : <span className="twist" aria-hidden="true" />}
              <span className="kind"><Icon name={layer.kind} size={14} /></span>
              {renaming === layer.id
                ? <NameField value={layer.name} label="Layer name" onDone={(name) => {
                    put({ renaming: null });
                    if (name !== null) session.edit(renameLayer(piece, layer.id, name));
                    focusLine(layer.id);
                  }} />
                : <span className="tree-name">{layer.name}</span>}
              {hidden && <span className="quiet" title="Not shown in this variant"><Icon name="hidden" size={14} /></span>}
            </div>
          );
        })}
      </div>
    </div>
  );
};
