import { conditionText, sameCondition, scopesFor, variantsOf } from "#core/looks";
import { useActive, useBench } from "./state";

/** "Changes reach …": which variants the next edit will reach, always visible; a click widens or narrows it. */
export const ScopeBar = () => {
  const { piece, variant, when } = useActive();
  const reach = useBench((s) => s.reach);
  const hint = useBench((s) => s.hint);
  const put = useBench((s) => s.put);
  const all = variantsOf(piece).length;
  const scopes = scopesFor(piece, variant);
  const words = (c: typeof when, n: number) => (n === all ? (all === 1 ? "the only variant" : `all ${all} variants`) : n === 1 ? "only this one" : `where ${conditionText(piece, c)}`);
  return (
    <div className="scope-bar">
      <div className="scope-line" role="radiogroup" aria-label="Changes reach">
        <span className="scope-lead" aria-hidden="true">Changes reach</span>
        {scopes.map((s) => {
          const on = sameCondition(s.when, when);
          return (
            <button key={JSON.stringify(s.when)} type="button" role="radio" aria-checked={on} className={`scope-chip${on ? " on" : ""}`}
              title={`Reaches ${s.reach} of ${all} variants${s.suggested ? "; what sets this variant apart" : ""}`} onClick={() => reach(s.when)}>
              {words(s.when, s.reach)}{s.reach > 1 && s.reach !== all && <span className="scope-count"> {s.reach}</span>}
            </button>
          );
        })}
      </div>
      {hint !== null && (
        <div className="scope-hint" role="status">
          <span>{hint}</span>
          <button type="button" className="btn btn-link btn-sm p-0" onClick={() => put({ hint: null })}>Close</button>
        </div>
      )}
    </div>
  );
};
