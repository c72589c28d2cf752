import { memo } from "react";
import { Dropdown } from "react-bootstrap";
import { ROOT } from "#core/project";
import { Menu } from "../../../ui/floating/Menu";
import { Icon } from "../../../ui/Icon";
import { Tool } from "../../../ui/Tool";
import { Toolbar } from "../../../ui/focus/Toolbar";
import { useArranging } from "../../commands/arranging";
import { useChosen } from "../../state/context";
import { stageWords } from "../words";

const lines = [
  ["left", stageWords.alignLeft],
  ["centre", stageWords.alignCentreHorizontally],
  ["right", stageWords.alignRight],
  ["top", stageWords.alignTop],
  ["middle", stageWords.alignCentreVertically],
  ["bottom", stageWords.alignBottom],
] as const;

const gaps = [
  ["x", stageWords.equalGapsHorizontally],
  ["y", stageWords.equalGapsVertically],
] as const;

/** The same for one layer, which is lined up more rarely: in a menu, so that its values have room. */
const AlignMenu = () => {
  const arranging = useArranging();
  return (
    <div className="align-bar">
      <Dropdown drop="up">
        <Dropdown.Toggle variant="tool" aria-label={stageWords.align} title={stageWords.align}>
          <Icon name="align-centre" size={15} />
        </Dropdown.Toggle>
        <Menu>
          {lines.map(([how, words]) => (
            <Dropdown.Item key={how} as="button" type="button" onClick={() => arranging.align(how)}>
              <Icon name={`align-${how}`} size={15} /> {words}
            </Dropdown.Item>
          ))}
        </Menu>
      </Dropdown>
    </div>
  );
};

/** Lining up and spacing of what is chosen; a single layer lines up with the box it lies in. */
export const AlignBar = memo(function AlignBar() {
  const chosen = useChosen().filter((id) => id !== ROOT);
  const arranging = useArranging();
  if (chosen.length === 0) return null;
  if (chosen.length === 1) return <AlignMenu />;
  return (
    <Toolbar className="align-bar" label={stageWords.alignDistribute}>
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
        label={stageWords.group}
        title={stageWords.groupCtrlG}
        icon="group"
        iconSize={15}
        onClick={() => arranging.wrap("group")}
      />
    </Toolbar>
  );
});
