import { useState } from "react";
import { Button, Table } from "react-bootstrap";
import type { TokenPlan, TokenRow } from "#core/edit";
import type { Token } from "#core/project";
import { tokenWords } from "../../parts/tokens";
import { useDisplayedProject } from "../../session/displayed";
import { Choices } from "../../ui/fields/Choices";
import { SampleOf } from "../Sample";
import { filesWords } from "./words";

const states = ["changed", "new", "gone", "same"] as const;
/** As many rows are shown at once. */
const PAGE = 60;

const Cell = ({ token, tokens }: { token: Token | null; tokens: Record<string, Token> }) =>
  token ? (
    <span className="import-cell">
      <SampleOf token={token} tokens={tokens} />
    </span>
  ) : (
    <span className="quiet">—</span>
  );

interface Props {
  readonly plan: TokenPlan;
}

/** Each token as it is and as it will be, by what becomes of it. */
export const ImportTable = ({ plan }: Props) => {
  const before = useDisplayedProject((p) => p.tokens);
  const counts = new Map(
    states.map((state) => [state, plan.rows.filter((r) => r.state === state).length] as const),
  );
  const first = states.find((state) => (counts.get(state) ?? 0) > 0) ?? "same";
  const [state, setState] = useState<TokenRow["state"]>(first);
  const [shown, setShown] = useState(PAGE);
  const rows = plan.rows.filter((r) => r.state === state);
  const after: Record<string, Token> = { ...before };
  for (const row of plan.rows) if (row.after) after[row.after.id] = row.after;
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
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, shown).map((row) => {
            const token = row.after ?? row.before;
            if (!token) return null;
            return (
              <tr key={token.id}>
                <th scope="row">{tokenWords(token)}</th>
                <td>
                  <Cell token={row.before} tokens={before} />
                </td>
                <td>
                  <Cell token={row.after} tokens={after} />
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
