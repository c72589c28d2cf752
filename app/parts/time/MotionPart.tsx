import { tokenValue } from "#core/looks";
import { resolveMotion } from "#core/machine";
import { lengthOf } from "#core/motion";
import { directions, inOrder, motionKinds } from "#core/project";
import type { Motion, MotionValue } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { Pick } from "../../ui/fields/Pick";
import { CurveField, TimeField } from "./TimeField";
import { partsWords } from "../words";

const own = "";

/**
 * How a rule's change is shown over time. `between` screens things can also slide, push and rise.
 */
export const MotionPart = ({
  motion,
  onChange,
  between = false,
}: {
  motion: Motion;
  onChange: (m: Motion) => void;
  between?: boolean;
}) => {
  const project = useDisplayedProject();
  const { tokens } = project;
  const resolved = resolveMotion(project, motion);
  const named = inOrder(tokens).filter((t) => t.type === "motion");
  const moving = between || motionKinds.indexOf(motion.kind) > 2;
  const setToken = (id: string) => {
    const { token: _old, ...rest } = motion;
    const value = id === own ? undefined : (tokenValue(tokens, id) as MotionValue | undefined);
    onChange(
      id === own
        ? rest
        : {
            ...rest,
            ...(value ? { duration: value.duration, easing: value.easing } : {}),
            token: id,
          },
    );
  };
  const said =
    motion.token === undefined
      ? undefined
      : (tokenValue(tokens, motion.token) as MotionValue | undefined);
  return (
    <span className="effect">
      <Pick
        label={partsWords.motion}
        value={motion.kind}
        options={motionKinds.filter((_, i) => i < 3 || moving).map((k) => ({ value: k, words: k }))}
        onPick={(kind) => onChange({ ...motion, kind })}
      />
      {(motion.kind === "slide" || motion.kind === "push") && (
        <Pick
          label={partsWords.direction}
          value={motion.to ?? "left"}
          options={directions.map((d) => ({ value: d, words: d }))}
          onPick={(to) => onChange({ ...motion, to })}
        />
      )}
      {motion.kind !== "cut" && (
        <>
          {(named.length > 0 || motion.token !== undefined) && (
            <Pick
              label={partsWords.motionToken}
              value={motion.token ?? own}
              broken={motion.token !== undefined && !said}
              options={[
                { value: own, words: partsWords.custom },
                ...named.map((t) => ({ value: t.id, words: t.name })),
              ]}
              onPick={setToken}
            />
          )}
          {motion.token !== undefined ? (
            <span className="quiet">{partsWords.msLength(lengthOf(said ?? motion))}</span>
          ) : (
            <>
              <TimeField
                timed={motion}
                shown={resolved}
                part="duration"
                label={partsWords.durationMilliseconds}
                onChange={onChange}
              />
              <CurveField timed={motion} shown={resolved} onChange={onChange} />
            </>
          )}
          {resolved.delay > 0 && (
            <>
              <span>{partsWords.after}</span>
              <TimeField
                timed={motion}
                shown={resolved}
                part="delay"
                label={partsWords.delayMilliseconds}
                onChange={onChange}
              />
            </>
          )}
        </>
      )}
    </span>
  );
};
