import { ROOT } from "#core/project";
import { Icon } from "../../ui/Icon";
import { useArranging } from "../state/arranging";
import { useChosen } from "../state/state";

const lines = [
  ["left", "Line up on the left"],
  ["centre", "Line up on the middle across"],
  ["right", "Line up on the right"],
  ["top", "Line up at the top"],
  ["middle", "Line up on the middle down"],
  ["bottom", "Line up at the bottom"],
] as const;

/** Lining up and spacing of what is chosen; a single layer lines up with the box it lies in. */
export const AlignBar = () => {
  const chosen = useChosen().filter((id) => id !== ROOT);
  const arranging = useArranging();
  if (chosen.length === 0) return null;
  return (
    <div className="align-bar" role="toolbar" aria-label="Line up and space">
      {lines.map(([how, words]) => (
        <button
          key={how}
          type="button"
          className="tool"
          title={words}
          aria-label={words}
          onClick={() => arranging.align(how)}
        >
          <Icon name={`align-${how}`} size={15} />
        </button>
      ))}
      {chosen.length > 2 &&
        (["x", "y"] as const).map((axis) => (
          <button
            key={axis}
            type="button"
            className="tool"
            title={axis === "x" ? "Equal gaps across" : "Equal gaps down"}
            aria-label={axis === "x" ? "Equal gaps across" : "Equal gaps down"}
            onClick={() => arranging.distribute(axis)}
          >
            <Icon name={`gaps-${axis}`} size={15} />
          </button>
        ))}
      <button
        type="button"
        className="tool"
        title="Group (Ctrl+G)"
        aria-label="Group"
        onClick={() => arranging.wrap("group")}
      >
        <Icon name="group" size={15} />
      </button>
    </div>
  );
};
