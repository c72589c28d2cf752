import { useState } from "react";
import type { ClipboardEvent } from "react";
import { Button, Form } from "react-bootstrap";
import { ruleText } from "#core/describe";
import { cascadeOrders, cascaded, copyLanes, pasteLanes, readLanes, withoutLane } from "#core/edit";
import type { CascadeOrder } from "#core/edit";
import { findBox } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import type { LaneName } from "#core/motion";
import { NumberField } from "../../ui/fields/NumberField";
import { units } from "../../ui/units";
import { useEdits } from "../commands/edits";
import type { BenchEdits } from "../commands/edits";
import { useBench, useChosen } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { CurvePanel } from "./CurvePanel";
import { GiveMenu } from "./GiveMenu";
import { Lanes } from "./Lanes";
import { SaveMenu } from "./SaveMenu";
import { BackPart, SubjectPart } from "./SubjectPart";
import { useHead } from "./playing/useHead";
import { rowKey, useTiming } from "./useTiming";
import { runKey } from "../../ui/keys";
import { timingKeys } from "./keys";
import type { TimingHands } from "./keys";
import type { Timed } from "./useTiming";
import "./timing.scss";
import { Tool } from "../../ui/Tool";
import { Toolbar } from "../../ui/focus/Toolbar";
import { timingWords } from "./words";

const orderWords: Readonly<Record<CascadeOrder, string>> = {
  first: timingWords.firstLast,
  last: timingWords.lastFirst,
  middle: timingWords.fromMiddle,
  across: timingWords.leftRight,
  down: timingWords.topBottom,
};

/** Layers set out one after another. */
const Cascade = ({ timed, names }: { timed: Timed; names: readonly LaneName[] }) => {
  const [interval, setInterval] = useState(60);
  const [order, setOrder] = useState<CascadeOrder>("first");
  return (
    <span className="timing-cascade" role="group" aria-label={timingWords.cascade}>
      {timingWords.every}{" "}
      <NumberField
        label={timingWords.cascadeIntervalMilliseconds}
        value={interval}
        min={0}
        max={5000}
        step={10}
        unit={units.ms}
        onChange={setInterval}
      />
      <Form.Select
        className="word"
        aria-label={timingWords.cascadeOrder}
        value={order}
        onChange={(e) => setOrder(e.target.value as CascadeOrder)}
      >
        {cascadeOrders.map((o) => (
          <option key={o} value={o}>
            {orderWords[o]}
          </option>
        ))}
      </Form.Select>
      <Button
        variant="outline-primary"
        size="sm"
        onClick={() =>
          timed.set(
            cascaded(
              timed.motion,
              names,
              interval,
              order,
              (id) => findBox(timed.scenes.to, id) ?? { x: 0, y: 0 },
            ),
          )
        }
      >
        {timingWords.cascade}
      </Button>
    </span>
  );
};

/**
 * A way between two variants is only tried until it is a rule; where rules lead it, they are named.
 */
const PairNote = ({ timed }: { timed: Timed }) => {
  const project = useDisplayedProject();
  const [led] = timed.leading;
  return (
    <div className="rule-chosen pair-note">
      {led ? (
        <>
          <span>{timingWords.ruleChange}</span>
          <Button
            variant="link"
            size="sm"
            className="cut"
            onClick={() => timed.choose({ kind: "rule", rule: led.id, effect: null })}
          >
            {ruleText(project, timed.piece, led)}
          </Button>
        </>
      ) : (
        <span className="quiet">{timingWords.noRuleMakesChange}</span>
      )}
      <Button
        variant="outline-primary"
        size="sm"
        className="push"
        disabled={timed.moving.length === 0}
        onClick={timed.make}
      >
        {timingWords.createRule}
      </Button>
    </div>
  );
};

const isField = (target: EventTarget): boolean =>
  target instanceof Element && target.closest("input, select, textarea") !== null;

/** Lanes through the clipboard: to another rule, or another piece whose layers have their names. */
const clipboardOf = (
  timed: Timed | null,
  lanes: readonly LaneName[],
  edits: BenchEdits,
  onPick: (names: readonly LaneName[]) => void,
) => ({
  onCopy: (e: ClipboardEvent) => {
    const clip = timed && !isField(e.target) && copyLanes(timed.piece, timed.motion, lanes);
    if (!clip) return;
    e.clipboardData.setData("text/plain", JSON.stringify(clip));
    e.preventDefault();
    edits.note(timingWords.laneCopiedLanesCopied(clip.lanes.length));
  },
  onPaste: (e: ClipboardEvent) => {
    const clip = isField(e.target) ? null : readLanes(e.clipboardData.getData("text/plain"));
    if (!clip || !timed) return;
    e.preventDefault();
    const { motion, made, lost } = pasteLanes(timed.piece, timed.motion, clip);
    if (made.length) timed.set(motion);
    onPick(made);
    if (lost.length) edits.note(timingWords.lanesWereLeftOut(lost.join(", ")));
  },
});

