import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import type { Id } from "#core/basics";
import { ruleText } from "#core/describe";
import { make, makings, nextMotion } from "#core/edit";
import type { Making } from "#core/edit";
import { boundsIn, unite } from "#core/layout";
import type { Rect } from "#core/layout";
import { ROOT, inOrder } from "#core/project";
import type { Piece } from "#core/project";
import { Menu } from "../../ui/floating/Menu";
import { cardKey } from "../state/active";
import { useActive, useChosen, useCommand, usePiece, useScene } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { rulesWords } from "./words";

/** Layers in the order one reads them: along the side on which they lie further apart. */
export const readingOrder = (ids: readonly Id[], bounds: ReadonlyMap<Id, Rect>): Id[] => {
  const all = unite(ids.flatMap((id) => bounds.get(id) ?? []));
  const at = (id: Id): number => {
    const r = bounds.get(id);
    if (r && all) {
      return all.width >= all.height ? r.x : r.y;
    }
    return 0;
  };
  return [...ids].sort((a, b) => at(a) - at(b));
};

const MOST_SHOWN = 4;

/** The sentences a maker would add, the first few of them. */
const Preview = ({ piece, making }: { piece: Piece; making: Making }) => {
  const project = useDisplayedProject();
  const after: Piece = {
    ...piece,
    traits: { ...piece.traits, ...Object.fromEntries(making.traits.map((t) => [t.id, t])) },
  };
  const more = making.rules.length - MOST_SHOWN;
  return (
    <ul className="make-preview">
      {making.traits.map((t) => (
        <li key={t.id}>
          {rulesWords.newTrait(
            t.name,
            inOrder(t.values)
              .map((v) => v.name)
              .join(", "),
          )}
        </li>
      ))}
      {making.rules.slice(0, MOST_SHOWN).map((r) => (
        <li key={r.id}>{ruleText(project, after, r)}</li>
      ))}
      {more > 0 && <li>{rulesWords.more(more)}</li>}
    </ul>
  );
};

const MakeList = ({ onDone }: { onDone: () => void }) => {
  const command = useCommand();
  const piece = usePiece();
  const active = useActive();
  const chosen = useChosen().filter((id) => id !== ROOT);
  const scene = useScene(cardKey(piece, active.variant));
  const list = makings(
    piece,
    scene ? readingOrder(chosen, boundsIn(scene)) : chosen,
    nextMotion(piece),
  );
  return (
    <>
      {list.length === 0 && <p className="note padded">{rulesWords.nothingUsualLeftMake}</p>}
      {list.map((m) => (
        <Dropdown.Item
          key={`${m.name}`}
          as="button"
          type="button"
          className="make-item"
          onClick={() => {
            command((_, now) => make(now, m));
            onDone();
          }}
        >
          <b>
            {m.name[0]?.toUpperCase()}
            {m.name.slice(1)}
          </b>
          <Preview piece={piece} making={m} />
        </Dropdown.Item>
      ))}
    </>
  );
};

/** What people wire by hand every time, made in one step. */
export const Makers = () => {
  const [open, setOpen] = useState(false);
  return (
    <Dropdown drop="up" show={open} onToggle={setOpen}>
      <Dropdown.Toggle variant="outline-primary" size="sm">
        {rulesWords.make}
      </Dropdown.Toggle>
      <Menu className="make-menu">{open && <MakeList onDone={() => setOpen(false)} />}</Menu>
    </Dropdown>
  );
};
