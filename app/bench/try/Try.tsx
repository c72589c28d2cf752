import { memo, useEffect, useMemo, useRef, useState } from "react";
import type { RefObject } from "react";
import { useShallow } from "zustand/react/shallow";
import { sendsForms } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { restingVariant, traitsOf, valuesOf, variantKey } from "#core/looks";
import type { Variant, Varying } from "#core/project";
import { useDisplayedProject, useDisplayedSource } from "../../session/displayed";
import { countRender } from "../../ui/renders";
import { useActive, useBench, usePiece, useVarying, useWorkpiece } from "../state/context";
import { useWatched } from "../../ui/watched";
import { Beside, MOST_BESIDE } from "./Beside";
import { Log } from "./Log";
import { TryRun } from "./run";
import { TryAnswer, TryHead, TryHow } from "./TryTools";
import type { Ground } from "./TryTools";
import { TryTraits } from "./TryTraits";
import { tryWords } from "./words";

/** Whether the system asks for less motion. */
const asksForCalm = (): boolean =>
  typeof window !== "undefined" && window.matchMedia("(prefers-reduced-motion: reduce)").matches;

/** The running copy, as long as the bench shows this piece, and what others ask of it. */
const useRun = (env: LayoutEnv, host: RefObject<HTMLDivElement | null>): TryRun => {
  const source = useDisplayedSource();
  const workpiece = useWorkpiece();
  const run = useMemo(
    () => new TryRun(env, source, workpiece, asksForCalm()),
    [env, source, workpiece],
  );
  const restarts = useBench((s) => s.restarts);
  const showing = useBench((s) => s.showing);
  const wanted = useBench((s) => s.wanted);
  const want = useBench((s) => s.want);
  useEffect(() => (host.current ? run.mount(host.current) : undefined), [run, host]);
  useEffect(() => {
    if (restarts > 0) run.restart();
  }, [run, restarts]);
  useEffect(() => {
    if (showing) void run.show(showing);
  }, [run, showing]);
  useEffect(() => {
    if (!wanted) return;
    run.setAll(wanted);
    want(null);
  }, [run, wanted, want]);
  return run;
};

/**
 * Fits the copy into its room. The room is watched, not asked: asking would make the browser lay
 * the page out in the middle of every edit.
 */
const useRoom = (run: TryRun) => {
  const room = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => {
      if (entry) run.fitInto(entry.contentRect);
    });
    if (room.current) watch.observe(room.current);
    return () => watch.disconnect();
  }, [run]);
  return room;
};

/** The variants further copies begin in: the other chosen cards, or each value of the first trait. */
const startsOf = (piece: Varying, cards: readonly Variant[]): readonly Variant[] => {
  const [first] = traitsOf(piece);
  const rest = restingVariant(piece);
  const ofFirst = first ? valuesOf(first).map((v) => ({ ...rest, [first.id]: v.id })) : [];
  return (cards.length > 1 ? cards : ofFirst)
    .filter((v) => variantKey(piece, v) !== variantKey(piece, rest))
    .slice(0, MOST_BESIDE);
};

/** The states that only a pointer that hovers can see. */
const Missed = () => {
  const { traits } = useVarying();
  const unseen = useBench((s) => s.inspection?.unseenByTouch);
  if (!unseen?.length) return null;
  const words = unseen.map(({ trait, value }) => {
    const t = traits[trait];
    return `${t?.name ?? ""} ${t?.values[value]?.name ?? ""}`;
  });
  return <p className="try-missed">{tryWords.notReachableTouch(words.join(", "))}</p>;
};

/** Whether it is halted, records, or shows steps, and what that has come to. */
const Badge = ({ run: made }: { run: TryRun }) => {
  const { pace, recording, outcome } = useWatched(made);
  if (!pace.paused && !recording && outcome === null) return null;
  return (
    <span className="paused" role="status">
      {outcome ?? (recording ? tryWords.recording : tryWords.paused)}
    </span>
  );
};

/**
 * The piece itself, running, all the time; with its traits as switches and the log of what fired.
 */
export const Try = memo(function Try({ env }: { env: LayoutEnv }) {
  countRender("try");
  const host = useRef<HTMLDivElement>(null);
  const run = useRun(env, host);
  const { screen, pace } = useWatched(run);
  const room = useRoom(run);
  const [ground, setGround] = useState<Ground>("paper");
  const [beside, setBeside] = useState(false);
  const piece = useVarying();
  const id = useBench((s) => s.pieceId);
  const kind = usePiece((p) => p.kind);
  const sends = useDisplayedProject((p) => sendsForms(p, id));
  const shown = useDisplayedProject(
    useShallow((p) => {
      const { name, traits, notes } = p.pieces[screen] ?? { name: "", traits: {}, notes: {} };
      return { name, traits, notes };
    }),
  );
  const { variants: cards } = useActive();
  const others = startsOf(piece, cards);
  return (
    <section className="try" data-part aria-label={tryWords.tryInTry}>
      <TryHead
        run={run}
        elsewhere={screen === id ? null : shown.name}
        ground={ground}
        onGround={setGround}
        beside={beside}
        onBeside={setBeside}
      />
      <TryHow run={run} />
      {sends && <TryAnswer run={run} />}
      {pace.touch && <Missed />}
      <div
        className={["try-room", kind, `on-${ground}`, beside && "beside"].filter(Boolean).join(" ")}
        ref={room}
      >
        <Badge run={run} />
        <div ref={host} className="try-host" data-entrance />
        {beside &&
          others.map((v) => <Beside key={variantKey(piece, v)} env={env} start={v} run={run} />)}
      </div>
      <TryTraits run={run} piece={shown} />
      <Log run={run} />
    </section>
  );
});
