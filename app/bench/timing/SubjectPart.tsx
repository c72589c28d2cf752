import { Button, Form } from "react-bootstrap";
import { effectText, ruleText } from "#core/describe";
import { compareTimes } from "#core/edit";
import { isUnused, restingVariant, variantKey, variantName, variantsOf } from "#core/looks";
import type { Variant } from "#core/project";
import { useActive } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { somePair } from "./useTiming";
import type { Timed } from "./useTiming";
import { Tool } from "../../ui/Tool";
import { timingWords } from "./words";

const PAIR = "two variants";
/** Stands between a rule and one of its effects in what is picked. */
const EFFECT = "/";

const VariantPick = ({
  timed,
  label,
  value,
  all,
  onPick,
}: {
  timed: Timed;
  label: string;
  value: Variant;
  all: readonly Variant[];
  onPick: (v: Variant) => void;
}) => (
  <Form.Select
    className="word timing-from"
    aria-label={label}
    value={variantKey(timed.piece, value)}
    onChange={(e) => {
      const found = all.find((v) => variantKey(timed.piece, v) === e.target.value);
      if (found) onPick(found);
    }}
  >
    {all.map((v) => (
      <option key={variantKey(timed.piece, v)} value={variantKey(timed.piece, v)}>
        {variantName(timed.piece, v)}
      </option>
    ))}
  </Form.Select>
);

/**
 * What is timed: a rule, an effect of it with a motion of its own, or the way from one variant to
 * another.
 */
export const SubjectPart = ({ timed, onChange }: { timed: Timed; onChange: () => void }) => {
  const project = useDisplayedProject();
  const { variant } = useActive();
  const { piece, rule, effect } = timed;
  const all = variantsOf(piece).filter(
    (v) => !isUnused(piece, v) || variantKey(piece, v) === variantKey(piece, restingVariant(piece)),
  );
  const pick = (value: string) => {
    const [id = "", own] = value.split(EFFECT);
    if (value !== PAIR)
      timed.choose({ kind: "rule", rule: id, effect: own === undefined ? null : Number(own) });
    else {
      timed.choose({ kind: "pair" });
      if (variantKey(piece, timed.from) === variantKey(piece, timed.to)) {
        const some = somePair(piece, variant, all);
        timed.setPair(some.from, some.to);
      }
    }
    onChange();
  };
  return (
    <>
      <Form.Select
        className="word timing-rule"
        aria-label={timingWords.rule}
        value={rule ? `${rule.id}${effect === null ? "" : `${EFFECT}${effect}`}` : PAIR}
        onChange={(e) => pick(e.target.value)}
      >
        {timed.rules.flatMap((r, i) => [
          <option key={r.id} value={r.id}>
            {i + 1}. {ruleText(project, piece, r)}
          </option>,
          ...r.effects.flatMap((e, k) =>
            e.motion
              ? [
                  <option key={`${r.id} ${k}`} value={`${r.id}${EFFECT}${k}`}>
                    {timingWords.ofIt(effectText(project, piece, e))}
                  </option>,
                ]
              : [],
          ),
        ])}
        {all.length > 1 && <option value={PAIR}>{timingWords.betweenTwoVariantsNo}</option>}
      </Form.Select>
      {rule && timed.starts.length > 1 && (
        <>
          <span>{timingWords.from}</span>
          <VariantPick
            timed={timed}
            label={timingWords.fromWhichVariant}
            value={timed.from}
            all={timed.starts}
            onPick={timed.setFrom}
          />
        </>
      )}
      {!rule && (
        <>
          <span>{timingWords.from}</span>
          <VariantPick
            timed={timed}
            label={timingWords.fromWhichVariant}
            value={timed.from}
            all={all}
            onPick={timed.setFrom}
          />
          <span>{timingWords.to}</span>
          <VariantPick
            timed={timed}
            label={timingWords.whichVariant}
            value={timed.to}
            all={all}
            onPick={timed.setTo}
          />
          <Tool
            size="sm"
            icon="way-back"
            iconSize={13}
            label={timingWords.swap}
            onClick={() => timed.setPair(timed.to, timed.from)}
          />
        </>
      )}
    </>
  );
};

/** The way back from here, and how its time differs. */
export const BackPart = ({
  timed,
  shown,
  onShow,
}: {
  timed: Timed;
  shown: boolean;
  onShow: (shown: boolean) => void;
}) => {
  const project = useDisplayedProject();
  const { back } = timed;
  if (!back)
    return timed.rule?.undo ? (
      <span className="quiet small-text one-line" title={timingWords.revertsWhenHoverPress}>
        {timingWords.revertsWithSameTiming}
      </span>
    ) : null;
  if (back === "same")
    return <span className="quiet small-text one-line">{timingWords.sameRuleAlsoReverses}</span>;
  return (
    <span className="line one-line">
      <label className="small-text" title={timingWords.showReturnTimingBelow}>
        <Form.Check.Input
          checked={shown}
          onChange={(e) => onShow(e.target.checked)}
          aria-label={timingWords.returnTiming}
        />{" "}
      </label>
      <Button
        variant="link"
        size="sm"
        className="small-text"
        title={ruleText(project, timed.piece, back.rule)}
        onClick={() => timed.choose({ kind: "rule", rule: back.rule.id, effect: null })}
      >
        {compareTimes(timed.motion, back.motion)}
      </Button>
    </span>
  );
};
