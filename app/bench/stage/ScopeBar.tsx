import { conditionText, reachesFor, sameConditions, variantsOf } from "#core/looks";
import type { Reach } from "#core/looks";
import { useActive, useBench } from "../state/state";

/**
 * "Changes reach …": which variants the next edit will reach, always visible; a click widens or
 * narrows it.
 */
export const ScopeBar = () => {
  const { piece, variants, whens } = useActive();
  const reach = useBench((s) => s.reach);
  const hint = useBench((s) => s.hint);
  const offer = useBench((s) => s.offer);
  const put = useBench((s) => s.put);
  const all = variantsOf(piece).length;
  const reaches = reachesFor(piece, variants);
  const why =
    variants.length > 1
      ? "; exactly the chosen ones or the fewest around them"
      : "; what sets this variant apart";
  const words = ({ whens: conditions, reach: n }: Reach) => {
    const [first] = conditions;
    if (n === all) return all === 1 ? "the only variant" : `all ${all} variants`;
    if (n === 1) return "only this one";
    return conditions.length > 1 ? `only these ${n}` : `where ${conditionText(piece, first ?? {})}`;
  };
  return (
    <div className="scope-bar">
      <div className="scope-line" role="radiogroup" aria-label="Changes reach">
        <span className="scope-lead" aria-hidden="true">
          Changes reach
        </span>
        {reaches.map((r) => {
          const on = sameConditions(r.whens, whens);
          return (
            <button
              key={JSON.stringify(r.whens)}
              type="button"
              role="radio"
              aria-checked={on}
              className={`scope-chip${on ? " on" : ""}`}
              title={`Reaches ${r.reach} of ${all} variants${r.suggested ? why : ""}`}
              onClick={() => reach(r.whens)}
            >
              {words(r)}
              {r.reach > 1 && r.reach !== all && <span className="scope-count"> {r.reach}</span>}
            </button>
          );
        })}
        {variants.length > 1 && <span className="scope-cards">{variants.length} cards chosen</span>}
      </div>
      {hint !== null && (
        <div className="scope-hint" role="status">
          <span>{hint}</span>
          {offer && (
            <button
              type="button"
              className="btn btn-link btn-sm p-0"
              onClick={() => {
                put({ hint: null, offer: null });
                offer.run();
              }}
            >
              {offer.label}
            </button>
          )}
          <button
            type="button"
            className="btn btn-link btn-sm p-0"
            onClick={() => put({ hint: null, offer: null })}
          >
            Close
          </button>
        </div>
      )}
    </div>
  );
};
