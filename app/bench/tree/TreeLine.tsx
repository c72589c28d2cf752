import { useDraggable, useDroppable } from "@dnd-kit/core";
import { memo } from "react";
import type { MouseEvent } from "react";
import type { Id } from "#core/basics";
import { ROOT } from "#core/project";
import { Icon } from "../../ui/Icon";
import { NameField } from "../../ui/fields/NameField";
import { countRender } from "../../ui/renders";
import type { Landing, Line } from "./lines";
import { treeWords } from "./words";

/** What one can do with a line. */
export interface LineActions {
  readonly choose: (id: Id, e: MouseEvent) => void;
  readonly rename: (id: Id) => void;
  readonly named: (id: Id, name: string | null) => void;
  readonly twist: (id: Id) => void;
  readonly hide: (id: Id) => void;
  readonly lock: (id: Id) => void;
  readonly menu: (id: Id, e: MouseEvent) => void;
}

interface MarkProps {
  readonly icon: string;
  readonly set: boolean;
  readonly label: string;
  readonly title: string;
  readonly onPress: () => void;
}

/**
 * A mark at the end of a line. It is no stop of the Tab key, as nothing in a tree is: its keys and
 * menu do the same.
 */
const Mark = ({ icon, set, label, title, onPress }: MarkProps) => (
  <button
    type="button"
    tabIndex={-1}
    className={`tree-mark${set ? " set" : ""}`}
    aria-label={label}
    title={title}
    onPointerDown={(e) => e.stopPropagation()}
    onClick={(e) => {
      e.stopPropagation();
      onPress();
    }}
  >
    <Icon name={icon} size={13} />
  </button>
);

interface Props {
  readonly line: Line;
  readonly on: boolean;
  readonly lead: boolean;
  readonly hidden: boolean;
  readonly shut: boolean;
  readonly renaming: boolean;
  readonly landing: Landing["where"] | null;
  readonly actions: LineActions;
}

const Twist = ({ line, shut, actions }: Pick<Props, "line" | "shut" | "actions">) =>
  line.parent ? (
    <span
      className={`twist${shut ? " shut" : ""}`}
      aria-hidden="true"
      onClick={(e) => {
        e.stopPropagation();
        actions.twist(line.layer.id);
      }}
    >
      <Icon name="down" size={12} />
    </span>
  ) : (
    <span className="twist" aria-hidden="true" />
  );

const Marks = ({
  line: { layer },
  hidden,
  actions,
}: Pick<Props, "line" | "hidden" | "actions">) => (
  <span className="tree-marks">
    <Mark
      icon="lock"
      set={layer.locked === true}
      label={layer.locked ? treeWords.unlock(layer.name) : treeWords.lock(layer.name)}
      title={layer.locked ? treeWords.lockedCannotBeSelected : treeWords.lockInTreeLine}
      onPress={() => actions.lock(layer.id)}
    />
    <Mark
      icon={hidden ? "hidden" : "seen"}
      set={hidden}
      label={hidden ? treeWords.show(layer.name) : treeWords.hide(layer.name)}
      title={hidden ? treeWords.hiddenVariantClickShow : treeWords.hideCurrentScope}
      onPress={() => actions.hide(layer.id)}
    />
  </span>
);

/** One layer in the tree. */
export const TreeLine = memo(function TreeLine(props: Props) {
  countRender("tree line");
  const { line, on, lead, hidden, shut, renaming, landing, actions } = props;
  const { layer, depth, parent } = line;
  const drag = useDraggable({ id: layer.id, disabled: layer.id === ROOT || renaming });
  const drop = useDroppable({ id: layer.id });
  const classes = [on && "on", hidden && "hidden-layer", landing && `land-${landing}`];
  return (
    <div
      ref={(e) => {
        drag.setNodeRef(e);
        drop.setNodeRef(e);
      }}
      role="treeitem"
      aria-level={depth + 1}
      aria-selected={on}
      aria-expanded={parent ? !shut : undefined}
      aria-label={layer.name}
      tabIndex={lead ? 0 : -1}
      data-line={layer.id}
      className={["tree-line", ...classes].filter(Boolean).join(" ")}
      style={{ paddingLeft: 4 + depth * 14 }}
      {...(drag.listeners ?? {})}
      onClick={(e) => actions.choose(layer.id, e)}
      onDoubleClick={() => actions.rename(layer.id)}
      onContextMenu={(e) => actions.menu(layer.id, e)}
    >
      <Twist line={line} shut={shut} actions={actions} />
      <span className="kind">
        <Icon name={layer.kind} size={14} />
      </span>
      {renaming ? (
        <NameField
          value={layer.name}
          label={treeWords.layerName}
          onDone={(name) => actions.named(layer.id, name)}
        />
      ) : (
        <span className="tree-name">{layer.name}</span>
      )}
      {layer.id !== ROOT && !renaming && <Marks line={line} hidden={hidden} actions={actions} />}
    </div>
  );
});
