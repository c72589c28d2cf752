import { memo } from "react";
import { traitsOf } from "#core/looks";
import { FormAnswer } from "../../parts/FormAnswer";
import { partsWords } from "../../parts/words";
import { Choices } from "../../ui/fields/Choices";
import { Pick } from "../../ui/fields/Pick";
import { Tool } from "../../ui/Tool";
import { Toolbar } from "../../ui/focus/Toolbar";
import { useBench, useVarying } from "../state/context";
import { useWatched } from "../../ui/watched";
import type { TryRun } from "./run";
import { tryWords } from "./words";

const speeds = [
  { value: "1", words: tryWords.full },
  { value: "0.5", words: tryWords.half },
  { value: "0.25", words: tryWords.quarter },
  { value: "0.1", words: tryWords.tenth },
];

const grounds = ["paper", "white", "grey", "night"] as const;
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
      <h2 className="caption">{tryWords.try(elsewhere)}</h2>
      <Pick
        label={tryWords.background}
        title={tryWords.backgroundBehindPiece}
        value={ground}
        options={grounds.map((g) => ({ value: g, words: tryWords.on(g) }))}
        onPick={onGround}
      />
      <span className="quiet small-text">{Math.round(run.scale * 100)} %</span>
      <Toolbar className="line" label={tryWords.runningPiece}>
        {traitsOf(piece).length > 0 && (
          <Tool
            icon="instance"
            iconSize={14}
            label={tryWords.sideBySide}
            title={tryWords.trySeveralSideSide}
            on={beside}
            onClick={() => onBeside(!beside)}
          />
        )}
        <Tool
          icon="record"
          iconSize={13}
          label={run.recording ? tryWords.stop : tryWords.record}
          className={run.recording ? "recording" : ""}
          aria-pressed={run.recording}
          title={run.recording ? tryWords.stopSaveAsRehearsal : tryWords.recordRehearsal}
          onClick={() => run.record()}
        />
        <Tool
          icon="restart"
          iconSize={14}
          label={tryWords.restart}
          title={tryWords.restartR}
          onClick={() => restart()}
        />
      </Toolbar>
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
        label={tryWords.inputDevice}
        value={touch ? "touch" : "mouse"}
        choices={[
          {
            value: "mouse",
            words: tryWords.mouse,
            title: tryWords.pressTabUseKeyboard,
          },
          {
            value: "touch",
            words: tryWords.touch,
            title: tryWords.touchInputWithoutHover,
          },
        ]}
        onChoose={(way) => run.drive({ touch: way === "touch" })}
      />
      <Pick
        label={tryWords.playbackSpeed}
        title={tryWords.playbackSpeed}
        value={String(rate)}
        options={speeds}
        onPick={(r) => run.drive({ rate: Number(r) })}
      />
      <Toolbar className="line" label={tryWords.time}>
        <Tool
          icon={paused ? "go" : "pause"}
          iconSize={14}
          label={paused ? tryWords.resume : tryWords.pause}
          onClick={() => run.drive({ paused: !paused })}
        />
        <Tool
          icon="step"
          iconSize={14}
          label={tryWords.stepInTryTools}
          title={tryWords.advanceSWhilePaused}
          disabled={!paused}
          onClick={() => run.step()}
        />
        <Tool
          icon="calm"
          iconSize={14}
          label={tryWords.reducedMotion}
          title={tryWords.previewPeopleWhoAsk}
          on={calm}
          onClick={() => run.drive({ calm: !calm })}
        />
      </Toolbar>
    </div>
  );
});

/** How forms that are sent are answered. */
export const TryAnswer = (props: { readonly run: TryRun }) => {
  const run = useWatched(props.run);
  return (
    <div className="try-how">
      <span className="quiet">{partsWords.submittedForms}</span>
      <FormAnswer well={run.well} onChange={(well) => run.answer(well)} />
    </div>
  );
};
