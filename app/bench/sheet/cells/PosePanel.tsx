import type { KeyboardEvent } from "react";
import { Button, ListGroup } from "react-bootstrap";
import { findBox } from "#core/layout";
import { variantsOf } from "#core/looks";
import { outOf } from "#core/motion";
import { ROOT } from "#core/project";
import { HERE, namedPoses } from "#core/properties";
import type { AwayPose, SpecifiedValue, Value } from "#core/properties";
import { NumberField } from "../../../ui/fields/NumberField";
import { Pick } from "../../../ui/fields/Pick";
import { Panel } from "../../../ui/floating/Panel";
import { cardKey } from "../../state/active";
import { useBench, usePiece, useWorkpiece } from "../../state/context";
import type { Posing } from "../../state/view";
import type { Workpiece } from "../../state/workpiece";
import { sheetWords } from "../words";

interface Props {
  readonly of: Posing["key"];
  readonly label: string;
  /** words that stand for a pose */
  readonly words: readonly string[];
  readonly value: Value | undefined;
  readonly onLive: (said: SpecifiedValue) => void;
  readonly onDone: () => void;
  readonly onKeyDown: (e: KeyboardEvent) => void;
}

const isPose = (value: Value | undefined): value is AwayPose =>
  typeof value === "object" && "opacity" in value;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The numbers of a pose: what each changes, and between what. */
const numbers = [
  { key: "x", min: -10_000, max: 10_000, step: 1 },
  { key: "y", min: -10_000, max: 10_000, step: 1 },
  { key: "rotation", min: -3600, max: 3600, step: 1 },
  { key: "opacity", min: 0, max: 1, step: 0.05 },
  { key: "blur", min: 0, max: 500, step: 1 },
] as const;

/** Coming out of the middle of another layer. */
const OutOf = ({ onLive }: Pick<Props, "onLive">) => {
  const workpiece = useWorkpiece();
  const [lead = ROOT] = useBench((s) => s.chosen);
  const layers = usePiece((p) => p.layers);
  const others = Object.values(layers).filter((l) => l.id !== lead && l.id !== ROOT);
  if (others.length === 0) return null;
  const pick = (other: string) => {
    // in a variant that shows both
    for (const scene of workpiece.scenes.all) {
      const pose = outOf(scene, lead, other);
      if (!pose) continue;
      onLive(pose);
      return;
    }
    workpiece.state.setProblem(sheetWords.noVariantStageShows);
  };
  return (
    <div className="pose-line">
      <span>{sheetWords.popOut}</span>
      <Pick
        label={sheetWords.popOut}
        value=""
        options={[
          { value: "", words: sheetWords.chooseLayer },
          ...others.map((l) => ({ value: l.id, words: l.name })),
        ]}
        onPick={pick}
      />
    </div>
  );
};

/** Looks at a card that shows a layer; false where none does. */
const lookWhereShown = ({ scenes, piece, state, scene }: Workpiece, layer: string): boolean => {
  if (!piece) return false;
  if (scene && findBox(scene, layer)) return true;
  const shown = variantsOf(piece).find((v) => {
    const placed = scenes.get(cardKey(piece, v));
    return placed !== null && findBox(placed, layer) !== null;
  });
  if (shown) state.look(shown);
  return shown !== undefined;
};

/** The pose a layer comes from or goes to: by name, out of another layer, or in numbers. */
export const PosePanel = ({ of, label, words, value, onLive, onDone, onKeyDown }: Props) => {
  // a fade has no pose of its own, but one that looks the same
  const pose = isPose(value) ? value : { ...HERE, opacity: 0 };
  const offers: readonly (readonly [string, SpecifiedValue])[] = [
    ...words.map((w) => [w, w] as const),
    ...Object.entries(namedPoses),
  ];
  const workpiece = useWorkpiece();
  const onStage = () => {
    const { state, piece } = workpiece;
    const [layer = ROOT] = state.chosen;
    onDone();
    if (piece && lookWhereShown(workpiece, layer)) state.pose({ layer, key: of });
    else state.setProblem(sheetWords.noVariantShowsIt);
  };
  const set = (parts: Partial<AwayPose>) => onLive({ ...pose, ...parts });
  return (
    <Panel label={label} width={344} height={352} onKeyDown={onKeyDown}>
      <div className="panel-body pose-panel">
        <ListGroup>
          {offers.map(([name, is]) => (
            <ListGroup.Item key={name} action active={same(is, value)} onClick={() => onLive(is)}>
              {name}
            </ListGroup.Item>
          ))}
        </ListGroup>
        <div>
          {numbers.map(({ key, ...range }) => (
            <div key={key} className="pose-line">
              <span>{sheetWords.poseParts[key]}</span>
              <NumberField
                label={`${label}: ${sheetWords.poseParts[key]}`}
                value={pose[key]}
                {...range}
                onChange={(n) => set({ [key]: n })}
              />
            </div>
          ))}
          <div className="pose-line">
            <span>{sheetWords.poseParts.scale}</span>
            <NumberField
              label={`${label}: ${sheetWords.poseParts.scale}`}
              value={pose.scale[0]}
              min={-100}
              max={100}
              step={0.05}
              onChange={(n) => set({ scale: [n, n] })}
            />
          </div>
          <OutOf onLive={onLive} />
        </div>
      </div>
      <div className="panel-foot">
        <Button size="sm" variant="outline-primary" onClick={onStage}>
          {sheetWords.setOnTheStage}
        </Button>
        <Button size="sm" onClick={onDone}>
          {sheetWords.done}
        </Button>
      </div>
    </Panel>
  );
};
