import { lazy, memo, Suspense } from "react";
import { Form, Nav, Tab } from "react-bootstrap";
import type { LayoutEnv } from "#core/layout";
import { useSettings } from "../services/settings";
import { Check } from "../ui/fields/Check";
import { Tool } from "../ui/Tool";
import { useMedia } from "../ui/useMedia";
import { Checks } from "./checks/Checks";
import { Rehearsals } from "./rehearsals/Rehearsals";
import { Rules } from "./rules/Rules";
import { Sheet } from "./sheet/Sheet";
import { useBench, usePiece } from "./state/context";
import { drawerTabs } from "./state/drawer";
import type { DrawerTab } from "./state/drawer";
import { benchWords } from "./words";

// drawn by a library of its own: only loaded when one looks at it
const Timing = lazy(() => import("./timing/Timing").then((m) => ({ default: m.Timing })));
const MapView = lazy(() => import("./map/MapView").then((m) => ({ default: m.MapView })));

const names: Readonly<Record<DrawerTab, string>> = {
  sheet: benchWords.sheet,
  rules: benchWords.rules,
  timing: benchWords.timing,
  map: benchWords.map,
  checks: benchWords.checks,
  rehearsals: benchWords.rehearsals,
};

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

interface CountText {
  readonly text: string;
  /** it is about something to be mended */
  readonly found?: boolean;
}

/** What a tab counts; null for nothing. */
const useCount = (tab: DrawerTab): CountText | null => {
  const rules = usePiece((p) => Object.keys(p.rules).length);
  const rehearsals = usePiece((p) => Object.keys(p.rehearsals).length);
  const accepted = usePiece((p) => p.accepted);
  const open = useBench((s) => s.inspection?.findings.filter((f) => !accepted[f.id]).length ?? 0);
  const failing = useBench(
    (s) => Object.values(s.inspection?.rehearsals ?? {}).filter((f) => f !== null).length,
  );
  if (tab === "rules" && rules > 0) return { text: String(rules) };
  if (tab === "checks" && open > 0) return { text: String(open), found: true };
  if (tab !== "rehearsals" || rehearsals === 0) return null;
  return failing
    ? { text: benchWords.failing(failing, rehearsals), found: true }
    : { text: String(rehearsals) };
};

const Count = ({ tab }: { tab: DrawerTab }) => {
  const count = useCount(tab);
  return count && <span className={`count${count.found ? " found" : ""}`}> {count.text}</span>;
};

/** What the head of the drawer holds for the sheet. */
const SheetTools = () => {
  const only = useBench((s) => s.onlyDifferences);
  const showOnly = useBench((s) => s.showOnlyDifferences);
  const sought = useBench((s) => s.sought);
  const seek = useBench((s) => s.seek);
  const problem = useBench((s) => s.problem);
  const openDialog = useBench((s) => s.openDialog);
  return (
    <>
      {problem !== null && (
        <p className="sheet-problem" role="alert">
          {problem}
        </p>
      )}
      <Form.Control
        type="search"
        size="sm"
        className="sheet-find push"
        data-sheet-find
        aria-label={benchWords.findValue}
        placeholder={benchWords.findValue}
        value={sought}
        onChange={(e) => seek(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== "Escape" || sought === "") return;
          seek("");
          e.preventDefault();
          e.stopPropagation();
        }}
      />
      <Tool
        icon="replace"
        label={benchWords.findReplace}
        title={benchWords.findReplaceValueCtrl}
        onClick={() => openDialog({ kind: "replace" })}
      />
      <Check
        className="only"
        words={benchWords.differencesOnly}
        checked={only}
        onSwitch={showOnly}
      />
    </>
  );
};

/** Wide enough for the drawer to stand beside the stage; px of the page. */
export const WIDE = "(min-width: 1440px)";

/** Where the drawer stands, and whether it is open. */
const DrawerTools = () => {
  const { folded, fold, beside, setBeside } = useSettings();
  const wide = useMedia(WIDE);
  return (
    <span className="drawer-tools">
      {wide && (
        <Tool
          icon={beside ? "below" : "beside"}
          label={beside ? benchWords.drawerBelow : benchWords.drawerBeside}
          onClick={() => setBeside(!beside)}
        />
      )}
      {!(wide && beside) && (
        <Tool
          icon={folded ? "up" : "down"}
          label={folded ? benchWords.expandDrawer : benchWords.collapseDrawer}
          title={benchWords.withKey(folded ? benchWords.expandDrawer : benchWords.collapseDrawer)}
          aria-expanded={!folded}
          onClick={() => fold(!folded)}
        />
      )}
    </span>
  );
};

/** What is set and said about the piece, one kind at a time. */
export const Drawer = memo(function Drawer({ env }: { env: LayoutEnv }) {
  const tab = useBench((s) => s.tab);
  const openTab = useBench((s) => s.openTab);
  const folded = useSettings((s) => s.folded);
  const fold = useSettings((s) => s.fold);
  return (
    <Tab.Container
      id="drawer"
      activeKey={tab}
      transition={false}
      onSelect={(key) => {
        const next = drawerTabs.find((t) => t === key);
        if (next) openTab(next);
      }}
    >
      <section className="drawer" data-part aria-label={benchWords.drawer}>
        <div className="drawer-head">
          <Nav variant="underline" className="drawer-tabs" aria-label={benchWords.views}>
            {drawerTabs.map((t) => (
              <Nav.Link
                key={t}
                as="button"
                type="button"
                eventKey={t}
                // the tab that is open already is not chosen anew
                onClick={() => fold(false)}
              >
                {names[t]}
                <Count tab={t} />
              </Nav.Link>
            ))}
          </Nav>
          {tab === "sheet" && !folded && <SheetTools />}
          <DrawerTools />
        </div>
        <Tab.Content className="drawer-body">
          <Tab.Pane eventKey={tab}>
            <Suspense fallback={<p className="drawer-empty">{benchWords.loading}</p>}>
              <DrawerBody tab={tab} env={env} />
            </Suspense>
          </Tab.Pane>
        </Tab.Content>
      </section>
    </Tab.Container>
  );
});
