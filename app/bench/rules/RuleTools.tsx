import { addWayBack, duplicateRule, moveRule, removeRule, wayBack } from "#core/edit";
import type { Rule } from "#core/project";
import { Tool } from "../../ui/Tool";
import { useCommand, usePiece } from "../state/context";

interface Props {
  readonly rule: Rule;
  /** counted from 1 */
  readonly place: number;
}

/** What can be done with a rule as a whole. */
export const RuleTools = ({ rule, place }: Props) => {
  const command = useCommand();
  const back = usePiece((piece) => wayBack(piece, rule) !== null);
  return (
    <span className="rule-tools">
      {back && (
        <Tool
          size="sm"
          icon="way-back"
          iconSize={13}
          label={`Add the way back of rule ${place}`}
          title="Add the rule that leads back from here"
          onClick={() => command((_, piece) => addWayBack(piece, rule))}
        />
      )}
      <Tool
        size="sm"
        icon="up"
        iconSize={13}
        label={`Move rule ${place} up`}
        onClick={() => command((_, piece) => moveRule(piece, rule.id, -1))}
      />
      <Tool
        size="sm"
        icon="down"
        iconSize={13}
        label={`Move rule ${place} down`}
        onClick={() => command((_, piece) => moveRule(piece, rule.id, 1))}
      />
      <Tool
        size="sm"
        icon="copy"
        iconSize={13}
        label={`Duplicate rule ${place}`}
        onClick={() => command((_, piece) => duplicateRule(piece, rule).change)}
      />
      <Tool
        size="sm"
        icon="bin"
        iconSize={13}
        label={`Remove rule ${place}`}
        onClick={() => command((_, piece) => removeRule(piece, rule.id))}
      />
    </span>
  );
};
