import { lazy, memo, Suspense, useMemo, useState } from "react";
import { Modal } from "react-bootstrap";
import { Group, Panel, Separator, useDefaultLayout } from "react-resizable-panels";
import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import { inOrder } from "#core/project";
import { Checks } from "./checks/Checks";
import { useInspection } from "./checks/inspect";
import { Compare } from "./dialogs/Compare";
import { Gather } from "./dialogs/Gather";
import { Insert } from "./tools/Insert";
import { Later } from "./state/Later";
import { Layers } from "./tree/Layers";
import { OverOthers } from "./dialogs/OverOthers";
import { Rehearsals } from "./rehearsals/Rehearsals";
import { Replace } from "./dialogs/Replace";
import { Rules } from "./rules/Rules";
import { Sheet } from "./sheet/Sheet";
import { Stage } from "./stage/Stage";
import { TopBar } from "./TopBar";
import { Traits } from "./traits/Traits";
import { Try } from "./try/Try";
import { BenchContext, createBench, useBench, useChosen, usePiece } from "./state/state";
import type { DrawerTab } from "./state/state";
import { keys, useKeys } from "./useKeys";
import "../parts/parts.scss";
import "./bench.scss";

// drawn by a library of its own: only loaded when one looks at it
const Timing = lazy(() => import("./timing/Timing").then((m) => ({ default: m.Timing })));
const MapView = lazy(() => import("./map/MapView").then((m) => ({ default: m.MapView })));

const DrawerBody = ({ tab, env }: { tab: DrawerTab; env: LayoutEnv }) => {
  switch (tab) {
    case "sheet":
      return <Sheet />;
    case "rules":
      return <Rules />;
    case "timing":
      return <Timing env={env} />;
    case "map":
      return <MapView env={env} />;
    case "checks":
      return <Checks />;
    case "rehearsals":
      return <Rehearsals env={env} />;
  }
};

const Drawer = memo(function Drawer({ env }: { env: LayoutEnv }) {
  const piece = usePiece();
  const tab = useBench((s) => s.tab);
  const only = useBench((s) => s.onlyDifferences);
  const problem = useBench((s) => s.problem);
  const put = useBench((s) => s.put);
  const rules = inOrder(piece.rules).length;
  const rehearsals = Object.keys(piece.rehearsals).length;
  const inspection = useBench((s) => s.inspection);
  const open = inspection?.findings.filter((f) => !piece.accepted[f.id]).length ?? 0;
  const failing = Object.values(inspection?.rehearsals ?? {}).filter((f) => f !== null).length;
  return (
    <div className="drawer">
      <div className="drawer-head">
        <div role="tablist" aria-label="Drawer" className="drawer-tabs">
          <button
            type="button"
            role="tab"
            aria-selected={tab === "sheet"}
            onClick={() => put({ tab: "sheet" })}
          >
            Sheet
          </button>
          <button
            type="button"
            role="tab"
            aria-selected={tab === "rules"}
            onClick={() => put({ tab: "rules" })}
          >
            Rules{rules > 0 && <span className="count"> {rules}</span>}
          </button>
          <button
            type="button"
            role="tab"
            aria-selected={tab === "timing"}
            onClick={() => put({ tab: "timing" })}
          >
            Timing
          </button>
          <button
            type="button"
            role="tab"
            aria-selected={tab === "map"}
            onClick={() => put({ tab: "map" })}
          >
            Map
          </button>
          <button
            type="button"
            role="tab"
            aria-selected={tab === "checks"}
            onClick={() => put({ tab: "checks" })}
          >
            Checks{open > 0 && <span className="count found"> {open}</span>}
          </button>
          <button
            type="button"
            role="tab"
            aria-selected={tab === "rehearsals"}
            onClick={() => put({ tab: "rehearsals" })}
          >
            Rehearsals
            {rehearsals > 0 && (
              <span className={`count${failing ? " found" : ""}`}>
                {" "}
                {failing ? `${failing} of ${rehearsals}` : rehearsals}
              </span>
            )}
          </button>
        </div>
        {tab === "sheet" && problem !== null && (
          <p className="sheet-problem" role="alert">
            {problem}
          </p>
        )}
        {tab === "sheet" && (
          <button
            type="button"
            className="tool ms-auto me-3"
            title="Find and replace a value (Ctrl+F)"
            onClick={() => put({ dialog: { kind: "replace" } })}
          >
            Find and replace
          </button>
        )}
        {tab === "sheet" && (
          <label className="only">
            <input
              type="checkbox"
              className="form-check-input"
              checked={only}
              onChange={(e) => put({ onlyDifferences: e.target.checked })}
            />{" "}
            only differences
          </label>
        )}
      </div>
      <div className="drawer-body" role="tabpanel">
        <Suspense fallback={<p className="drawer-empty">Drawing …</p>}>
          <DrawerBody tab={tab} env={env} />
        </Suspense>
      </div>
    </div>
  );
});

