import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import { addTrait, addTraitValue, removeTrait, removeTraitValue, renameTrait, renameTraitValue, setRest, variantsWith } from "#core/edit";
import { inOrder } from "#core/project";
import type { Trait } from "#core/project";
import { restOf, valuesOf } from "#core/looks";
import { Menu } from "../common/Menu";
import { Icon, Swatch } from "../common/Icon";
import { afterMenu } from "../common/afterMenu";
import { NameField } from "../common/NameField";
import { useSession } from "../store/session-context";
import { usePiece } from "./state";

const quickStarts: readonly { words: string; name: string; values: readonly string[] }[] = [
  { words: "Yes or no", name: "Checked", values: ["no", "yes"] },
  { words: "Off or on", name: "Power", values: ["off", "on"] },
  { words: "Contact: none, hovered, pressed", name: "Contact", values: ["none", "hovered", "pressed"] },
  { words: "A choice of three", name: "Choice", values: ["first", "second", "third"] },
];

const TraitRow = ({ trait, fresh, onFresh }: { trait: Trait; fresh: string | null; onFresh: (id: string | null) => void }) => {
  const session = useSession();
  const piece = usePiece();
  const [renaming, setRenaming] = useState<string | null>(null);
  const naming = renaming ?? fresh;
  const rest = restOf(trait);
  const stop = () => {
    setRenaming(null);
    onFresh(null);
  };
  return (
    <div className="trait">
      <div className="trait-head">
        <Swatch pattern={trait.pattern} />
        {naming === trait.id
          ? <NameField value={trait.name} label="Trait name" onDone={(name) => { stop(); if (name) session.edit(renameTrait(piece, trait.id, name)); }} />
          : <button type="button" className="plain-name" title="Rename" onClick={() => setRenaming(trait.id)}>{trait.name}</button>}
        <button type="button" className="tool small" aria-label={`Remove trait ${trait.name}`} title="Remove this trait" onClick={() => { session.edit(removeTrait(piece, trait)); }}><Icon name="close" size={12} /></button>
      </div>
      <ul className="trait-values" aria-label={`Values of ${trait.name}`}>
        {valuesOf(trait).map((v) => (
          <li key={v.id}>
            <button type="button" className={`rest-mark${v.id === rest ? " on" : ""}`} aria-pressed={v.id === rest} aria-label={`${v.name} is the resting value`} title={v.id === rest ? "Resting value" : "Make this the resting value"} onClick={() => { session.edit(setRest(piece, trait.id, v.id)); }} />
            {naming === v.id
              ? <NameField value={v.name} label="Value name" onDone={(name) => { stop(); if (name) session.edit(renameTraitValue(piece, trait.id, v.id, name)); }} />
              : <button type="button" className="plain-name" title="Rename" onClick={() => setRenaming(v.id)}>{v.name}</button>}
            <button type="button" className="tool small" disabled={Object.keys(trait.values).length < 2} aria-label={`Remove value ${v.name}`} onClick={() => {
              const change = removeTraitValue(piece, trait, v.id);
              if (change) session.edit(change);
            }}><Icon name="close" size={12} /></button>
          </li>
        ))}
        <li><button type="button" className="add-line" onClick={() => {
          const made = addTraitValue(piece, trait, "value");
          if (session.edit(made.change)) setRenaming(made.id);
        }}>+ value</button></li>
      </ul>
    </div>
  );
};

/** The dimensions along which the piece varies. */
export const Traits = () => {
  const session = useSession();
  const piece = usePiece();
  const [fresh, setFresh] = useState<string | null>(null);
  const add = (name: string, values: readonly string[]) => {
    const made = addTrait(piece, name, values);
    if (session.edit(made.change)) afterMenu(() => setFresh(made.id));
  };
  const traits = inOrder(piece.traits);
  const count = variantsWith(piece, 1);
  return (
    <div className="side-part traits">
      <div className="side-head">
        <h2 className="caption">Traits{traits.length > 0 && <span className="caption-count"> {count} variant{count === 1 ? "" : "s"}</span>}</h2>
        <Dropdown align="end" drop="up">
          <Dropdown.Toggle as="button" type="button" className="tool small" aria-label="New trait" title="New trait"><Icon name="plus" size={14} /></Dropdown.Toggle>
          <Menu>
            {quickStarts.map((q) => <Dropdown.Item key={q.words} as="button" type="button" onClick={() => add(q.name, q.values)}>{q.words}</Dropdown.Item>)}
          </Menu>
        </Dropdown>
      </div>
      {traits.length === 0 && <p className="quiet small-text">A trait is something that varies, such as Alerts: off, on. Every combination of values becomes a card.</p>}
      {traits.map((t) => <TraitRow key={t.id} trait={t} fresh={fresh === t.id ? fresh : null} onFresh={setFresh} />)}
    </div>
  );
};
