import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import { Offcanvas } from "react-bootstrap";
import type { LayoutEnv } from "#core/layout";
import { inTheme } from "#core/looks";
import type { Piece, Project, Variant } from "#core/project";
import type { Presented } from "#core/runtime";
import { Tool } from "../ui/Tool";
import { useMedia } from "../ui/useMedia";
import { useWatched } from "../ui/watched";
import { addressOf } from "./address";
import { MoreMenu } from "./MoreMenu";
import type { Place } from "./place";
import { PlayBar } from "./PlayBar";
import { PlayRun } from "./run";
import { StateList } from "./StateList";
import { playWords } from "./words";
import "./play.scss";

const LESS_MOTION = "(prefers-reduced-motion: reduce)";
const PHONE = "(max-width: 767px)";

interface Props {
  readonly env: LayoutEnv;
  readonly base: Project;
  /** the theme the address asks for; null for the one the project is shown in elsewhere */
  readonly theme: Variant | null;
  readonly place: Place;
  readonly first: Piece;
  readonly shown: Presented;
  readonly sends: boolean;
}

/** How long what is shown must stay before the address says so, ms. */
const SETTLED = 200;

/** What is shown stands in the address, so that it is there again after a reload. */
const useAddress = (run: PlayRun, project: Project, play: string, theme: Variant): void => {
  const { version } = run;
  const shown = useSyncExternalStore(run.subscribe, version, version);
  useEffect(() => {
    // whoever leaves meanwhile keeps the address they went to
    const timeout = window.setTimeout(() => {
      const address = `${play}${addressOf(project, run.presented, theme)}`;
      window.history.replaceState(window.history.state, "", address);
    }, SETTLED);
    return () => window.clearTimeout(timeout);
  }, [run, project, play, theme, shown]);
};

/** A run that follows edits and the system's wish for less motion, as long as it is shown. */
const useRun = ({ env, place, shown }: Props, project: Project, theme: Variant) => {
  const host = useRef<HTMLDivElement>(null);
  const [run] = useState(() => {
    const calm = typeof window !== "undefined" && window.matchMedia(LESS_MOTION).matches;
    return new PlayRun(env, project, shown, calm);
  });
  useEffect(() => (host.current ? run.mount(host.current) : undefined), [run]);
  useEffect(() => run.update(project), [run, project]);
  useAddress(run, project, place.play, theme);
  useEffect(() => {
    const less = window.matchMedia(LESS_MOTION);
    const heed = () => run.setCalm(less.matches);
    less.addEventListener("change", heed);
    return () => less.removeEventListener("change", heed);
  }, [run]);
  return { run, host };
};

/** The window is called as what is shown. */
const Title = ({ run: made, project }: { run: PlayRun; project: Project }) => {
  const { screen } = useWatched(made);
  const name = project.pieces[screen]?.name ?? playWords.play;
  return <title>{playWords.title(name, project.name)}</title>;
};

/** What is shown, for those who cannot see it, where there is no bar that says so. */
const Heading = ({ run: made, project }: { run: PlayRun; project: Project }) => {
  const { screen } = useWatched(made);
  return (
    <h1 className="visually-hidden" tabIndex={-1}>
      {project.pieces[screen]?.name}
    </h1>
  );
};

/** Tells the run how much room there is. */
const useRoom = (run: PlayRun, isPhone: boolean) => {
  const room = useRef<HTMLElement>(null);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => {
      if (entry) run.fitInto(entry.contentRect, isPhone);
    });
    if (room.current) watch.observe(room.current);
    return () => watch.disconnect();
  }, [run, isPhone]);
  return room;
};

const toggleFull = (): void => {
  if (document.fullscreenElement) void document.exitFullscreen();
  // where the browser does not allow it, the page stays as it is
  else document.documentElement.requestFullscreen().catch(() => undefined);
};

/** Whether the page fills the screen. */
const useFull = (): boolean => {
  const [isFull, setFull] = useState(false);
  useEffect(() => {
    const note = () => setFull(document.fullscreenElement !== null);
    document.addEventListener("fullscreenchange", note);
    return () => document.removeEventListener("fullscreenchange", note);
  }, []);
  return isFull;
};

/** What is said for a moment. */
const Said = ({ run: made }: { run: PlayRun }) => {
  const { said } = useWatched(made);
  return (
    <div className="play-said" role="status">
      {said !== null && <span>{said}</span>}
    </div>
  );
};

/** The prototype, and around it what a presenter needs. */
export const Theatre = (props: Props) => {
  const { base, place, first, sends } = props;
  const [theme, setTheme] = useState<Variant>(props.theme ?? {});
  const project = inTheme(base, theme);
  const isPhone = useMedia(PHONE);
  const { run, host } = useRun(props, project, theme);
  const room = useRoom(run, isPhone);
  const isFull = useFull();
  const [isListed, setListed] = useState(true);
  const [isOut, setOut] = useState(false);
  const list = (
    <StateList run={run} project={project} first={first} onPicked={() => setOut(false)} />
  );
  const more = useMemo(
    () => (
      <MoreMenu
        run={run}
        project={project}
        theme={theme}
        phone={place.phone}
        sends={sends}
        onTheme={setTheme}
      />
    ),
    [run, project, theme, place.phone, sends],
  );
  return (
    <div className={`play${isFull ? " full" : ""}`}>
      <Title run={run} project={project} />
      {!isPhone && !isFull && (
        <PlayBar
          run={run}
          project={project}
          theme={theme}
          place={place}
          isListed={isListed}
          onList={() => setListed(!isListed)}
          onFull={toggleFull}
        >
          {more}
        </PlayBar>
      )}
      <div className="play-room">
        {!isPhone && !isFull && isListed && (
          <nav className="play-list" aria-label={playWords.list}>
            {list}
          </nav>
        )}
        <main className="play-stage" id="content" ref={room}>
          {(isPhone || isFull) && <Heading run={run} project={project} />}
          <div ref={host} className={`play-host ${first.kind}`} />
          <Said run={run} />
        </main>
      </div>
      {isPhone && (
        <>
          <Tool
            className="play-grip"
            icon="right"
            label={playWords.showList}
            onClick={() => setOut(true)}
          />
          <Offcanvas show={isOut} onHide={() => setOut(false)} className="play-sheet">
            <Offcanvas.Header closeButton>
              <Offcanvas.Title as="h2">{project.name}</Offcanvas.Title>
              {more}
            </Offcanvas.Header>
            <Offcanvas.Body className="play-list">{list}</Offcanvas.Body>
          </Offcanvas>
        </>
      )}
    </div>
  );
};