const Left = memo(function Left() {
  return (
    <div className="bench-left">
      <Insert />
      <Layers />
      <Traits />
      <OverOthers />
    </div>
  );
});

/**
 * Keeps looking the piece through; apart, so that the bench around it does not render with every
 * edit.
 */
const Inspecting = ({ env }: { env: LayoutEnv }) => {
  useInspection(env);
  return null;
};

/**
 * What is chosen, for styles and tests; apart, so that the bench around it does not render with
 * every edit.
 */
const ChosenMark = () => (
  <span hidden className="bench-chosen" data-chosen={useChosen().join(" ")} />
);

const Body = ({ env }: { env: LayoutEnv }) => {
  const [help, setHelp] = useState(false);
  const openHelp = useMemo(() => () => setHelp(true), []);
  const store = typeof window === "undefined" ? undefined : window.localStorage;
  const storage = store ? { storage: store } : {};
  const outer = useDefaultLayout({ id: "nubble-bench-2", ...storage });
  const main = useDefaultLayout({ id: "nubble-bench-main-2", ...storage });
  const dialog = useBench((s) => s.dialog);
  useKeys(openHelp);
  return (
    <div className="bench">
      <ChosenMark />
      <Later>
        <Inspecting env={env} />
      </Later>
      <TopBar onHelp={openHelp} />
      <Group orientation="horizontal" className="bench-groups" {...outer}>
        <Panel id="left" minSize={176} defaultSize={214} maxSize={420}>
          <Later>
            <Left />
          </Later>
        </Panel>
        <Separator className="sep vertical" aria-label="Width of the layers" />
        <Panel id="main" minSize={420}>
          <Group orientation="vertical" {...main}>
            <Panel id="stage" minSize={220} defaultSize="60">
              <Stage env={env} />
            </Panel>
            <Separator className="sep horizontal" aria-label="Height of the drawer" />
            <Panel id="drawer" minSize={90} defaultSize="40">
              <Later>
                <Drawer env={env} />
              </Later>
            </Panel>
          </Group>
        </Panel>
        <Separator className="sep vertical" aria-label="Width of Try" />
        <Panel id="try" minSize={220} defaultSize={306} maxSize={640}>
          <Later>
            <Try env={env} />
          </Later>
        </Panel>
      </Group>
      {dialog?.kind === "compare" && <Compare env={env} a={dialog.a} b={dialog.b} />}
      {dialog?.kind === "gather" && <Gather />}
      {dialog?.kind === "replace" && <Replace />}
      <Modal show={help} onHide={() => setHelp(false)} size="lg" aria-labelledby="keys-title">
        <Modal.Header closeButton>
          <Modal.Title as="h2" className="h5" id="keys-title">
            Keys
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <dl className="keys">
            {keys.map(([k, what]) => (
              <div key={k}>
                <dt className="mono">{k}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        </Modal.Body>
      </Modal>
    </div>
  );
};

/** Where a piece is built: stage, sheet, rules and the running piece at the same time. */
export const Bench = ({ env, pieceId }: { env: LayoutEnv; pieceId: Id }) => {
  const store = useMemo(() => createBench(pieceId), [pieceId]);
  return (
    <BenchContext value={store}>
      <Body env={env} />
    </BenchContext>
  );
};
