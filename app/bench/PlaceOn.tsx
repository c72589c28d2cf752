import { Dropdown } from "react-bootstrap";
import { useNavigate } from "react-router";
import { useShallow } from "zustand/react/shallow";
import type { Id } from "#core/basics";
import { piecesOf } from "#core/edit";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { Menu } from "../ui/floating/Menu";
import { useInserter } from "./commands/inserting";
import { useBenchMemory } from "./state/memory";
import { benchWords } from "./words";

/** Places the component on a screen, a new one first, and goes there. */
export const PlaceOn = () => {
  const session = useSession();
  const insert = useInserter();
  const memory = useBenchMemory();
  const navigate = useNavigate();
  const screens = useDisplayedProject(useShallow((p) => piecesOf(p, "screen")));
  const place = (screen: Id | null): void => {
    const placed = insert.onScreen(screen);
    if (!placed) return;
    memory.choose(placed.screen, placed.copy);
    void navigate(`${session.home}/pieces/${placed.screen}`);
  };
  return (
    <Dropdown align="end">
      <Dropdown.Toggle variant="tool">{benchWords.placeOnScreen}</Dropdown.Toggle>
      <Menu>
        <Dropdown.Item as="button" type="button" onClick={() => place(null)}>
          {benchWords.newScreen}
        </Dropdown.Item>
        {screens.length > 0 && <Dropdown.Divider />}
        {screens.map((s) => (
          <Dropdown.Item key={s.id} as="button" type="button" onClick={() => place(s.id)}>
            {s.name}
          </Dropdown.Item>
        ))}
      </Menu>
    </Dropdown>
  );
};
