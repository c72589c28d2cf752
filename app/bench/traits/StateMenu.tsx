import { Dropdown } from "react-bootstrap";
import { proposedAria } from "#core/access";
import type { Id } from "#core/basics";
import { nextMotion, setTraitAria, setTraitMotion } from "#core/edit";
import { restOf, valuesOf } from "#core/looks";
import { ariaStates } from "#core/project";
import type { AriaState, Trait, TraitAria } from "#core/project";
import { Check } from "../../ui/fields/Check";
import { Choices } from "../../ui/fields/Choices";
import { Menu } from "../../ui/floating/Menu";
import { useCommand } from "../state/context";
import { traitsWords } from "./words";

const NONE = "none";

/** Another state, in the values that say so by their names, else in all but the default. */
const withState = (trait: Trait, state: AriaState): TraitAria => {
  if (trait.aria) return { ...trait.aria, state };
  const proposed = proposedAria(trait, "switch");
  const others = valuesOf(trait).filter((v) => v.id !== restOf(trait));
  return { on: others.map((v) => v.id), ...proposed, state };
};

const withValue = (aria: TraitAria, value: Id, isOn: boolean): TraitAria => ({
  ...aria,
  on: isOn ? [...aria.on, value] : aria.on.filter((v) => v !== value),
});

/** Choosing the state a trait stands for to assistive technology, and in which values. */
export const StateMenu = ({ trait }: { readonly trait: Trait }) => {
  const command = useCommand();
  const { aria } = trait;
  const say = (next: TraitAria | null): void =>
    void command((_, piece) => setTraitAria(piece, trait.id, next));
  const move = (isOwn: boolean): void =>
    void command((_, piece) => setTraitMotion(piece, trait.id, isOwn ? nextMotion(piece) : null));
  const choices = [
    { value: NONE, words: traitsWords.noState },
    ...ariaStates.map((state) => ({ value: state, words: state })),
  ];
  const choose = (value: string): void => {
    const state = ariaStates.find((s) => s === value);
    say(state ? withState(trait, state) : null);
  };
  return (
    <Dropdown autoClose="outside">
      <Dropdown.Toggle
        variant="tool"
        size="sm"
        className={aria ? "trait-state said" : "trait-state"}
        aria-label={traitsWords.stateOf(trait.name, aria?.state)}
        title={traitsWords.stateForAssistiveTechnology}
      >
        {aria?.state ?? traitsWords.state}
      </Dropdown.Toggle>
      <Menu className="state-menu">
        <span className="caption">{traitsWords.stateForAssistiveTechnology}</span>
        <Choices
          label={traitsWords.stateForAssistiveTechnology}
          variant="chip"
          value={aria?.state ?? NONE}
          choices={choices}
          onChoose={choose}
        />
        {aria && (
          <>
            <span className="caption">{traitsWords.stateWhen(aria.state, trait.name)}</span>
            {valuesOf(trait).map((v) => (
              <Check
                key={v.id}
                words={v.name}
                checked={aria.on.includes(v.id)}
                onSwitch={(isOn) => say(withValue(aria, v.id, isOn))}
              />
            ))}
            {aria.on.length === 0 && <p className="quiet">{traitsWords.eachLayerOwnValue}</p>}
          </>
        )}
        <span className="caption">{traitsWords.motion}</span>
        <Check words={traitsWords.ownMotion} checked={trait.motion !== undefined} onSwitch={move} />
      </Menu>
    </Dropdown>
  );
};