/**
 * How a rule's change goes on in time: lanes on a ruler, poses, curves, and the stage that follows
 * the playhead.
 */
export const Timing = ({ env }: { env: LayoutEnv }) => {
  const timed = useTiming(env);
  const edits = useEdits();
  const chosen = useChosen();
  const choose = useBench((s) => s.choose);
  const [picked, setPicked] = useState<readonly (LaneName | null)[]>([null]);
  const [withBack, setWithBack] = useState(false);
  const lanes = picked.filter((p): p is LaneName => p !== null);
  const lead = picked.at(-1) ?? null;
  const head = useHead(timed, lead?.layer ?? (chosen.length === 1 ? (chosen[0] ?? null) : null));
  if (!timed) return <p className="drawer-empty">{timingWords.noTimingYetAdd}</p>;
  const pick = (name: LaneName | null, add: boolean) => {
    // the stage shows which layer it is
    if (name !== null && timed.piece.layers[name.layer]) choose([name.layer]);
    setPicked((all) => {
      if (!add || name === null) {
        return [name];
      }
      return all.some((p) => rowKey(p) === rowKey(name)) && all.length > 1
        ? all.filter((p) => rowKey(p) !== rowKey(name))
        : [...all.filter((p) => p !== null && rowKey(p) !== rowKey(name)), name];
    });
  };
  const onKey = (e: React.KeyboardEvent) => {
    if (isField(e.target)) return;
    const pressed = e.target instanceof Element && e.target.closest("button:not(.lane-bar)");
    if (e.key === " " && pressed) return;
    const removeLanes = () => {
      timed.set(lanes.reduce(withoutLane, timed.motion));
      setPicked([null]);
    };
    const hands: TimingHands = {
      play: head.play,
      removeLanes: lanes.length ? removeLanes : null,
      takeBack: timed.takeBack,
    };
    if (!runKey(timingKeys, hands, e.nativeEvent)) return;
    e.preventDefault();
    e.stopPropagation();
  };
  const clipboard = clipboardOf(timed, lanes, edits, setPicked);
  return (
    <div className="timing" onKeyDown={onKey} {...clipboard}>
      <div className="rule-filter">
        <Toolbar className="line" label={timingWords.playing}>
          <Tool
            icon={head.playing ? "pause" : "go"}
            iconSize={14}
            label={head.playing ? timingWords.stop : timingWords.play}
            title={head.playing ? timingWords.stopSpace : timingWords.playCardSpace}
            onClick={head.play}
          />
          <Tool
            icon="restart"
            iconSize={13}
            label={timingWords.loop}
            on={head.loop}
            onClick={() => head.setLoop(!head.loop)}
          />
        </Toolbar>
        <Form.Select
          className="word"
          aria-label={timingWords.playbackSpeed}
          value={head.rate}
          onChange={(e) => head.setRate(Number(e.target.value))}
        >
          <option value={1}>{timingWords.fullSpeed}</option>
          <option value={0.5}>{timingWords.halfSpeed}</option>
          <option value={0.25}>{timingWords.quarter}</option>
          <option value={0.1}>{timingWords.tenth}</option>
        </Form.Select>
        <SubjectPart
          timed={timed}
          onChange={() => {
            setPicked([null]);
            head.seek(null);
          }}
        />
        <span className="line push">
          <BackPart timed={timed} shown={withBack} onShow={setWithBack} />
          <GiveMenu timed={timed} />
          <SaveMenu timed={timed} />
        </span>
      </div>
      {!timed.rule && <PairNote timed={timed} />}
      {lanes.length > 1 && (
        <div className="rule-chosen">
          <b>{timingWords.lanes(lanes.length)}</b>
          <Cascade timed={timed} names={lanes} />
        </div>
      )}
      <div className="timing-body">
        <Lanes timed={timed} picked={picked} onPick={pick} head={head} withBack={withBack} />
        <CurvePanel key={rowKey(lead)} timed={timed} name={lead} names={lanes} />
      </div>
    </div>
  );
};
