import { Dropdown } from "react-bootstrap";
import type { Id } from "#core/basics";
import { restOf, traitsOf } from "#core/looks";
import { ROOT } from "#core/project";
import type { Piece, Step } from "#core/project";
import { Menu } from "../../ui/Menu";

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
  const name = piece.layers[layer]?.name ?? "the whole piece";
  const [trait] = traitsOf(piece);
  const text = Object.values(piece.layers).find((l) => l.kind === "text");
  const items: { words: string; step: Step }[] = [
    { words: `click ${name}`, step: { do: "click", layer } },
    { words: `point at ${name}`, step: { do: "point", layer } },
    { words: "press", step: { do: "press" } },
    { words: "let go", step: { do: "release" } },
    { words: "move the pointer off", step: { do: "point", layer: null } },
    { words: `drag ${name}`, step: { do: "drag", layer, by: [100, 0], ms: 250 } },
    { words: `tap ${name} with a finger`, step: { do: "tap", layer } },
    { words: "go on with Tab", step: { do: "tab", back: false } },
    { words: "press Enter", step: { do: "key", key: "Enter" } },
    { words: "wait 200 ms", step: { do: "wait", ms: 200 } },
    { words: "wait until nothing moves", step: { do: "settle" } },
  ];
  const expectations: { words: string; step: Step }[] = [
    ...(trait
      ? [
          {
            words: "a trait has a value",
            step: { do: "trait", at: "", trait: trait.id, value: restOf(trait) } as const,
          },
        ]
      : []),
    ...(text
      ? [{ words: "a text can be read", step: { do: "text", text: "", shown: true } as const }]
      : []),
    {
      words: `${name} is there`,
      step: { do: "layer", layer, key: "visible", value: true, within: 0 },
    },
    ...(["x", "y", "width", "height"] as const).map((key) => ({
      words: `the ${key} of ${name}`,
      step: { do: "layer", layer, key, value: 0, within: 0.5 } as const,
    })),
  ];
  return (
    <Dropdown drop="up">
      <Dropdown.Toggle variant="outline-primary" size="sm">
        Add a step
      </Dropdown.Toggle>
      <Menu className="step-menu">
        {items.map((i) => (
          <Dropdown.Item key={i.words} as="button" type="button" onClick={() => onAdd(i.step)}>
            {i.words}
          </Dropdown.Item>
        ))}
        <Dropdown.Header>Expect that</Dropdown.Header>
        {expectations.map((i) => (
          <Dropdown.Item key={i.words} as="button" type="button" onClick={() => onAdd(i.step)}>
            {i.words}
          </Dropdown.Item>
        ))}
      </Menu>
    </Dropdown>
  );
};
