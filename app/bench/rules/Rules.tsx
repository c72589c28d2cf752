import { useState } from "react";
import { addRule } from "#core/edit";
import { traitsOf, variantName } from "#core/looks";
import { inOrder, ROOT } from "#core/project";
import { useSession } from "../../store/session-context";
import { useActive, useChosen, usePiece } from "../state";
import { listed } from "./listing";
import type { Grouping } from "./listing";
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
  const { variant } = useActive();
  const [ofLayer, setOfLayer] = useState(false);
  const [inVariant, setInVariant] = useState(false);
  const [grouping, setGrouping] = useState<Grouping>("order");
  const groups = listed(piece, { layers: ofLayer && chosen.length ? chosen : null, variant: inVariant ? variant : null, grouping });
  const shown = groups.reduce((n, g) => n + g.rules.length, 0);
  const add = (given: Parts) => { session.edit(addRule(piece, { source, effects: usualEffect(session.project, piece), ...given }).change); };
  return (
    <div className="rules">
      {rules.length === 0 && <p className="drawer-empty">No rules yet. A rule says what happens when: “When the whole piece is clicked → Alerts becomes the opposite, tween 200 ms”. {traitsOf(piece).length === 0 && piece.kind === "component" ? "Declare a trait first, so that there is something to change." : ""}</p>}
      {rules.length > 1 && (
        <div className="rule-filter">
          <label><input type="checkbox" className="form-check-input" checked={ofLayer} disabled={chosen.length === 0 && !ofLayer} onChange={(e) => setOfLayer(e.target.checked)} /> of what is chosen</label>
          {traitsOf(piece).length > 0 && <label><input type="checkbox" className="form-check-input" checked={inVariant} onChange={(e) => setInVariant(e.target.checked)} /> that may fire in {variantName(piece, variant)}</label>}
          <span className="quiet ms-auto">{shown < rules.length && `${shown} of ${rules.length} rules`}</span>
          <select className="word" aria-label="Order of the rules" value={grouping} onChange={(e) => setGrouping(e.target.value as Grouping)}><option value="order">in their order</option><option value="layer">by layer</option><option value="trigger">by trigger</option></select>
        </div>
      )}
      {groups.map((g) => (
        <section key={g.key}>
          {g.name && <h3 className="caption rule-group">{g.name}</h3>}
          <ol>{g.rules.map((r) => <RuleLine key={r.id} rule={r} />)}</ol>
        </section>
      ))}
      {rules.length > 0 && shown === 0 && <p className="drawer-empty">None of the {rules.length} rules is of that kind.</p>}
      <Signals />
      <div className="rule-add">
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => add({})}>New rule{layer ? ` on ${layer}` : ""}</button>
        <Makers />
        {layer && <button type="button" className="btn btn-sm btn-link" onClick={() => add({ source: null })}>on the whole piece</button>}
      </div>
    </div>
  );
};
