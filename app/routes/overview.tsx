import { ownPieces } from "#core/world";
import { useCallback, useState, useSyncExternalStore } from "react";
import { Button } from "react-bootstrap";
import { useNavigate } from "react-router";
import { addPiece, ownPiecesOf, removeRules, startScreen } from "#core/edit";
import { set } from "#core/project";
import type { Piece } from "#core/project";
import { AllRehearsals } from "../rehearsals/AllRehearsals";
import { useSettings } from "../services/settings";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { ProjectBar } from "../session/parts/ProjectBar";
import { ProjectPlaces } from "../session/parts/ProjectPlaces";
import { ThemePicks } from "../session/parts/ThemePicks";
import { UndoNotice } from "../session/parts/UndoNotice";
import { EditableName } from "../ui/fields/EditableName";
import { useBenchMemory } from "../bench/state/memory";
import { Notice } from "../ui/floating/Notice";
// the pages of the system come next: a style sheet that came with them would style all of this anew
import "../library/library.scss";
import "../parts/parts.scss";
import "../system/system.scss";
import { PieceTile } from "./PieceTile";
import type { Duplicated } from "./PieceTile";
import { routesWords } from "./words";

/** Says that a piece was duplicated with its rules, and offers to leave them out. */
const DuplicatedNotice = ({ made, onClose }: { made: Duplicated; onClose: () => void }) => {
  const session = useSession();
  const { id, of, rules } = made;
  const withoutRules = () =>
    session.run(({ pieces }) => {
      const twin = pieces[id];
      return twin && removeRules(twin, Object.keys(twin.rules));
    });
  return (
    <Notice
      text={rules ? routesWords.duplicatedWith(of, rules) : routesWords.duplicated(of)}
      {...(rules ? { action: { label: routesWords.removeRules, run: withoutRules } } : {})}
      onClose={onClose}
    />
  );
};

const sections = [
  {
    kind: "component",
    title: routesWords.components,
    empty: routesWords.noComponentsYetComponent,
  },
  {
    kind: "screen",
    title: routesWords.screens,
    empty: routesWords.noScreensYetScreen,
  },
] as const;

/** The heading of the page: the project's name, which a click lets one type anew. */
const ProjectName = () => {
  const session = useSession();
  const name = useDisplayedProject((p) => p.name);
  return (
    <h1 className="bar-name" tabIndex={-1}>
      <EditableName
        name={name}
        label={routesWords.projectName}
        className="strong"
        onName={(text) =>
          session.run(() => ({ label: routesWords.renameText(text), ops: [set(["name"], text)] }))
        }
      />
    </h1>
  );
};

/** Offers to build a first part step by step, until somebody has had enough of it. */
const GuideOffer = ({ onStart }: { readonly onStart: () => void }) => {
  const offers = useSettings((s) => s.offersGuide);
  const endGuide = useSettings((s) => s.endGuide);
  const isClient = useSyncExternalStore(
    () => () => undefined,
    () => true,
    () => false,
  );
  if (!isClient || !offers) return null;
  return (
    <section className="guide-offer" aria-labelledby="guide-title">
      <h2 id="guide-title">{routesWords.firstSwitch}</h2>
      <p>{routesWords.eightSteps}</p>
      <p className="actions">
        <Button onClick={onStart}>{routesWords.startGuide}</Button>
        <Button variant="outline-primary" onClick={endGuide}>
          {routesWords.noGuide}
        </Button>
      </p>
    </section>
  );
};

/** All pieces of a project. */
export default function Overview() {
  const session = useSession();
  const project = useDisplayedProject();
  const navigate = useNavigate();
  const memory = useBenchMemory();
  const [removed, setRemoved] = useState<string | null>(null);
  const [duplicated, setDuplicated] = useState<Duplicated | null>(null);
  const { home } = session;
  const guide = useSettings((s) => s.guide);
  const make = (kind: Piece["kind"], isGuided = false) => {
    const usual = kind === "component" ? routesWords.component : routesWords.screen;
    const name = isGuided ? routesWords.switch : usual;
    const made = session.make((now) => addPiece(now, kind, name));
    if (!made) return;
    if (isGuided) guide(made.id);
    else memory.made(made.id);
    void navigate(`${home}/pieces/${made.id}`);
  };
  const open = useCallback((to: string) => void navigate(to), [navigate]);
  const start = startScreen(project);
  return (
    <>
      <ProjectBar crumbs={[<ProjectName key="project" />]}>
        <ThemePicks />
        <ProjectPlaces here="pieces" />
      </ProjectBar>
      <main className="page" id="content">
        {ownPieces(project).length === 0 && <GuideOffer onStart={() => make("component", true)} />}
        {sections.map((s) => {
          const pieces = ownPiecesOf(project, s.kind);
          return (
            <section key={s.kind} aria-labelledby={`${s.kind}-title`}>
              <div className="page-head">
                <h2 id={`${s.kind}-title`}>{s.title}</h2>
                <Button variant="outline-primary" size="sm" onClick={() => make(s.kind)}>
                  {routesWords.new(s.kind)}
                </Button>
              </div>
              {pieces.length === 0 ? (
                <p className="quiet page-empty">{s.empty}</p>
              ) : (
                <ul className={`tiles ${s.kind}`}>
                  {pieces.map((p) => (
                    <PieceTile
                      key={p.id}
                      piece={p}
                      start={p.id === start?.id}
                      onOpen={open}
                      onRemoved={setRemoved}
                      onDuplicated={setDuplicated}
                    />
                  ))}
                </ul>
              )}
            </section>
          );
        })}
        <AllRehearsals />
      </main>
      {duplicated && (
        <DuplicatedNotice
          key={duplicated.id}
          made={duplicated}
          onClose={() => setDuplicated(null)}
        />
      )}
      {removed !== null && (
        <UndoNotice
          key={removed}
          text={routesWords.deleted(removed)}
          onClose={() => setRemoved(null)}
        />
      )}
    </>
  );
}
