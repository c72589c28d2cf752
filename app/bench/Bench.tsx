import { memo } from "react";
import { Group, Panel, Separator, useDefaultLayout } from "react-resizable-panels";
import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import { useInspection } from "./checks/inspect";
import { Compare } from "./dialogs/Compare";
import { Gather } from "./dialogs/Gather";
import { OverOthers } from "./dialogs/OverOthers";
import { Replace } from "./dialogs/Replace";
import { Drawer } from "./Drawer";
import { KeysDialog } from "./KeysDialog";
import { Stage } from "./stage/Stage";
import { BenchProvider, useBench, useChosen } from "./state/context";
import { Later } from "./state/Later";
import { CardTools } from "./tools/CardTools";
import { Insert } from "./tools/Insert";
import { WirePanel, WireScreens } from "./tools/WirePanel";
import { TopBar } from "./TopBar";
import { Traits } from "./traits/Traits";
import { Layers } from "./tree/Layers";
import { Try } from "./try/Try";
import { useKeys } from "./useKeys";
import "../parts/parts.scss";
import "./bench.scss";
import { benchWords } from "./words";

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

/** Keys act on whatever is chosen; apart, so that nothing renders with them. */
const Keys = () => {
  useKeys();
  return null;
};

/**
 * What is chosen, for styles and tests; apart, so that the bench around it does not render with
 * every edit.
 */
const ChosenMark = () => (
  <span hidden className="bench-chosen" data-chosen={useChosen().join(" ")} />
);

const OpenDialog = ({ env }: { env: LayoutEnv }) => {
  const dialog = useBench((s) => s.dialog);
  switch (dialog?.kind) {
    case "compare":
      return <Compare env={env} a={dialog.a} b={dialog.b} />;
    case "gather":
      return <Gather />;
    case "replace":
      return <Replace />;
    case "keys":
      return <KeysDialog />;
    case undefined:
      return null;
  }
};

/** Where the panels were left, kept in the browser. */
const useLayouts = () => {
  const store = typeof window === "undefined" ? undefined : window.localStorage;
  const storage = store ? { storage: store } : {};
  const outer = useDefaultLayout({ id: "nubble-bench-2", ...storage });
  const main = useDefaultLayout({ id: "nubble-bench-main-2", ...storage });
  return { outer, main };
};

const Body = ({ env }: { env: LayoutEnv }) => {
  const { outer, main } = useLayouts();
  return (
    <div className="bench">
      <ChosenMark />
      <Keys />
      <Later>
        <Inspecting env={env} />
      </Later>
      <TopBar />
      <Group orientation="horizontal" className="bench-groups" {...outer}>
        <Panel id="left" minSize={176} defaultSize={214} maxSize={420}>
          <Later>
            <Left />
          </Later>
        </Panel>
        <Separator className="sep vertical" aria-label={benchWords.widthLayers} />
        <Panel id="main" minSize={420}>
          <Group orientation="vertical" {...main}>
            <Panel id="stage" minSize={220} defaultSize="60">
              <Stage env={env} Over={CardTools}>
                <WireScreens />
                <WirePanel />
              </Stage>
            </Panel>
            <Separator className="sep horizontal" aria-label={benchWords.heightDrawer} />
            <Panel id="drawer" minSize={90} defaultSize="40">
              <Later>
                <Drawer env={env} />
              </Later>
            </Panel>
          </Group>
        </Panel>
        <Separator className="sep vertical" aria-label={benchWords.widthTry} />
        <Panel id="try" minSize={220} defaultSize={306} maxSize={640}>
          <Later>
            <Try env={env} />
          </Later>
        </Panel>
      </Group>
      <OpenDialog env={env} />
    </div>
  );
};

/** Where a piece is built: stage, sheet, rules and the running piece at the same time. */
export const Bench = ({ env, pieceId }: { env: LayoutEnv; pieceId: Id }) => (
  <BenchProvider pieceId={pieceId}>
    <Body env={env} />
  </BenchProvider>
);
