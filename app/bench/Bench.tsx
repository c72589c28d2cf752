import { memo, useCallback, useEffect } from "react";
import { Group, Panel, Separator, useDefaultLayout, usePanelRef } from "react-resizable-panels";
import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import { useInspection } from "./checks/inspect";
import { Bring } from "./dialogs/Bring";
import { Compare } from "./dialogs/Compare";
import { Gather } from "./dialogs/Gather";
import { OverOthers } from "./dialogs/OverOthers";
import { ReadyMade } from "./dialogs/ReadyMade";
import { Replace } from "./dialogs/Replace";
import { Scale } from "./dialogs/Scale";
import { Drawer, WIDE } from "./Drawer";
import { GuideBar } from "./guide/GuideBar";
import { KeysDialog } from "./KeysDialog";
import { Handful } from "./sheet/Handful";
import { Stage } from "./stage/Stage";
import { BenchProvider, useBench, useChosen } from "./state/context";
import { Later } from "./state/Later";
import { CardTools } from "./tools/CardTools";
import { Insert } from "./tools/insert/Insert";
import { WirePanel, WireScreens } from "./tools/WirePanel";
import { TopBar } from "./TopBar";
import { Traits } from "./traits/Traits";
import { Layers } from "./tree/Layers";
import { Try } from "./try/Try";
import { useKeys } from "./useKeys";
import { useSettings } from "../services/settings";
import { useMedia } from "../ui/useMedia";
import "../parts/parts.scss";
import "./bench.scss";
import { benchWords } from "./words";

const Left = memo(function Left() {
  return (
    <section className="bench-left" data-part aria-label={benchWords.layersAndTraits}>
      <Insert />
      <Layers />
      <Traits />
      <OverOthers />
    </section>
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
    case "bring":
      return <Bring clip={dialog.clip} inPlace={dialog.inPlace} />;
    case "gather":
      return <Gather />;
    case "replace":
      return <Replace />;
    case "scale":
      return <Scale />;
    case "readymade":
      return <ReadyMade />;
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
  const side = useDefaultLayout({ id: "nubble-bench-side", ...storage });
  return { outer, main, side };
};

interface EnvProps {
  readonly env: LayoutEnv;
}

const StagePart = ({ env }: EnvProps) => (
  <Stage env={env} Over={CardTools} Beside={Handful}>
    <WireScreens />
    <WirePanel />
  </Stage>
);

const LeftPart = () => (
  <Later>
    <Left />
  </Later>
);

const DrawerPart = ({ env }: EnvProps) => (
  <Later>
    <Drawer env={env} />
  </Later>
);

const TryPart = ({ env }: EnvProps) => (
  <Later>
    <Try env={env} />
  </Later>
);

/** How high the drawer is that shows its tabs alone; px. */
const FOLDED = 37;

/** Folds the drawer to its tabs, by the key or by dragging its edge down. */
const useFolding = () => {
  const panelRef = usePanelRef();
  const folded = useSettings((s) => s.folded);
  const fold = useSettings((s) => s.fold);
  useEffect(() => {
    const panel = panelRef.current;
    if (!panel || panel.isCollapsed() === folded) return;
    if (folded) panel.collapse();
    else panel.expand();
  }, [folded, panelRef]);
  const onResize = useCallback(() => {
    const panel = panelRef.current;
    if (panel) fold(panel.isCollapsed());
  }, [panelRef, fold]);
  return { panelRef, onResize };
};

/** All parts of the bench at once, as wide and high as one wants them. */
const Panels = ({ env }: EnvProps) => {
  const { outer, main, side } = useLayouts();
  const drawer = useFolding();
  const wide = useMedia(WIDE);
  const beside = useSettings((s) => s.beside) && wide;
  return (
    <Group orientation="horizontal" {...outer}>
      <Panel id="left" minSize={176} defaultSize={214} maxSize={420}>
        <LeftPart />
      </Panel>
      <Separator className="sep vertical" aria-label={benchWords.layersPanelWidth} />
      <Panel id="main" minSize={420}>
        {beside ? (
          <Group key="beside" orientation="horizontal" {...side}>
            <Panel id="stage" minSize={360} defaultSize="55">
              <StagePart env={env} />
            </Panel>
            <Separator className="sep vertical" aria-label={benchWords.drawerWidth} />
            <Panel id="drawer" minSize={320} defaultSize="45">
              <DrawerPart env={env} />
            </Panel>
          </Group>
        ) : (
          <Group key="below" orientation="vertical" {...main}>
            <Panel id="stage" minSize={220} defaultSize="60">
              <StagePart env={env} />
            </Panel>
            <Separator className="sep horizontal" aria-label={benchWords.drawerHeight} />
            <Panel
              id="drawer"
              minSize={90}
              defaultSize="40"
              collapsible
              collapsedSize={FOLDED}
              {...drawer}
            >
              <DrawerPart env={env} />
            </Panel>
          </Group>
        )}
      </Panel>
      <Separator className="sep vertical" aria-label={benchWords.tryPanelWidth} />
      <Panel id="try" minSize={220} defaultSize={306} maxSize={640}>
        <TryPart env={env} />
      </Panel>
    </Group>
  );
};

/** The parts of the bench one under the other, where the window has no room for them beside it. */
const Stack = ({ env }: EnvProps) => (
  <div className="bench-stack">
    <div className="stacked left">
      <LeftPart />
    </div>
    <div className="stacked stage">
      <StagePart env={env} />
    </div>
    <div className="stacked drawer-room">
      <DrawerPart env={env} />
    </div>
    <div className="stacked try-part">
      <TryPart env={env} />
    </div>
  </div>
);

/** No room for the parts beside one another, px of the page; half as much at 200 % zoom. */
const TIGHT = "(max-width: 879px), (max-height: 479px)";

const Body = ({ env }: EnvProps) => {
  const tight = useMedia(TIGHT);
  return (
    <div className="bench">
      <ChosenMark />
      <Keys />
      <Later>
        <Inspecting env={env} />
      </Later>
      <TopBar />
      <GuideBar />
      <main className="bench-main" id="content">
        {tight ? <Stack env={env} /> : <Panels env={env} />}
      </main>
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
