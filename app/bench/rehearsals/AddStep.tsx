import { Dropdown } from "react-bootstrap";
import type { Id } from "#core/basics";
import { looksOf, restOf, traitsOf } from "#core/looks";
import { ROOT } from "#core/project";
import type { Piece, Step } from "#core/project";
import { Menu } from "../../ui/floating/Menu";
import { rehearsalsWords } from "./words";

/** Whether someone can enter something into a layer, in one variant at least. */
const isEntry = (piece: Piece, layer: Id): boolean =>
  looksOf(piece).some(({ changes }) => (changes[layer]?.entry ?? "nobody") !== "nobody");

/** Steps to add by hand; those for a layer are about the chosen one. */
export const AddStep = ({
  piece,
  chosen,
  onAdd,
}: {
  piece: Piece;
  chosen: Id | undefined;
  onAdd: (s: Step) => void;
}) => {
  const layer = chosen ?? ROOT;
  const { name = rehearsalsWords.wholePiece } = piece.layers[layer] ?? {};
  const [trait] = traitsOf(piece);
  const text = Object.values(piece.layers).find((l) => l.kind === "text");
  const items: { words: string; step: Step }[] = [
    { words: rehearsalsWords.click(name), step: { do: "click", layer } },
    { words: rehearsalsWords.pointAt(name), step: { do: "point", layer } },
    { words: rehearsalsWords.press, step: { do: "press" } },
    { words: rehearsalsWords.release, step: { do: "release" } },
    { words: rehearsalsWords.movePointerAway, step: { do: "point", layer: null } },
    { words: rehearsalsWords.dragName(name), step: { do: "drag", layer, by: [100, 0], ms: 250 } },
    { words: rehearsalsWords.tap(name), step: { do: "tap", layer } },
    { words: rehearsalsWords.pressTab, step: { do: "tab", back: false } },
    { words: rehearsalsWords.pressEnter, step: { do: "key", key: "Enter" } },
    ...(isEntry(piece, layer)
      ? [{ words: rehearsalsWords.enterText(name), step: { do: "fill", layer, text: "" } as const }]
      : []),
    { words: rehearsalsWords.wait200Ms, step: { do: "wait", ms: 200 } },
    { words: rehearsalsWords.waitUntilMotionSettles, step: { do: "settle" } },
  ];
  const expectations: { words: string; step: Step }[] = [
    ...(trait
      ? [
          {
            words: rehearsalsWords.traitHasValue,
            step: { do: "trait", at: "", trait: trait.id, value: restOf(trait) } as const,
          },
        ]
      : []),
    ...(text
      ? [
          {
            words: rehearsalsWords.textVisible,
            step: { do: "text", text: "", shown: true } as const,
          },
        ]
      : []),
    {
      words: rehearsalsWords.visible(name),
      step: { do: "layer", layer, key: "visible", value: true, within: 0 },
    },
    ...(["x", "y", "width", "height"] as const).map((key) => ({
      words: rehearsalsWords.theOf(key, name),
      step: { do: "layer", layer, key, value: 0, within: 0.5 } as const,
    })),
  ];
  return (
    <Dropdown drop="up">
      <Dropdown.Toggle variant="outline-primary" size="sm">
        {rehearsalsWords.addStep}
      </Dropdown.Toggle>
      <Menu className="step-menu">
        {items.map((i) => (
          <Dropdown.Item key={i.words} as="button" type="button" onClick={() => onAdd(i.step)}>
            {i.words}
          </Dropdown.Item>
        ))}
        <Dropdown.Header aria-level={3}>{rehearsalsWords.expect}</Dropdown.Header>
        {expectations.map((i) => (
          <Dropdown.Item key={i.words} as="button" type="button" onClick={() => onAdd(i.step)}>
            {i.words}
          </Dropdown.Item>
        ))}
      </Menu>
    </Dropdown>
  );
};
