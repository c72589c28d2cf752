import { memo, useCallback, useState } from "react";
import { Dropdown, Form } from "react-bootstrap";
import type { Id } from "#core/basics";
import { addTrait, moveTrait } from "#core/edit";
import { variantsOf } from "#core/looks";
import { inOrder } from "#core/project";
import { afterMenu } from "../../ui/floating/afterMenu";
import { Icon } from "../../ui/Icon";
import { Menu } from "../../ui/floating/Menu";
import { countRender } from "../../ui/renders";
import { SortList } from "../../ui/SortList";
import { useVarying, useWorkpiece } from "../state/context";
import { quickStarts, readTrait } from "./quickStarts";
import { TraitRow } from "./TraitRow";
import { traitsWords } from "./words";

interface ListProps {
  readonly onAdd: (name: string, values: readonly string[]) => void;
  readonly onClose: () => void;
}

/** A trait by its values, typed in one go. */
const ListField = ({ onAdd, onClose }: ListProps) => {
  const [text, setText] = useState("");
  const { name, values } = readTrait(text);
  return (
    <Form
      className="trait-list"
      onSubmit={(e) => {
        e.preventDefault();
        if (values.length > 1) onAdd(name, values);
      }}
    >
      <Form.Control
        size="sm"
        autoFocus
        aria-label={traitsWords.traitNameValues}
        placeholder={traitsWords.deckCarSaloonSun}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === "Escape") onClose();
        }}
        onBlur={() => {
          if (text === "") onClose();
        }}
      />
      <Form.Text>
        {values.length > 1
          ? traitsWords.valuesPressEnterAdd(values.length)
          : traitsWords.separateValuesWithCommas}
      </Form.Text>
    </Form>
  );
};

interface NewProps {
  readonly onAdd: ListProps["onAdd"];
  readonly onList: () => void;
}

const NewTrait = ({ onAdd, onList }: NewProps) => (
  <Dropdown align="end" drop="up">
    <Dropdown.Toggle
      variant="tool"
      size="sm"
      aria-label={traitsWords.addTrait}
      title={traitsWords.addTrait}
    >
      <Icon name="plus" size={14} />
    </Dropdown.Toggle>
    <Menu>
      <Dropdown.Item as="button" type="button" onClick={() => afterMenu(onList)}>
        {traitsWords.typeListValues}
      </Dropdown.Item>
      <Dropdown.Divider />
      {quickStarts.map((q) => (
        <Dropdown.Item
          key={q.name + q.values.length}
          as="button"
          type="button"
          onClick={() => onAdd(q.name, q.values)}
        >
          {traitsWords.nameAndValues(q.name, q.values.join(", "))}
        </Dropdown.Item>
      ))}
    </Menu>
  </Dropdown>
);

/** The dimensions along which the piece varies. */
export const Traits = memo(function Traits() {
  countRender("traits");
  const workpiece = useWorkpiece();
  const piece = useVarying();
  const [fresh, setFresh] = useState<Id | null>(null);
  const [listing, setListing] = useState(false);
  const named = useCallback(() => setFresh(null), []);
  const add = (name: string, values: readonly string[]) => {
    const made = workpiece.make((_, now) => addTrait(now, name, values));
    if (made) afterMenu(() => setFresh(made.id));
  };
  const traits = inOrder(piece.traits);
  const count = variantsOf(piece).length;
  return (
    <div className="side-part traits">
      <div className="side-head">
        <h2 className="caption">
          {traitsWords.traits}
          {traits.length > 0 && (
            <span className="caption-count" aria-live="polite">
              {" "}
              {traitsWords.variant(count)}
            </span>
          )}
        </h2>
        <NewTrait onAdd={add} onList={() => setListing(true)} />
      </div>
      {traits.length === 0 && !listing && (
        <p className="quiet small-text">{traitsWords.traitSomethingVariesSuch}</p>
      )}
      <SortList
        ids={traits.map((t) => t.id)}
        onMove={(id, index) => workpiece.run((_, now) => moveTrait(now, id, index))}
      >
        {traits.map((t) => (
          <TraitRow key={t.id} trait={t} fresh={fresh === t.id} onNamed={named} />
        ))}
      </SortList>
      {listing && (
        <ListField
          onAdd={(name, values) => {
            setListing(false);
            workpiece.run((_, now) => addTrait(now, name, values).change);
          }}
          onClose={() => setListing(false)}
        />
      )}
    </div>
  );
});
