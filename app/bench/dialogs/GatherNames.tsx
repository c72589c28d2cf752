import { Form, Table } from "react-bootstrap";
import {
  planProblems,
  withOneMoreTrait,
  withTraitName,
  withValue,
  withoutTrait,
} from "#core/gather";
import type { Drawing, NamePlan } from "#core/gather";
import type { LayoutBox } from "#core/layout";
import { Canvas } from "../../parts/shown/Canvas";
import { Tool } from "../../ui/Tool";
import { dialogsWords } from "./words";

interface NamesProps {
  readonly plan: NamePlan;
  readonly drawings: readonly Drawing[];
  readonly scenes: readonly LayoutBox[];
  readonly onPlan: (p: NamePlan) => void;
}

/** The head of a column: the name of a trait, and the way to leave it out. */
const TraitHead = ({
  plan,
  column,
  onPlan,
}: Omit<NamesProps, "drawings" | "scenes"> & { readonly column: number }) => {
  const name = plan.traits[column]?.name ?? "";
  return (
    <span className="gather-trait">
      <Form.Control
        size="sm"
        aria-label={dialogsWords.nameTrait(column)}
        value={name}
        onChange={(e) => onPlan(withTraitName(plan, column, e.target.value))}
      />
      {plan.traits.length > 1 && (
        <Tool
          size="sm"
          icon="close"
          iconSize={11}
          label={dialogsWords.removeTrait(name)}
          onClick={() => onPlan(withoutTrait(plan, column))}
        />
      )}
    </span>
  );
};

/** A drawing and the values its name says. */
const NameRow = ({
  plan,
  drawings,
  scenes,
  onPlan,
  row,
}: NamesProps & { readonly row: number }) => {
  const scene = scenes[row];
  const name = drawings[row]?.name;
  return (
    <>
      <th scope="row">
        <span className="gather-drawing">
          <span className="gather-thumb">
            {scene && (
              <Canvas placed={scene} zoom={Math.min(1, 70 / scene.width, 34 / scene.height)} />
            )}
          </span>
          <span className="gather-label">{name}</span>
        </span>
      </th>
      {(plan.rows[row] ?? []).map((value, column) => (
        <td key={column}>
          <Form.Control
            size="sm"
            aria-label={dialogsWords.of(plan.traits[column]?.name, name)}
            list={`gather-${column}`}
            value={value}
            onChange={(e) => onPlan(withValue(plan, row, column, e.target.value))}
          />
        </td>
      ))}
      <td />
    </>
  );
};

/** The table of what the names of the drawings say about traits. */
const NameTable = (props: NamesProps) => {
  const { plan, onPlan } = props;
  const problems = planProblems(plan);
  return (
    <Table className="gather-table">
      <thead>
        <tr>
          <th>{dialogsWords.drawing}</th>
          {plan.traits.map((_, column) => (
            <th key={column}>
              <TraitHead plan={plan} column={column} onPlan={onPlan} />
            </th>
          ))}
          <th>
            <Tool
              size="sm"
              icon="plus"
              iconSize={13}
              label={dialogsWords.addTrait}
              onClick={() => onPlan(withOneMoreTrait(plan))}
            />
          </th>
        </tr>
      </thead>
      <tbody>
        {plan.rows.map((_, row) => (
          <tr key={row} className={problems.some((p) => p.row === row) ? "bad" : ""}>
            <NameRow {...props} row={row} />
          </tr>
        ))}
      </tbody>
    </Table>
  );
};

/** What the names of the drawings say, to be corrected. */
export const Names = (props: NamesProps) => {
  const { plan, onPlan } = props;
  const [problem] = planProblems(plan);
  return (
    <section aria-labelledby="gather-names">
      <div className="gather-head">
        <h3 id="gather-names">{dialogsWords.names}</h3>
        <label>
          {dialogsWords.component}{" "}
          <Form.Control
            size="sm"
            className="gather-name"
            aria-label={dialogsWords.componentName}
            value={plan.component}
            onChange={(e) => onPlan({ ...plan, component: e.target.value })}
          />
        </label>
      </div>
      <div className="gather-room">
        <NameTable {...props} />
        {plan.traits.map((t, c) => (
          <datalist key={c} id={`gather-${c}`}>
            {t.values.map((v) => (
              <option key={v} value={v} />
            ))}
          </datalist>
        ))}
      </div>
      {problem && (
        <p className="refusal" role="alert">
          {problem.text}
        </p>
      )}
    </section>
  );
};
