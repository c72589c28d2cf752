import { memo, useState } from "react";
import type { ReactNode } from "react";
import { Button, Dropdown } from "react-bootstrap";
import type { Id } from "#core/basics";
import {
  addTraitValue,
  moveTraitValue,
  renameTrait,
  renameTraitValue,
  setPattern,
  setRest,
  setTraitMotion,
} from "#core/edit";
import { restOf, valuesOf } from "#core/looks";
import type { Trait, TraitValue } from "#core/project";
import { MotionPart } from "../../parts/time/MotionPart";
import { Swatch, swatchCount } from "../../ui/Icon";
import { Menu } from "../../ui/floating/Menu";
import { NameField } from "../../ui/fields/NameField";
import { SortItem, SortList } from "../../ui/SortList";
import { Tool } from "../../ui/Tool";
import { Toolbar } from "../../ui/focus/Toolbar";
import { useCommand, useWorkpiece } from "../state/context";
import { StateMenu } from "./StateMenu";
import { useTraitEdits } from "./useTraitEdits";
import { traitsWords } from "./words";

/** A name that can be clicked to type another one. */
interface NameProps {
  readonly name: string;
  readonly label: string;
  readonly naming: boolean;
  readonly onName: () => void;
  readonly onNamed: (name: string | null) => void;
}

const Name = ({ name, label, naming, onName, onNamed }: NameProps) =>
  naming ? (
    <NameField value={name} label={label} onDone={onNamed} />
  ) : (
    <Button variant="name" title={traitsWords.rename} onClick={onName}>
      {name}
    </Button>
  );

/** Choosing another pattern for the trait's swatch. */
const SwatchMenu = ({ trait }: { trait: Trait }) => {
  const command = useCommand();
  return (
    <Dropdown>
      <Dropdown.Toggle
        variant="tool"
        size="sm"
        className="trait-swatch"
        aria-label={traitsWords.swatch(trait.name)}
        title={traitsWords.changeSwatch}
      >
        <Swatch pattern={trait.pattern} />
      </Dropdown.Toggle>
      <Menu className="swatch-menu">
        {Array.from({ length: swatchCount }, (_, i) => (
          <Tool
            key={i}
            size="sm"
            label={traitsWords.swatchI(i)}
            on={i === trait.pattern}
            onClick={() => command((__, piece) => setPattern(piece, trait.id, i))}
          >
            <Swatch pattern={i} />
          </Tool>
        ))}
      </Menu>
    </Dropdown>
  );
};

interface ValueProps {
  readonly trait: Trait;
  readonly value: TraitValue;
  readonly only: boolean;
  readonly grip: ReactNode;
  readonly naming: boolean;
  readonly onName: (id: Id) => void;
  readonly onNamed: () => void;
}

const Value = ({ trait, value, only, grip, naming, onName, onNamed }: ValueProps) => {
  const command = useCommand();
  const traits = useTraitEdits();
  const rests = value.id === restOf(trait);
  const named = (name: string | null) => {
    onNamed();
    if (name) command((_, piece) => renameTraitValue(piece, trait.id, value.id, name));
  };
  const duplicate = () => {
    const made = traits.duplicateValue(trait, value.id);
    if (made !== null) onName(made);
  };
  return (
    <>
      {grip}
      <button
        type="button"
        className={`rest-mark${rests ? " on" : ""}`}
        aria-pressed={rests}
        aria-label={traitsWords.defaultValue(value.name)}
        title={rests ? traitsWords.defaultValue2 : traitsWords.setAsDefault}
        onClick={() => {
          if (!rests) command((_, piece) => setRest(piece, trait.id, value.id));
        }}
      />
      <Name
        name={value.name}
        label={traitsWords.valueName}
        naming={naming}
        onName={() => onName(value.id)}
        onNamed={named}
      />
      <Tool
        size="sm"
        icon="copy"
        iconSize={12}
        label={traitsWords.duplicateValue(value.name)}
        title={traitsWords.duplicateWithLook(value.name)}
        onClick={duplicate}
      />
      {!only && (
        <Tool
          size="sm"
          icon="close"
          iconSize={12}
          label={traitsWords.deleteValue(value.name)}
          title={traitsWords.delete(value.name)}
          onPointerEnter={(e) => {
            e.currentTarget.title = traitsWords.deleteTogetherWith(
              value.name,
              traits.lost(trait, value.id),
            );
          }}
          onClick={() => traits.removeValue(trait, value.id)}
        />
      )}
    </>
  );
};

interface Props {
  readonly trait: Trait;
  /** it was just declared: its name is typed first */
  readonly fresh: boolean;
  readonly onNamed: () => void;
}

/** A trait with its values. */
export const TraitRow = memo(function TraitRow({ trait, fresh, onNamed }: Props) {
  const workpiece = useWorkpiece();
  const traits = useTraitEdits();
  const [renaming, setRenaming] = useState<Id | null>(null);
  const naming = renaming ?? (fresh ? trait.id : null);
  const stop = () => {
    setRenaming(null);
    onNamed();
  };
  const named = (name: string | null) => {
    stop();
    if (name) workpiece.run((_, piece) => renameTrait(piece, trait.id, name));
  };
  const addValue = () => {
    const made = workpiece.make((_, piece) => addTraitValue(piece, trait, "value"));
    if (made) setRenaming(made.id);
  };
  const values = valuesOf(trait);
  return (
    <SortItem id={trait.id} name={trait.name} className="trait">
      {(grip) => (
        <Toolbar className="block" label={traitsWords.toolsOf(trait.name)}>
          <div className="trait-head">
            {grip}
            <SwatchMenu trait={trait} />
            <Name
              name={trait.name}
              label={traitsWords.traitName}
              naming={naming === trait.id}
              onName={() => setRenaming(trait.id)}
              onNamed={named}
            />
            <Tool
              size="sm"
              icon="close"
              iconSize={12}
              label={traitsWords.deleteTrait2(trait.name)}
              title={traitsWords.deleteTrait}
              onClick={() => traits.removeTrait(trait)}
            />
          </div>
          {trait.motion && (
            <div
              className="trait-motion"
              role="group"
              aria-label={traitsWords.motionOf(trait.name)}
            >
              <MotionPart
                motion={trait.motion}
                onChange={(motion) =>
                  workpiece.run(
                    (_, piece) => setTraitMotion(piece, trait.id, motion),
                    `motion ${trait.id}`,
                  )
                }
              />
            </div>
          )}
          <ul className="trait-values" aria-label={traitsWords.values(trait.name)}>
            <SortList
              ids={values.map((v) => v.id)}
              onMove={(id, index) =>
                workpiece.run((_, piece) => moveTraitValue(piece, trait, id, index))
              }
            >
              {values.map((v) => (
                <SortItem key={v.id} id={v.id} name={v.name} as="li">
                  {(inner) => (
                    <Value
                      trait={trait}
                      value={v}
                      only={values.length === 1}
                      grip={inner}
                      naming={naming === v.id}
                      onName={setRenaming}
                      onNamed={stop}
                    />
                  )}
                </SortItem>
              ))}
            </SortList>
            <li>
              <Button variant="add" onClick={addValue}>
                {traitsWords.addValue}
              </Button>
              <StateMenu trait={trait} />
            </li>
          </ul>
        </Toolbar>
      )}
    </SortItem>
  );
});
