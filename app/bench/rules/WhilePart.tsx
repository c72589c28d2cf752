import { Dropdown, Form } from "react-bootstrap";
import { conditionText, traitsOf, valuesOf } from "#core/looks";
import type { Condition, Piece } from "#core/project";
import { Swatch } from "../../ui/Icon";
import { Menu } from "../../ui/floating/Menu";
import { rulesWords } from "./words";

/** The condition of a rule as a sentence; opens to tick the values it allows. */
export const WhilePart = ({
  piece,
  when,
  onChange,
}: {
  piece: Piece;
  when: Condition;
  onChange: (c: Condition) => void;
}) => {
  const toggle = (trait: string, value: string, all: readonly string[]) => {
    const now = when[trait] ?? [];
    const next = now.includes(value)
      ? now.filter((v) => v !== value)
      : all.filter((v) => v === value || now.includes(v));
    const { [trait]: _old, ...rest } = when;
    onChange(next.length === 0 || next.length === all.length ? rest : { ...rest, [trait]: next });
  };
  const words = conditionText(piece, when);
  const gone = Object.keys(when).filter((t) => !piece.traits[t]);
  return (
    <Dropdown autoClose="outside">
      <Dropdown.Toggle variant="word" className={gone.length ? "while broken" : "while"}>
        {words ? rulesWords.whileWords(words) : rulesWords.everyVariant}
      </Dropdown.Toggle>
      <Menu className="while-menu">
        {traitsOf(piece).length === 0 && (
          <p className="note padded">{rulesWords.pieceHasNoTraits}</p>
        )}
        {gone.map((t) => (
          <Dropdown.Item
            key={t}
            as="button"
            type="button"
            onClick={() => {
              const { [t]: _gone, ...rest } = when;
              onChange(rest);
            }}
          >
            {rulesWords.removeDeletedTrait}
          </Dropdown.Item>
        ))}
        {traitsOf(piece).map((t) => (
          <fieldset key={t.id}>
            <legend>
              <Swatch pattern={t.pattern} /> {rulesWords.is(t.name)}
            </legend>
            {valuesOf(t).map((v) => (
              <label key={v.id}>
                <Form.Check.Input
                  checked={when[t.id]?.includes(v.id) ?? false}
                  onChange={() =>
                    toggle(
                      t.id,
                      v.id,
                      valuesOf(t).map((x) => x.id),
                    )
                  }
                />{" "}
                {v.name}
              </label>
            ))}
          </fieldset>
        ))}
      </Menu>
    </Dropdown>
  );
};
