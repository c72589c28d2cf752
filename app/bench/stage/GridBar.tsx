import { Dropdown } from "react-bootstrap";
import { traitsOf, valuesOf } from "#core/looks";
import { Icon, Swatch } from "../../ui/Icon";
import { Menu } from "../../ui/Menu";
import { downOf } from "../state/grid";
import { useBench, usePiece, wholeGrid } from "../state/state";

/** Which variants the stage shows, and which traits go down and which across. */
export const GridMenu = () => {
  const piece = usePiece();
  const grid = useBench((s) => s.grid);
  const put = useBench((s) => s.put);
  const traits = traitsOf(piece);
  if (traits.length === 0) return null;
  const down = downOf(piece, grid.down);
  const hiddenCount = Object.values(grid.hidden).reduce((n, l) => n + l.length, 0);
  const lay = (id: string, isDown: boolean) =>
    put({
      grid: {
        ...grid,
        down: traits.map((t) => t.id).filter((t) => (t === id ? isDown : down.has(t))),
      },
    });
  const toggle = (trait: string, value: string, all: number) => {
    const now = grid.hidden[trait] ?? [];
    const next = now.includes(value) ? now.filter((v) => v !== value) : [...now, value];
    if (next.length < all) put({ grid: { ...grid, hidden: { ...grid.hidden, [trait]: next } } });
  };
  return (
    <Dropdown autoClose="outside" drop="up">
      <Dropdown.Toggle
        as="button"
        type="button"
        className={`tool${hiddenCount ? " on" : ""}`}
        aria-label="Which cards are shown"
        title="Which cards are shown, and along which traits"
      >
        <Icon name="filter" size={14} />
        {hiddenCount ? `${hiddenCount} left out` : "Cards"}
      </Dropdown.Toggle>
      <Menu className="grid-menu">
        {traits.map((t) => (
          <fieldset key={t.id}>
            <legend>
              <Swatch pattern={t.pattern} />
              <span className="grid-trait">{t.name}</span>
              <span className="strip" role="radiogroup" aria-label={`${t.name} goes`}>
                <button
                  type="button"
                  role="radio"
                  aria-checked={down.has(t.id)}
                  onClick={() => lay(t.id, true)}
                >
                  down
                </button>
                <button
                  type="button"
                  role="radio"
                  aria-checked={!down.has(t.id)}
                  onClick={() => lay(t.id, false)}
                >
                  across
                </button>
              </span>
            </legend>
            <div className="grid-values">
              {valuesOf(t).map((v) => (
                <label key={v.id}>
                  <input
                    type="checkbox"
                    className="form-check-input"
                    checked={!grid.hidden[t.id]?.includes(v.id)}
                    onChange={() => toggle(t.id, v.id, valuesOf(t).length)}
                  />{" "}
                  {v.name}
                </label>
              ))}
            </div>
          </fieldset>
        ))}
        <button
          type="button"
          className="btn btn-link btn-sm p-0"
          onClick={() => put({ grid: wholeGrid })}
        >
          Show all cards as usual
        </button>
      </Menu>
    </Dropdown>
  );
};
