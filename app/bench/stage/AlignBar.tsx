import { memo } from "react";
import { ButtonToolbar } from "react-bootstrap";
import { ROOT } from "#core/project";
import { Tool } from "../../ui/Tool";
import { useArranging } from "../commands/arranging";
import { useChosen } from "../state/context";

const lines = [
  ["left", "Line up on the left"],
  ["centre", "Line up on the middle across"],
  ["right", "Line up on the right"],
  ["top", "Line up at the top"],
  ["middle", "Line up on the middle down"],
  ["bottom", "Line up at the bottom"],
] as const;

const gaps = [
  ["x", "Equal gaps across"],
  ["y", "Equal gaps down"],
] as const;

/** Lining up and spacing of what is chosen; a single layer lines up with the box it lies in. */
export const AlignBar = memo(function AlignBar() {
  const chosen = useChosen().filter((id) => id !== ROOT);
  const arranging = useArranging();
  if (chosen.length === 0) return null;
  return (
    <ButtonToolbar className="align-bar" aria-label="Line up and space">
      {lines.map(([how, words]) => (
        <Tool
          key={how}
          label={words}
          icon={`align-${how}`}
          iconSize={15}
          onClick={() => arranging.align(how)}
        />
      ))}
      {chosen.length > 2 &&
        gaps.map(([axis, words]) => (
          <Tool
            key={axis}
            label={words}
            icon={`gaps-${axis}`}
            iconSize={15}
            onClick={() => arranging.distribute(axis)}
          />
        ))}
      <Tool
        label="Group"
        title="Group (Ctrl+G)"
        icon="group"
        iconSize={15}
        onClick={() => arranging.wrap("group")}
      />
    </ButtonToolbar>
  );
});
