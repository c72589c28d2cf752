import { useEffect, useMemo, useState } from "react";
import { Modal } from "react-bootstrap";
import { Group, Panel, Separator, useDefaultLayout } from "react-resizable-panels";
import type { LayoutEnv } from "#core/layout";
import type { Id } from "#core/project";
import { childrenOf } from "#core/looks";
import { inOrder, ROOT } from "#core/project";
import { Insert } from "./Insert";
import { Layers } from "./Layers";
import { Rules } from "./Rules";
import { Sheet } from "./sheet/Sheet";
import { Stage } from "./Stage";
import { TopBar } from "./TopBar";
import { Traits } from "./Traits";
import { Try } from "./Try";
import { useEdits } from "./edits";
import { fresh, useInserter } from "./insert";
import { BenchContext, createBench, useBench, useBenchStore, useChosen, usePiece } from "./state";
import { useSession } from "../store/session-context";
import "./bench.scss";

const Drawer = () => {
  const piece = usePiece();
  const tab = useBench((s) => s.tab);
  const only = useBench((s) => s.onlyDifferences);
  const problem = useBench((s) => s.problem);
  const put = useBench((s) => s.put);
  const rules = inOrder(piece.rules).length;
  return (
    <div className="drawer">
      <div className="drawer-head">
        <div role="tablist" aria-label="Drawer" className="drawer-tabs">
          <button type="button" role="tab" aria-selected={tab === "sheet"} onClick={() => put({ tab: "sheet" })}>Sheet</button>
          <button type="button" role="tab" aria-selected={tab === "rules"} onClick={() => put({ tab: "rules" })}>Rules{rules > 0 && <span className="count"> {rules}</span>}</button>
        </div>
        {tab === "sheet" && problem !== null && <p className="sheet-problem" role="alert">{problem}</p>}
        {tab === "sheet" && <label className="only"><input type="checkbox" className="form-check-input" checked={only} onChange={(e) => put({ onlyDifferences: e.target.checked })} /> only differences</label>}
      </div>
      <div className="drawer-body" role="tabpanel">{tab === "sheet" ? <Sheet /> : <Rules />}</div>
    </div>
  );
};

const isTyping = (target: EventTarget | null): boolean => target instanceof Element && target.closest("input, textarea, select, [contenteditable], [role=menu]") !== null;

/** The key that inserts each kind of layer. */
const kinds = Object.fromEntries(Object.entries(fresh).map(([kind, f]) => [f.key.toLowerCase(), kind as keyof typeof fresh]));

/** Keys that work anywhere on the bench unless one is typing. */
const useKeys = (onHelp: () => void) => {
  const session = useSession();
  const store = useBenchStore();
  const edits = useEdits();
  const insert = useInserter();
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e.target) || e.defaultPrevented) return;
      const state = store.getState();
      const held = e.ctrlKey || e.metaKey;
      const key = e.key.toLowerCase();
      const arrow = { arrowleft: [-1, 0], arrowright: [1, 0], arrowup: [0, -1], arrowdown: [0, 1] }[key];
      if (held && key === "z") { if (e.shiftKey) session.redo(); else session.undo(); }
      else if (held && key === "y") session.redo();
      else if (held && key === "a") {
        const piece = session.project.pieces[state.pieceId];
        const lead = piece?.layers[state.chosen[0] ?? ""];
        state.choose((piece && childrenOf(piece).get(lead?.parent ?? ROOT)?.map((l) => l.id)) ?? []);
      } else if (held && key === "d") edits.duplicate(state.chosen);
      else if (held || e.altKey) return;
      else if (arrow && state.chosen.length) edits.nudge(state.chosen, (arrow[0] ?? 0) * (e.shiftKey ? 10 : 1), (arrow[1] ?? 0) * (e.shiftKey ? 10 : 1));
      else if (key === "delete" || key === "backspace") edits.remove(state.chosen);
      else if (key === "escape") state.choose([]);
      else if (key === "f2" && state.chosen[0]) state.put({ renaming: state.chosen[0] });
      else if (key === "r") state.restart();
      else if (kinds[key]) insert.simple(kinds[key]);
      else if (key === "i") document.querySelector<HTMLElement>("[data-insert=icon]")?.click();
      else if (key === "?") onHelp();
      else return;
      e.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [session, store, edits, insert, onHelp]);
};

