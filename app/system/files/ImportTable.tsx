import { useMemo, useState } from "react";
import { Button, Table } from "react-bootstrap";
import { changedConditions } from "#core/edit";
import type { TokenPlan, TokenRow } from "#core/edit";
import { baseProject, conditionText, inTheme, themesOf } from "#core/looks";
import type { Condition, Project, Token, Variant } from "#core/project";
import { tokenWords } from "../../parts/tokens";
import { useDisplayedProject } from "../../session/displayed";
import { Choices } from "../../ui/fields/Choices";
import { SampleOf } from "../Sample";
import { piecesWith } from "../Uses";
import { filesWords } from "./words";

const states = ["changed", "new", "gone", "same"] as const;
/** As many rows are shown at once. */
const PAGE = 60;

interface CellProps {
  readonly token: Token | null;
  readonly project: Project;
  /** in which themes it says something else, too */
  readonly conditions: readonly Condition[];
}

/** The values that themes have where a condition holds; the first of those it names. */
const variantIn = (condition: Condition): Variant =>
  Object.fromEntries(Object.entries(condition).map(([theme, values]) => [theme, values[0] ?? ""]));

/** What a token looks like, and in the themes in which something changes. */
const Cell = ({ token, project, conditions }: CellProps) => {
  if (!token) return <span className="quiet">—</span>;
  return (
    <span className="import-cell">
      <SampleOf token={token} tokens={project.tokens} />
      {conditions.map((when) => (
        <span key={JSON.stringify(when)} className="import-themed">
          <span className="quiet small-text">{conditionText(themesOf(project), when)}</span>
          <SampleOf token={token} tokens={inTheme(project, variantIn(when)).tokens} />
        </span>
      ))}
    </span>
  );
};

interface Props {
  readonly plan: TokenPlan;
}

/** The project with what was planned, as far as tokens go. */
const afterImport = (project: Project, plan: TokenPlan): Project => {
  const tokens: Record<string, Token> = { ...project.tokens };
  for (const { after } of plan.rows) if (after) tokens[after.id] = after;
  return { ...project, tokens, themes: Object.fromEntries(plan.themes.map((t) => [t.id, t])) };
};

/** Each token as it is and as it will be, by what becomes of it. */
export const ImportTable = ({ plan }: Props) => {
  const before = baseProject(useDisplayedProject());
  const counts = new Map(
    states.map((state) => [state, plan.rows.filter((r) => r.state === state).length] as const),
  );
  const first = states.find((state) => (counts.get(state) ?? 0) > 0) ?? "same";
  const [state, setState] = useState<TokenRow["state"]>(first);
  const [shown, setShown] = useState(PAGE);
  const rows = plan.rows.filter((r) => r.state === state);
  const after = useMemo(() => afterImport(before, plan), [before, plan]);
  return (
    <>
      <Choices
        label={filesWords.show}
        value={state}
        choices={states.map((s) => ({
          value: s,
          words: filesWords.state(s, counts.get(s) ?? 0),
          disabled: counts.get(s) === 0,
        }))}
        onChoose={(next) => {
          setState(next);
          setShown(PAGE);
        }}
      />
      <Table size="sm" className="import-table">
        <thead>
          <tr>
            <th scope="col">{filesWords.token}</th>
            <th scope="col">{filesWords.now}</th>
            <th scope="col">{filesWords.afterwards}</th>
            <th scope="col">{filesWords.usedIn}</th>
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, shown).map((row) => {
            const token = row.after ?? row.before;
            if (!token) return null;
            const conditions = changedConditions(row);
            const places = piecesWith(before, token.id);
            return (
              <tr key={token.id}>
                <th scope="row">{tokenWords(token)}</th>
                <td>
                  <Cell token={row.before} project={before} conditions={conditions} />
                </td>
                <td>
                  <Cell token={row.after} project={after} conditions={conditions} />
                </td>
                <td className="quiet small-text">
                  {filesWords.places(places.length, new Set(places).size)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      {rows.length > shown && (
        <Button variant="link" size="sm" onClick={() => setShown(shown + PAGE * 5)}>
          {filesWords.more(rows.length - shown)}
        </Button>
      )}
    </>
  );
};
