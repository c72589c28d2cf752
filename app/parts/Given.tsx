import type { Id } from "#core/basics";
import { offeredBy } from "#core/library";
import type { Offered } from "#core/library";
import { parseValue, showValue } from "#core/properties";
import type { SpecifiedValue } from "#core/properties";
import type { Project, Sample } from "#core/project";
import { useDisplayedProject } from "../session/displayed";
import { DraftField } from "../ui/fields/DraftField";
import { Pick } from "../ui/fields/Pick";

type Values = Sample["values"];

/** The pictures or icons of a project, where an option holds one. */
const assetsFor = (project: Project, { type }: Offered) =>
  type.is === "asset"
    ? Object.values(project.assets)
        .filter((a) => a.kind === type.of)
        .map((a) => ({ value: a.id, words: a.name }))
    : null;

interface FieldProps {
  readonly offered: Offered;
  readonly said: SpecifiedValue | undefined;
  readonly onSay: (value: SpecifiedValue) => void;
}

/** One trait or option, set to what a copy shall be given. */
const Field = ({ offered, said, onSay }: FieldProps) => {
  const project = useDisplayedProject();
  const { name, type, inherent } = offered;
  const now = said ?? inherent ?? "";
  const choices = offered.choices ?? assetsFor(project, offered);
  if (choices)
    return (
      <Pick
        label={name}
        search
        value={JSON.stringify(now)}
        options={choices.map((c) => ({ value: JSON.stringify(c.value), words: c.words }))}
        onPick={(key) => {
          const choice = choices.find((c) => JSON.stringify(c.value) === key);
          if (choice) onSay(choice.value);
        }}
      />
    );
  const text = typeof now === "object" && "token" in now ? "" : showValue(now);
  const take = (typed: string) => {
    const parsed = parseValue(type, typed, text);
    if (parsed.ok) onSay(parsed.value);
  };
  return <DraftField className="word" label={name} value={text} onChange={take} />;
};

interface Props {
  readonly component: Id;
  readonly values: Values;
  readonly onChange: (values: Values) => void;
}

/** The traits and options of a component as fields: what a copy of it is given. */
export const Given = ({ component, values, onChange }: Props) => {
  const project = useDisplayedProject();
  const offered = offeredBy(project, component);
  if (offered.length === 0) return null;
  return (
    <div className="given">
      {offered.map((one) => (
        <label key={one.key} className="small-text">
          <span>{one.name}</span>
          <Field
            offered={one}
            said={values[one.key]}
            onSay={(value) => onChange({ ...values, [one.key]: value })}
          />
        </label>
      ))}
    </div>
  );
};
