import { useState } from "react";
import type { FocusEvent } from "react";
import { Form } from "react-bootstrap";
import { easingText } from "#core/describe";
import { nearToken, withPose, withValueAt, withoutPose } from "#core/edit";
import type { NearToken } from "#core/edit";
import { tokenValueOf, tokensFor } from "#core/looks";
import { cssWords, lengthOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import { inOrder } from "#core/project";
import type { Easing, Lane, Pose, Project } from "#core/project";
import { isBound, parseValue, property, showValue } from "#core/properties";
import type { SpecifiedValue } from "#core/properties";
import { NearOffer } from "../../parts/NearOffer";
import { TokenPick } from "../../parts/TokenPick";
import { useDisplayedProject } from "../../session/displayed";
import { Pick } from "../../ui/fields/Pick";
import { Tool } from "../../ui/Tool";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

const OTHER = "other";
const TOKEN = "token ";

interface CurveProps {
  readonly pose: Pose;
  readonly label: string;
  readonly onPick: (pose: Pose) => void;
}

/** The curve that leads to a keyframe: one of CSS, one of the project's, or what it is. */
const PoseCurve = ({ pose, label, onPick }: CurveProps) => {
  const tokens = useDisplayedProject((p) => p.tokens);
  const curves = inOrder(tokens).filter((t) => t.type === "curve");
  const own = typeof pose.easing === "string" ? pose.easing : OTHER;
  const pick = (choice: string) => {
    const { token: _old, ...rest } = pose;
    const token = curves.find((t) => TOKEN + t.id === choice);
    const easing = token ? tokenValueOf(tokens, "curve", token.id) : undefined;
    if (token) onPick({ ...rest, easing: easing ?? pose.easing, token: token.id });
    else onPick({ ...rest, easing: choice === OTHER ? pose.easing : (choice as Easing) });
  };
  return (
    <Pick
      label={label}
      value={pose.token === undefined ? own : TOKEN + pose.token}
      options={[
        ...(own === OTHER ? [{ value: OTHER, words: easingText(pose.easing) }] : []),
        ...cssWords.map((w) => ({ value: w, words: w })),
        ...curves.map((t) => ({ value: TOKEN + t.id, words: t.name })),
      ]}
      onPick={pick}
    />
  );
};

interface ValueProps {
  readonly name: string;
  readonly pose: Pose;
  readonly label: string;
  readonly onSay: (said: SpecifiedValue) => void;
}

/** The value of a keyframe, typed as in the sheet. What cannot be read is put back. */
const TypedValue = ({ name, pose, label, onSay }: ValueProps) => {
  const [text, setText] = useState<string | null>(null);
  const type = property(name)?.type;
  const read = type && text !== null ? parseValue(type, text, pose.value) : null;
  const typed = read?.ok ? read.value : undefined;
  const keep = () => {
    setText(null);
    if (typed !== undefined && showValue(typed) !== showValue(pose.value)) onSay(typed);
  };
  // the token that is offered can be gone to, by keyboard too
  const leave = (e: FocusEvent<HTMLElement>) => {
    if (!e.currentTarget.contains(e.relatedTarget)) keep();
  };
  const near = (project: Project): NearToken | null =>
    typed === undefined || isBound(typed) ? null : nearToken(project, name, typed);
  const shown = text ?? showValue(pose.value);
  return (
    <span className="typed-number" onBlur={leave}>
      <Form.Control
        className="word number mono"
        aria-label={label}
        value={shown}
        htmlSize={Math.min(9, Math.max(2, shown.length))}
        spellCheck={false}
        onFocus={(e) => e.target.select()}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter") keep();
          else if (e.key === "Escape") setText(null);
        }}
      />
      <NearOffer
        className="near-number"
        find={near}
        onPick={(token) => {
          setText(null);
          onSay({ token });
        }}
      />
    </span>
  );
};

/** The value of a keyframe: said there, or by a token, which then has a line of its own. */
const PoseValue = (props: ValueProps) => {
  const { name, pose, label, onSay } = props;
  const entry = property(name);
  const pick = (
    <TokenPick
      label={label}
      types={entry ? tokensFor(entry) : []}
      followed={pose.valueToken}
      onPick={(token) => onSay(token === null ? pose.value : { token })}
    />
  );
  if (pose.valueToken === undefined)
    return (
      <span className="measured">
        <TypedValue {...props} />
        {pick}
      </span>
    );
  return (
    <>
      <span className="quiet mono">{showValue(pose.value)}</span>
      <span className="pose-token">{pick}</span>
    </>
  );
};

interface Props {
  readonly timed: Timed;
  readonly name: LaneName & { readonly key: string };
  readonly lane: Lane;
}

/** The values a lane goes through on its way, each with the curve that leads to it. */
export const Poses = ({ timed, name, lane }: Props) => {
  const project = useDisplayedProject();
  const { motion } = timed;
  const say = (pose: Pose, i: number) => (said: SpecifiedValue) =>
    timed.set(withValueAt(project, motion, name, pose.at, said), `pose-value ${rowKey(name)} ${i}`);
  return (
    <ol className="poses" aria-label={timingWords.keyframes}>
      {lane.poses?.map((pose, i) => (
        <li key={i} className="small-text">
          <span>{timingWords.msAt(pose.at * lengthOf(lane))}</span>
          <PoseValue
            name={name.key}
            pose={pose}
            label={timingWords.valueKeyframe(i)}
            onSay={say(pose, i)}
          />
          <PoseCurve
            pose={pose}
            label={timingWords.curveKeyframe(i)}
            onPick={(next) => timed.set(withPose(motion, name, next))}
          />
          <Tool
            size="sm"
            icon="close"
            iconSize={11}
            label={timingWords.removeKeyframe(i)}
            onClick={() => timed.set(withoutPose(motion, name, i))}
          />
        </li>
      ))}
    </ol>
  );
};