const keys: readonly (readonly [string, string])[] = [
  ["B, E, L, G, T, I", "insert a box, an ellipse, a line, a triangle, a text, an icon"], ["Arrows", "move the chosen layers by 1, with Shift by 10"], ["Delete", "remove them"], ["Ctrl+A", "choose all beside the chosen one"], ["Ctrl+D", "duplicate them"],
  ["Alt + drag", "drag a copy"], ["Shift + drag", "keep to one direction; on handles, keep the proportions"], ["Ctrl + click", "choose the innermost layer"], ["Double click", "go further in; on a text, type"],
  ["F2", "rename"], ["Alt+Up, Alt+Down", "in the tree: forward, back"], ["Esc", "choose nothing"], ["R", "restart Try"], ["Ctrl+Z, Ctrl+Shift+Z", "undo, redo"], ["Enter, Delete", "in the sheet: edit a cell, inherit again"],
];

const Body = ({ env }: { env: LayoutEnv }) => {
  const [help, setHelp] = useState(false);
  const openHelp = useMemo(() => () => setHelp(true), []);
  const store = typeof window === "undefined" ? undefined : window.localStorage;
  const storage = store ? { storage: store } : {};
  const outer = useDefaultLayout({ id: "nubble-bench", ...storage });
  const main = useDefaultLayout({ id: "nubble-bench-main", ...storage });
  const upper = useDefaultLayout({ id: "nubble-bench-upper", ...storage });
  const chosen = useChosen();
  useKeys(openHelp);
  return (
    <div className="bench" data-chosen={chosen.join(" ")}>
      <TopBar onHelp={openHelp} />
      <Group orientation="horizontal" className="bench-groups" {...outer}>
        <Panel id="main" minSize={600}>
          <Group orientation="vertical" {...main}>
            <Panel id="upper" minSize={220} defaultSize="60">
              <Group orientation="horizontal" {...upper}>
                <Panel id="left" minSize={170} defaultSize={204} maxSize={420}><div className="left"><Insert /><Layers /><Traits /></div></Panel>
                <Separator className="sep vertical" aria-label="Width of the layers" />
                <Panel id="stage" minSize={320}><Stage env={env} /></Panel>
              </Group>
            </Panel>
            <Separator className="sep horizontal" aria-label="Height of the drawer" />
            <Panel id="drawer" minSize={90} defaultSize="40"><Drawer /></Panel>
          </Group>
        </Panel>
        <Separator className="sep vertical" aria-label="Width of Try" />
        <Panel id="try" minSize={220} defaultSize={306} maxSize={640}><Try env={env} /></Panel>
      </Group>
      <Modal show={help} onHide={() => setHelp(false)} size="lg" aria-labelledby="keys-title">
        <Modal.Header closeButton><Modal.Title as="h2" className="h5" id="keys-title">Keys</Modal.Title></Modal.Header>
        <Modal.Body><dl className="keys">{keys.map(([k, what]) => <div key={k}><dt className="mono">{k}</dt><dd>{what}</dd></div>)}</dl></Modal.Body>
      </Modal>
    </div>
  );
};

/** Where a piece is built: stage, sheet, rules and the running piece at the same time. */
export const Bench = ({ env, pieceId }: { env: LayoutEnv; pieceId: Id }) => {
  const store = useMemo(() => createBench(pieceId), [pieceId]);
  return <BenchContext value={store}><Body env={env} /></BenchContext>;
};
