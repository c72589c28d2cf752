import { memo } from "react";
import type { MouseEvent } from "react";
import { Button } from "react-bootstrap";
import { nameVariant } from "#core/edit";
import { restingName, restingVariant, variantKey, variantName } from "#core/looks";
import type { Variant } from "#core/project";
import { Icon } from "../../../ui/Icon";
import { NameField } from "../../../ui/fields/NameField";
import { Tool } from "../../../ui/Tool";
import { chooseCard } from "../../state/active";
import { useBench, useBenchStore, useCommand, useVarying } from "../../state/context";
import { stageWords } from "../words";

interface Props {
  readonly variant: Variant;
  /** one of the cards chosen */
  readonly pressed: boolean;
  /** the next edit reaches it */
  readonly lit: boolean;
  readonly several: boolean;
  readonly pinned: boolean;
  readonly onMenu: (e: MouseEvent, variant: Variant) => void;
}

/** The name of a card, to choose it by, and what there is to say about it. */
export const CardHead = memo(function CardHead(props: Props) {
  const { variant, pressed, lit, several, pinned, onMenu } = props;
  const command = useCommand();
  const store = useBenchStore();
  const piece = useVarying();
  const key = variantKey(piece, variant);
  const name = variantName(piece, variant);
  const naming = useBench((s) => s.renaming === `variant ${key}`);
  const resting = variantKey(piece, restingVariant(piece)) === key;
  const named = (text: string | null) => {
    store.getState().rename(null);
    if (text !== null) command((_, now) => nameVariant(now, variant, text));
  };
  return (
    <header onContextMenu={(e) => onMenu(e, variant)}>
      {pinned && (
        <span className="quiet" title={stageWords.pinned}>
          <Icon name="pin" size={12} />
        </span>
      )}
      {naming ? (
        <NameField value={name} label={stageWords.variantName2} onDone={named} />
      ) : (
        <Button
          variant="name"
          className="card-name"
          aria-pressed={pressed}
          title={stageWords.shiftCtrlSelectSeveral}
          onDoubleClick={() => {
            if (several) store.getState().rename(`variant ${key}`);
          }}
          onClick={(e) =>
            chooseCard(piece, store.getState(), variant, e.shiftKey || e.ctrlKey || e.metaKey)
          }
        >
          {name}
        </Button>
      )}
      {resting && several && name !== restingName && (
        <span className="quiet">{stageWords.default}</span>
      )}
      {lit && several && (
        <span className="lands" title={stageWords.nextEditAppliesHere}>
          {stageWords.editsHere}
        </span>
      )}
      <Tool
        size="sm"
        className={`card-more${lit && several ? "" : " alone"}`}
        label={stageWords.actionsVariant(name)}
        onClick={(e) => onMenu(e, variant)}
      >
        …
      </Tool>
    </header>
  );
});
