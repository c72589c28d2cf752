import { useLayoutEffect, useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import { renameLayer, restack } from "#core/edit";
import { childrenOf, valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { Layer, Piece } from "#core/project";
import { Icon } from "../common/Icon";
import { NameField } from "../common/NameField";
import { useSession } from "../store/session-context";
import { useEdits } from "./edits";
import { useActive, useBench, useChosen } from "./state";

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
          const hidden = valuesIn(session.project, piece, variant, layer).visible === false;
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
