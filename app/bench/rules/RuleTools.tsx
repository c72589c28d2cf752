import { addWayBack, duplicateRule, moveRule, removeRule, wayBack } from "#core/edit";
import type { Rule } from "#core/project";
import { Tool } from "../../ui/Tool";
import { Toolbar } from "../../ui/focus/Toolbar";
import { useCommand, usePiece } from "../state/context";
import { rulesWords } from "./words";

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
    <Toolbar className="rule-tools" label={rulesWords.toolsOfRule(place)}>
      {back && (
        <Tool
          size="sm"
          icon="way-back"
          iconSize={13}
          label={rulesWords.addReturnRuleRule(place)}
          title={rulesWords.addRuleReversesOne}
          onClick={() => command((_, piece) => addWayBack(piece, rule))}
        />
      )}
      <Tool
        size="sm"
        icon="up"
        iconSize={13}
        label={rulesWords.moveRuleUp(place)}
        onClick={() => command((_, piece) => moveRule(piece, rule.id, -1))}
      />
      <Tool
        size="sm"
        icon="down"
        iconSize={13}
        label={rulesWords.moveRuleDown(place)}
        onClick={() => command((_, piece) => moveRule(piece, rule.id, 1))}
      />
      <Tool
        size="sm"
        icon="copy"
        iconSize={13}
        label={rulesWords.duplicateRule(place)}
        onClick={() => command((_, piece) => duplicateRule(piece, rule).change)}
      />
      <Tool
        size="sm"
        icon="bin"
        iconSize={13}
        label={rulesWords.deleteRule(place)}
        onClick={() => command((_, piece) => removeRule(piece, rule.id))}
      />
    </Toolbar>
  );
};
