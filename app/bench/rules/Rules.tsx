import { addRule } from "#core/edit";
import { traitsOf } from "#core/looks";
import { inOrder, ROOT } from "#core/project";
import { useSession } from "../../store/session-context";
import { useChosen, usePiece } from "../state";
import { RuleLine, usualEffect } from "./RuleLine";
import type { Parts } from "./RuleLine";
import { Makers } from "./Makers";
import { Signals } from "./Signals";

/** What happens when: the piece's rules as sentences, edited in place. */
export const Rules = () => {
  const session = useSession();
  const piece = usePiece();
  const chosen = useChosen();
  const rules = inOrder(piece.rules);
  const source = chosen[0] !== undefined && chosen[0] !== ROOT ? chosen[0] : null;
  const layer = source === null ? null : piece.layers[source]?.name;
  const add = (given: Parts) => { session.edit(addRule(piece, { source, effects: usualEffect(session.project, piece), ...given }).change); };
  return (
    <div className="rules">
      {rules.length === 0 && <p className="drawer-empty">No rules yet. A rule says what happens when: “When the whole piece is clicked → Alerts becomes the opposite, tween 200 ms”. {traitsOf(piece).length === 0 && piece.kind === "component" ? "Declare a trait first, so that there is something to change." : ""}</p>}
      <ol>{rules.map((r) => <RuleLine key={r.id} rule={r} />)}</ol>
      <Signals />
      <div className="rule-add">
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => add({})}>New rule{layer ? ` on ${layer}` : ""}</button>
        <Makers />
        {layer && <button type="button" className="btn btn-sm btn-link" onClick={() => add({ source: null })}>on the whole piece</button>}
      </div>
    </div>
  );
};
