import { memo } from "react";
import { traitsOf } from "#core/looks";
import { Choices } from "../../ui/Choices";
import { Pick } from "../../ui/Pick";
import { Tool } from "../../ui/Tool";
import { useBench, useVarying } from "../state/context";
import { useWatched } from "../state/watched";
import type { TryRun } from "./run";

const speeds = [
  { value: "1", words: "full" },
  { value: "0.5", words: "half" },
  { value: "0.25", words: "quarter" },
  { value: "0.1", words: "tenth" },
];

export const grounds = ["paper", "white", "grey", "night"] as const;
export type Ground = (typeof grounds)[number];

interface HeadProps {
  readonly run: TryRun;
  /** what is shown, where it is another piece than the one on the bench */
  readonly elsewhere: string | null;
  readonly ground: Ground;
  readonly onGround: (ground: Ground) => void;
  readonly beside: boolean;
  readonly onBeside: (on: boolean) => void;
}

/** What Try shows, on what, and recording. */
export const TryHead = memo(function TryHead(props: HeadProps) {
  const { elsewhere, ground, onGround, beside, onBeside } = props;
  const run = useWatched(props.run);
  const piece = useVarying();
  const restart = useBench((s) => s.restart);
  return (
    <div className="side-head">
      <h2 className="caption">Try{elsewhere !== null && `: ${elsewhere}`}</h2>
      <Pick
        label="Ground"
        title="What the piece lies on"
        value={ground}
        options={grounds.map((g) => ({ value: g, words: `on ${g}` }))}
        onPick={onGround}
      />
      <span className="quiet small-text">{Math.round(run.scale * 100)} %</span>
      {traitsOf(piece).length > 0 && (
        <Tool
          icon="instance"
          iconSize={14}
          label="Side by side"
          title="Try copies side by side that begin in the chosen cards, or in each value of the first trait"
          on={beside}
          onClick={() => onBeside(!beside)}
        />
      )}
      <Tool
        icon="record"
        iconSize={13}
        label={run.recording ? "Stop" : "Record"}
        className={run.recording ? "recording" : ""}
        aria-pressed={run.recording}
        title={
          run.recording
            ? "Stop and keep what was done as a rehearsal"
            : "Record what you do as a rehearsal"
        }
        onClick={() => run.record()}
      />
      <Tool
        icon="restart"
        iconSize={14}
        label="Restart"
        title="Restart (R)"
        onClick={() => restart()}
      />
    </div>
  );
});

/** With what it is tried, how fast, and how calmly. */
export const TryHow = memo(function TryHow(props: { readonly run: TryRun }) {
  const run = useWatched(props.run);
  const { rate, paused, touch, calm } = run.pace;
  return (
    <div className="try-how">
      <Choices
        label="Tried with"
        value={touch ? "touch" : "mouse"}
        choices={[
          {
            value: "mouse",
            words: "Mouse",
            title: "Tab into the piece to try it by keyboard",
          },
          {
            value: "touch",
            words: "Touch",
            title: "The pointer is a finger: nothing is hovered",
          },
        ]}
        onChoose={(way) => run.drive({ touch: way === "touch" })}
      />
      <Pick
        label="Speed"
        title="How fast time goes"
        value={String(rate)}
        options={speeds}
        onPick={(r) => run.drive({ rate: Number(r) })}
      />
      <Tool
        icon={paused ? "go" : "pause"}
        iconSize={14}
        label={paused ? "Go on" : "Pause"}
        onClick={() => run.drive({ paused: !paused })}
      />
      <Tool
        icon="step"
        iconSize={14}
        label="Step"
        title="A sixtieth of a second further, while paused"
        disabled={!paused}
        onClick={() => run.step()}
      />
      <Tool
        icon="calm"
        iconSize={14}
        label="Less motion"
        title="As for people whose system asks for less motion: changes only fade"
        on={calm}
        onClick={() => run.drive({ calm: !calm })}
      />
    </div>
  );
});

/** How forms that are sent are answered: the stand-in of whatever takes them. */
export const TryAnswer = (props: { readonly run: TryRun }) => {
  const run = useWatched(props.run);
  return (
    <div className="try-how">
      <span className="quiet">Forms that are sent</span>
      <Choices
        label="Forms that are sent"
        value={run.well ? "succeed" : "fail"}
        choices={[
          { value: "succeed", words: "succeed" },
          { value: "fail", words: "fail" },
        ]}
        onChoose={(answer) => run.answer(answer === "succeed")}
      />
    </div>
  );
};
