import { describe, expect, it } from "vitest";
import { replaceBy } from "#core/edit";
import { BASE } from "#core/project";
import { Builder } from "../../../tests/support/pieces";

/** A tick box as a component, and two drawings of others beside it on a screen. */
const drawnTwice = () => {
  const b = new Builder();
  const component = b.new("component", "Tick box");
  const icon = b.layer("icon", { icon: "tick" });
  const label = b.layer("text", { text: "Car deck" });
  const call = (id: string, name: string) =>
    b.do({
      label: "name",
      ops: [{ op: "set", path: ["pieces", b.at, "layers", id, "name"], value: name }],
    });
  call(label, "Deck");
  b.new("screen", "Form");
  const drawing = (text: string, name: string) => {
    const group = b.layer("box", { x: 4, y: 8, widthMode: "fit", heightMode: "fit" });
    b.layer("icon", { icon: "tick" }, group);
    const id = b.layer("text", { text }, group);
    call(id, name);
    return group;
  };
  const drawings = [drawing("Saloon", "Saloon"), drawing("Sun deck", "Text 2")];
  const replace = (ids: readonly string[]) => {
    const made = replaceBy(b.project, b.piece, ids, component, new Map());
    if (!made) throw new Error("nothing replaced");
    b.do(made.change);
    return made.ids.map((id) => b.piece.looks[BASE]?.changes[id] ?? {});
  };
  const options = () => Object.values(b.project.pieces[component]?.options ?? {});
  return { b, component, icon, label, drawings, replace, options };
};

describe("drawings that are replaced by copies of a component", () => {
  it("keep their texts, for which the component gets one option", () => {
    const { drawings, replace, options, label } = drawnTwice();
    const copies = replace(drawings);
    expect(options().map((o) => [o.layer, o.key])).toEqual([[label, "text"]]);
    const [option] = options();
    expect(copies.map((c) => c[`option:${option?.id}`])).toEqual(["Saloon", "Sun deck"]);
  });

  it("need no option for what they hold as the component does", () => {
    const { b, drawings, replace, options } = drawnTwice();
    const [first = ""] = drawings;
    const [, text] = Object.values(b.piece.layers).filter((l) => l.parent === first);
    b.look({}, text?.id ?? "", { text: "Car deck" });
    replace([first]);
    expect(options()).toEqual([]);
  });

  it("leave out what the component has no layer for", () => {
    const { b, drawings, replace, options } = drawnTwice();
    const [first = ""] = drawings;
    b.layer("text", { text: "from 12 euros" }, first);
    replace([first]);
    expect(options()).toEqual([]);
  });
});
