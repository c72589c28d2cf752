import { memo } from "react";
import { Button } from "react-bootstrap";
import { conditionText, reachesFor, sameConditions, variantsOf } from "#core/looks";
import type { Reach } from "#core/looks";
import type { Varying } from "#core/project";
import { useSession } from "../../../session/context";
import { Choices } from "../../../ui/fields/Choices";
import { useActive, useBench, useVarying } from "../../state/context";
import { stageWords } from "../words";

const keyOf = (whens: Reach["whens"]): string => JSON.stringify(whens);

/** What a scope is called: by what it reaches. */
const reachText = (piece: Varying, { whens, reach }: Reach, all: number): string => {
  const [first = {}] = whens;
  if (reach === all) return all === 1 ? stageWords.onlyVariant : stageWords.allVariants(all);
  if (reach === 1) return stageWords.onlyThisOne;
  return whens.length > 1
    ? stageWords.onlyThese(reach)
    : stageWords.where(conditionText(piece, first));
};

/** What happened beside the scope, and what is offered about it. */
const HintLine = () => {
  const hint = useBench((s) => s.hint);
  const tell = useBench((s) => s.tell);
  return (
    <div role="status" className={hint ? "scope-hint" : "scope-quiet"}>
      {hint && (
        <>
          <span>{hint.text}</span>
          {hint.offer && (
            <Button
              variant="link"
              size="sm"
              onClick={() => {
                tell(null);
                hint.offer?.run();
              }}
            >
              {hint.offer.label}
            </Button>
          )}
          <Button variant="link" size="sm" onClick={() => tell(null)}>
            {stageWords.close}
          </Button>
        </>
      )}
    </div>
  );
};

/**
 * "Changes reach …": which variants the next edit will reach, always visible; a click widens or
 * narrows it.
 */
export const ScopeBar = memo(function ScopeBar() {
  const piece = useVarying();
  const { variants, whens } = useActive();
  const reach = useBench((s) => s.reach);
  const all = variantsOf(piece).length;
  const reaches = reachesFor(piece, variants);
  const why =
    variants.length > 1 ? stageWords.selectedCardsSmallestScope : "; what sets this variant apart";
  const chosen = reaches.find((r) => sameConditions(r.whens, whens));
  const usual = reaches.find((r) => r.suggested);
  const isNarrowed = chosen !== undefined && usual !== undefined && chosen.reach < usual.reach;
  const { moment } = useSession();
  if (moment !== null)
    return (
      <div className="scope-bar">
        <div className="scope-line quiet">{stageWords.earlierMoment}</div>
      </div>
    );
  return (
    <div className={isNarrowed ? "scope-bar narrowed" : "scope-bar"}>
      <div className="scope-line">
        <span className="scope-lead" aria-hidden="true">
          {isNarrowed ? stageWords.limited : stageWords.changesApply}
        </span>
        <span className="visually-hidden" role="status">
          {isNarrowed && stageWords.narrowerThanSuggestedUntil}
        </span>
        <Choices
          label={stageWords.changesApply}
          variant="chip"
          value={chosen ? keyOf(chosen.whens) : ""}
          onChoose={(key) => reach(reaches.find((r) => keyOf(r.whens) === key)?.whens ?? null)}
          choices={reaches.map((r) => ({
            value: keyOf(r.whens),
            title: stageWords.appliesVariants(r.reach, all, r.suggested ? why : ""),
            words: (
              <>
                {reachText(piece, r, all)}
                {r.reach > 1 && r.reach !== all && <span className="scope-count"> {r.reach}</span>}
              </>
            ),
          }))}
        />
        {isNarrowed && (
          <Button
            variant="link"
            size="sm"
            title={stageWords.backTo(reachText(piece, usual, all))}
            onClick={() => reach(null)}
          >
            {stageWords.widen}
          </Button>
        )}
        {variants.length > 1 && (
          <span className="scope-cards">{stageWords.cardsSelected(variants.length)}</span>
        )}
      </div>
      <HintLine />
    </div>
  );
});
