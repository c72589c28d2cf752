import { Button, Dropdown } from "react-bootstrap";
import type { Id } from "#core/basics";
import { traitsOf, valuesOf } from "#core/looks";
import type { Trait } from "#core/project";
import { Check } from "../../../ui/fields/Check";
import { Choices } from "../../../ui/fields/Choices";
import { Icon, Swatch } from "../../../ui/Icon";
import { Menu } from "../../../ui/floating/Menu";
import { useBench, useVarying } from "../../state/context";
import { downOf } from "../../state/grid";
import { wholeGrid } from "../../state/view";
import { stageWords } from "../words";

const ways = [
  { value: "down", words: stageWords.rows },
  { value: "across", words: stageWords.columns },
] as const;

/** Which way a trait goes, and which of its values are shown. */
const TraitWay = ({ trait }: { trait: Trait }) => {
  const piece = useVarying();
  const grid = useBench((s) => s.grid);
  const setGrid = useBench((s) => s.setGrid);
  const down = downOf(piece, grid.down);
  const values = valuesOf(trait);
  const hidden = grid.hidden[trait.id] ?? [];
  const lay = (way: "down" | "across") => {
    const goesDown = (id: Id) => (id === trait.id ? way === "down" : down.has(id));
    const ids = traitsOf(piece).map((t) => t.id);
    setGrid({ ...grid, down: ids.filter(goesDown) });
  };
  const toggle = (value: Id) => {
    const next = hidden.includes(value) ? hidden.filter((v) => v !== value) : [...hidden, value];
    if (next.length < values.length)
      setGrid({ ...grid, hidden: { ...grid.hidden, [trait.id]: next } });
  };
  return (
    <fieldset>
      <legend>
        <Swatch pattern={trait.pattern} />
        <span className="grid-trait">{trait.name}</span>
        <Choices
          label={stageWords.direction(trait.name)}
          value={down.has(trait.id) ? "down" : "across"}
          choices={ways}
          onChoose={lay}
        />
      </legend>
      <div className="grid-values">
        {values.map((v) => (
          <Check
            key={v.id}
            words={v.name}
            checked={!hidden.includes(v.id)}
            onSwitch={() => toggle(v.id)}
          />
        ))}
      </div>
    </fieldset>
  );
};

/** Which variants the stage shows, and which traits go down and which across. */
export const GridMenu = () => {
  const piece = useVarying();
  const hidden = useBench((s) => Object.values(s.grid.hidden).reduce((n, l) => n + l.length, 0));
  const setGrid = useBench((s) => s.setGrid);
  return (
    <Dropdown autoClose="outside" drop="up">
      <Dropdown.Toggle
        variant="tool"
        className={hidden ? "active" : ""}
        aria-label={hidden ? stageWords.cardsHidden(hidden) : stageWords.cards}
        title={stageWords.chooseWhichCardsShow}
      >
        <Icon name="filter" size={14} />
        {hidden ? stageWords.hidden(hidden) : stageWords.cards}
      </Dropdown.Toggle>
      <Menu className="grid-menu">
        {traitsOf(piece).map((t) => (
          <TraitWay key={t.id} trait={t} />
        ))}
        <Button variant="link" size="sm" onClick={() => setGrid(wholeGrid)}>
          {stageWords.resetCards}
        </Button>
      </Menu>
    </Dropdown>
  );
};
