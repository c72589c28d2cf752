import { memo, useCallback, useEffect, useRef, useState } from "react";
import { eventText } from "#core/describe";
import type { LogLine } from "#core/describe";
import { addRehearsal, contains } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { restingVariant, traitsOf, valuesOf, variantFrom, variantKey } from "#core/looks";
import type { Step, Variant } from "#core/project";
import { Recorder } from "#core/rehearse";
import type { Run } from "#core/runtime";
import { Player } from "#player";
import { Icon, Swatch } from "../../ui/Icon";
import { useProject, useSession } from "../../session/context";
import { useActive, useBench, usePiece } from "../state/state";
import { Beside, MOST_BESIDE } from "./Beside";

const MARGIN = 12;
const MOST_LINES = 200;

const speeds = [
  { rate: 1, words: "full" },
  { rate: 0.5, words: "half" },
  { rate: 0.25, words: "quarter" },
  { rate: 0.1, words: "tenth" },
] as const;
const grounds = ["paper", "white", "grey", "night"] as const;
type Ground = (typeof grounds)[number];

const seconds = (ms: number): string => `${(ms / 1000).toFixed(2)} s`;

/**
 * The piece itself, running, all the time; with its traits as switches and the log of what fired.
 */
export const Try = memo(function Try({ env }: { env: LayoutEnv }) {
  const project = useProject();
  const piece = usePiece();
  const restarts = useBench((s) => s.restarts);
  const restart = useBench((s) => s.restart);
  const put = useBench((s) => s.put);
  const host = useRef<HTMLDivElement>(null);
  const room = useRef<HTMLDivElement>(null);
  const player = useRef<Player>(null);
  const latest = useRef(project);
  const [lines, setLines] = useState<readonly (LogLine & { id: number; typing: string | null })[]>(
    [],
  );
  const [variant, setVariant] = useState<Variant>({});
  const [screen, setScreen] = useState(piece.id);
  const [scale, setScale] = useState(1);
  const [rate, setRate] = useState(1);
  const [paused, setPaused] = useState(false);
  const [touch, setTouch] = useState(false);
  const [ground, setGround] = useState<Ground>("paper");
  // a player that is made anew begins as the switches say
  const how = useRef({ rate: 1, touch: false, calm: false });
  const [calm, setCalm] = useState(false);
  const tell = useCallback(
    (run: Run) =>
      put({
        running: {
          variant: run.screen === piece.id ? run.variant() : {},
          waits: run.inside.timers.waits
            .filter((t) => t.at === piece.id)
            .map((t) => ({ rule: t.rule, left: t.due - run.now })),
          since: performance.now(),
          rate: how.current.rate,
        },
      }),
    [piece.id, put],
  );
  const drive = (next: { rate?: number; paused?: boolean; touch?: boolean }) => {
    const now = {
      rate: next.rate ?? rate,
      paused: next.paused ?? paused,
      touch: next.touch ?? touch,
    };
    setRate(now.rate);
    setPaused(now.paused);
    how.current = { ...how.current, rate: now.paused ? 0 : now.rate, touch: now.touch };
    player.current?.setRate(how.current.rate);
    if (player.current) tell(player.current.machine);
    if (now.touch !== touch) {
      setTouch(now.touch);
      player.current?.setTouch(now.touch);
    }
  };
  const shownScale = useRef(1);
  const [well, setWell] = useState(true);
  const sends = Object.values(project.pieces).some(
    (p) =>
      Object.values(p.looks).some((l) => Object.values(l.changes).some((c) => c.sends === true)) &&
      (p.id === piece.id || contains(project, piece.id, p.id)),
  );
  const [beside, setBeside] = useState(false);
  const unseen = useBench((s) => s.inspection?.unseenByTouch) ?? [];
  const { variants: cards } = useActive();
  const [first] = traitsOf(piece);
  const rest = restingVariant(piece);
  const ofFirst = first ? valuesOf(first).map((v) => ({ ...rest, [first.id]: v.id })) : [];
  const others = (cards.length > 1 ? cards : ofFirst)
    .filter((v) => variantKey(piece, v) !== variantKey(piece, rest))
    .slice(0, MOST_BESIDE);
  const session = useSession();
  const showing = useBench((s) => s.showing);
  const recorder = useRef<Recorder>(null);
  const [recording, setRecording] = useState(false);
  const [outcome, setOutcome] = useState<string | null>(null);
  const record = () => {
    const { current } = recorder;
    const run = player.current?.machine;
    if (!current) {
      recorder.current = new Recorder();
      setRecording(true);
      restart();
      return;
    }
    recorder.current = null;
    setRecording(false);
    const now = session.project.pieces[piece.id];
    if (!now || !run || current.recorded.length === 0) return;
    // what it has come to is what is expected of it from now on
    const rest = restingVariant(now);
    const is = variantFrom(now, run.inside.traits[piece.id] ?? {});
    const expected = traitsOf(now)
      .filter((t) => is[t.id] !== rest[t.id])
      .map((t): Step => ({ do: "trait", at: "", trait: t.id, value: is[t.id] ?? "" }));
    const made = addRehearsal(now, [...current.recorded, { do: "settle" }, ...expected]);
    if (session.edit(made.change)) put({ tab: "rehearsals", rehearsal: made.id });
  };

  useEffect(() => {
    if (!showing) return;
    setOutcome("Showing …");
    setPaused(false);
    void player.current
      ?.demonstrate(showing.steps, (shownStep) => put({ shownStep }))
      .then((failed) => {
        setOutcome(failed ? `Step ${failed.step + 1}: ${failed.why}` : null);
        put({ showing: null });
      });
  }, [showing, put]);

  useEffect(() => {
    if (!host.current) return;
    let count = 0;
    const made = new Player(host.current, {
      env,
      project: latest.current,
      piece: piece.id,
      margin: MARGIN,
      onHappening: (event) => {
        const line = eventText(latest.current, event);
        // what is typed letter by letter is one line
        const typing = event.type === "filled" ? `${event.path}/${event.layer}` : null;
        if (line)
          setLines((all) =>
            [
              { ...line, id: ++count, typing },
              ...(typing !== null && all[0]?.typing === typing ? all.slice(1) : all),
            ].slice(0, MOST_LINES),
          );
      },
      onAct: (act) => recorder.current?.take(act),
      onChange: (run) => {
        setVariant(run.variant());
        tell(run);
        setScreen(run.screen);
      },
    });
    player.current = made;
    made.setRate(how.current.rate);
    if (how.current.touch) made.setTouch(true);
    made.setCalm(how.current.calm);
    shownScale.current = 1;
    return () => {
      made.destroy();
      player.current = null;
    };
  }, [env, piece.id, put, tell]);

  const wanted = useBench((s) => s.wanted);
  useEffect(() => {
    if (!wanted) return;
    for (const [trait, value] of Object.entries(wanted))
      player.current?.set(piece.id, trait, value);
    put({ wanted: null });
  }, [wanted, piece.id, put]);

  useEffect(() => {
    latest.current = project;
    player.current?.update(project);
  }, [project]);

  useEffect(() => {
    if (restarts === 0) return;
    setLines([]);
    setOutcome(null);
    player.current?.restart();
  }, [restarts]);

  // the room is watched, not asked: asking would make the browser lay the page out in the middle of
  // every edit
  const [space, setSpace] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setSpace({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    if (room.current) watch.observe(room.current);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    const scene = player.current?.machine.scene();
    if (scene && space) {
      const next = Math.min(
        1,
        space.width / (scene.width + 2 * MARGIN),
        space.height / (scene.height + 2 * MARGIN),
      );
      const rounded = next >= 1 ? 1 : Math.floor(next * 100) / 100;
      setScale(rounded);
      if (rounded !== shownScale.current) player.current?.setScale(rounded);
      shownScale.current = rounded;
    }
  }, [project, piece.id, screen, space]);

  const shown = project.pieces[screen] ?? piece;
  const traits = traitsOf(shown);
  return (
    <aside className="try" aria-label="Try">
      <div className="side-head">
        <h2 className="caption">Try{screen !== piece.id && `: ${shown.name}`}</h2>
        <select
          className="word"
          aria-label="Ground"
          title="What the piece lies on"
          value={ground}
          onChange={(e) => setGround(e.target.value as Ground)}
        >
          {grounds.map((g) => (
            <option key={g} value={g}>
              on {g}
            </option>
          ))}
        </select>
        <span className="quiet small-text">{Math.round(scale * 100)} %</span>
        {traitsOf(piece).length > 0 && (
          <button
            type="button"
            className={`tool${beside ? " on" : ""}`}
            aria-label="Side by side"
            aria-pressed={beside}
            title="Try copies side by side that begin in the chosen cards, or in each value of the first trait"
            onClick={() => setBeside(!beside)}
          >
            <Icon name="instance" size={14} />
          </button>
        )}
        <button
          type="button"
          className={`tool${recording ? " recording" : ""}`}
          aria-pressed={recording}
          title={
            recording
              ? "Stop and keep what was done as a rehearsal"
              : "Record what you do as a rehearsal"
          }
          onClick={record}
        >
          <Icon name="record" size={13} />
          <span className="visually-hidden">{recording ? "Stop" : "Record"}</span>
        </button>
        <button type="button" className="tool" title="Restart (R)" onClick={restart}>
          <Icon name="restart" size={14} />
          <span className="visually-hidden">Restart</span>
        </button>
      </div>
      <div className="try-how">
        <span className="strip" role="radiogroup" aria-label="Tried with">
          <button
            type="button"
            role="radio"
            aria-checked={!touch}
            title="Tab into the piece to try it by keyboard"
            onClick={() => drive({ touch: false })}
          >
            Mouse
          </button>
          <button
            type="button"
            role="radio"
            aria-checked={touch}
            title="The pointer is a finger: nothing is hovered"
            onClick={() => drive({ touch: true })}
          >
            Touch
          </button>
        </span>
        <select
          className="word"
          aria-label="Speed"
          title="How fast time goes"
          value={rate}
          onChange={(e) => drive({ rate: Number(e.target.value) })}
        >
          {speeds.map((s) => (
            <option key={s.rate} value={s.rate}>
              {s.words}
            </option>
          ))}
        </select>
        <button
          type="button"
          className="tool"
          aria-label={paused ? "Go on" : "Pause"}
          title={paused ? "Go on" : "Pause"}
          onClick={() => drive({ paused: !paused })}
        >
          <Icon name={paused ? "go" : "pause"} size={14} />
        </button>
        <button
          type="button"
          className="tool"
          aria-label="Step"
          disabled={!paused}
          title="A sixtieth of a second further, while paused"
          onClick={() => player.current?.stepBy(1000 / 60)}
        >
          <Icon name="step" size={14} />
        </button>
        <button
          type="button"
          className={`tool${calm ? " on" : ""}`}
          aria-label="Less motion"
          aria-pressed={calm}
          title="As for people whose system asks for less motion: changes only fade"
          onClick={() => {
            how.current.calm = !calm;
            player.current?.setCalm(!calm);
            setCalm(!calm);
          }}
        >
          <Icon name="calm" size={14} />
        </button>
      </div>
      {sends && (
        <div className="try-how">
          <span className="quiet">Forms that are sent</span>
          <span className="strip" role="radiogroup" aria-label="Forms that are sent">
            <button
              type="button"
              role="radio"
              aria-checked={well}
              onClick={() => {
                setWell(true);
                player.current?.answer(true);
              }}
            >
              succeed
            </button>
            <button
              type="button"
              role="radio"
              aria-checked={!well}
              onClick={() => {
                setWell(false);
                player.current?.answer(false);
              }}
            >
              fail
            </button>
          </span>
        </div>
      )}
      {touch && unseen.length > 0 && (
        <p className="try-missed">
          A finger never sees{" "}
          {unseen
            .map(
              (u) =>
                `${piece.traits[u.trait]?.name ?? ""} ${piece.traits[u.trait]?.values[u.value]?.name ?? ""}`,
            )
            .join(", ")}
          .
        </p>
      )}
      <div className={`try-room ${piece.kind} on-${ground}${beside ? " beside" : ""}`} ref={room}>
        {(paused || outcome !== null || recording) && (
          <span className="paused" role="status">
            {outcome ?? (recording ? "recording" : "paused")}
          </span>
        )}
        <div ref={host} className="try-host" />
        {beside &&
          others.map((v) => (
            <Beside
              key={variantKey(piece, v)}
              env={env}
              project={project}
              piece={piece}
              start={v}
              scale={Math.min(scale, 1)}
              restarts={restarts}
              rate={paused ? 0 : rate}
              touch={touch}
            />
          ))}
      </div>
      {traits.length > 0 && (
        <div className="try-traits">
          {traits.map((t) => {
            const now = variant[t.id] ?? restingVariant(shown)[t.id];
            return (
              <div key={t.id} className="try-trait">
                <span className="line-name">
                  <Swatch pattern={t.pattern} />
                  {t.name}
                </span>
                <span className="strip" role="radiogroup" aria-label={`${t.name} in Try`}>
                  {valuesOf(t).map((v) => (
                    <button
                      key={v.id}
                      type="button"
                      role="radio"
                      aria-checked={v.id === now}
                      onClick={() => player.current?.set(screen, t.id, v.id)}
                    >
                      {v.name}
                    </button>
                  ))}
                </span>
              </div>
            );
          })}
        </div>
      )}
      <ol className="log mono" aria-label="What happened" aria-live="off">
        {lines.length === 0 && (
          <li className="quiet">Use it as people will: what fires is told here.</li>
        )}
        {lines.map((l) => (
          <li key={l.id} className={l.tone}>
            <time>{seconds(l.at)}</time> {l.text}
          </li>
        ))}
      </ol>
    </aside>
  );
});
