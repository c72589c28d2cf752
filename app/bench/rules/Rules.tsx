import { useState } from "react";
import type { ClipboardEvent, KeyboardEvent } from "react";
import { Button } from "react-bootstrap";
import type { Id } from "#core/basics";
import { addUsualRule, copyRules, readRules, removeRules } from "#core/edit";
import { writeScxml } from "#core/formats/scxml";
import { traitsOf, variantName } from "#core/looks";
import { rivalsIn } from "#core/machine";
import type { Rival } from "#core/machine";
import { ROOT, inOrder } from "#core/project";
import { saveText } from "../../services/download";
import { useDisplayedProject } from "../../session/displayed";
import { Check } from "../../ui/fields/Check";
import { Pick } from "../../ui/fields/Pick";
import { useEdits } from "../commands/edits";
import {
  useActive,
  useBench,
  useChosen,
  useCommand,
  usePiece,
  useWorkpiece,
} from "../state/context";
import { ChosenRules } from "./ChosenRules";
import { listed } from "./listing";
import type { Grouping } from "./listing";
import { RuleLine } from "./RuleLine";
import { Signals } from "./Signals";
import { rulesWords } from "./words";

const groupings: readonly { readonly value: Grouping; readonly words: string }[] = [
  { value: "order", words: rulesWords.order },
  { value: "layer", words: rulesWords.byLayer },
  { value: "trigger", words: rulesWords.byTrigger },
];

/** Which rules are listed, and in which groups. */
interface Filter {
  readonly ofLayer: boolean;
  readonly inVariant: boolean;
  readonly grouping: Grouping;
}
const all: Filter = { ofLayer: false, inVariant: false, grouping: "order" };

interface FilterProps {
  readonly filter: Filter;
  readonly onFilter: (filter: Filter) => void;
  readonly shown: number;
}

const FilterBar = ({ filter, onFilter, shown }: FilterProps) => {
  const piece = usePiece();
  const chosen = useChosen();
  const { variant } = useActive();
  const count = Object.keys(piece.rules).length;
  return (
    <div className="rule-filter">
      <Check
        words={rulesWords.selection}
        checked={filter.ofLayer}
        disabled={chosen.length === 0 && !filter.ofLayer}
        onSwitch={(ofLayer) => onFilter({ ...filter, ofLayer })}
      />
      {traitsOf(piece).length > 0 && (
        <Check
          words={rulesWords.active(variantName(piece, variant))}
          checked={filter.inVariant}
          onSwitch={(inVariant) => onFilter({ ...filter, inVariant })}
        />
      )}
      <span className="quiet push">{shown < count && rulesWords.shownRules(shown, count)}</span>
      <Pick
        label={rulesWords.ruleOrder}
        value={filter.grouping}
        options={groupings}
        onPick={(grouping) => onFilter({ ...filter, grouping })}
      />
    </div>
  );
};

const NoRules = () => {
  const piece = usePiece();
  const needsTrait = traitsOf(piece).length === 0 && piece.kind === "component";
  return <p className="drawer-empty">{rulesWords.noRulesYetRule(needsTrait)}</p>;
};

/** Making rules, and saving them as a state chart. */
const RuleAdd = ({ onMade }: { onMade: (id: Id) => void }) => {
  const command = useCommand();
  const workpiece = useWorkpiece();
  const layers = usePiece((p) => p.layers);
  const openDialog = useBench((s) => s.openDialog);
  const any = usePiece((p) => Object.keys(p.rules).length > 0);
  const [lead] = useChosen();
  const layer = lead === undefined || lead === ROOT ? undefined : layers[lead];
  const add = (source: Id | null) =>
    command((project, piece) => {
      const { id, change } = addUsualRule(project, piece, source);
      onMade(id);
      return change;
    });
  const save = () => {
    const { piece, project } = workpiece;
    if (piece) saveText(`${piece.name}.scxml`, "application/scxml+xml", writeScxml(project, piece));
  };
  return (
    <div className="rule-add">
      <Button variant="outline-primary" size="sm" onClick={() => add(layer?.id ?? null)}>
        {rulesWords.addRule(layer?.name)}
      </Button>
      <Button variant="outline-primary" size="sm" onClick={() => openDialog({ kind: "readymade" })}>
        {rulesWords.readyMade}
      </Button>
      {any && (
        <Button
          variant="link"
          size="sm"
          className="push last"
          title={rulesWords.behaviourStateChartXml}
          onClick={save}
        >
          {rulesWords.exportAsScxml}
        </Button>
      )}
      {layer && (
        <Button variant="link" size="sm" onClick={() => add(null)}>
          {rulesWords.addRuleWholePiece}
        </Button>
      )}
    </div>
  );
};

interface Held {
  readonly shiftKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}

/** What is chosen after a rule was pressed: it alone, one more with Ctrl, all between with Shift. */
const chosenAfter = (
  picked: readonly Id[],
  inView: readonly Id[],
  id: Id,
  held: Held,
): readonly Id[] => {
  const from = inView.indexOf(picked.at(-1) ?? "");
  const to = inView.indexOf(id);
  if (held.shiftKey && from >= 0)
    return [...new Set([...picked, ...inView.slice(Math.min(from, to), Math.max(from, to) + 1)])];
  if (held.ctrlKey || held.metaKey)
    return picked.includes(id) ? picked.filter((x) => x !== id) : [...picked, id];
  return picked.length === 1 && picked[0] === id ? [] : [id];
};

const isField = (target: EventTarget): boolean =>
  target instanceof Element &&
  target.closest("input:not([type=checkbox]), select, textarea") !== null;

/** Keys and the clipboard, for the rules that are chosen. */
const useRuleHands = (picked: readonly Id[]) => {
  const command = useCommand();
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const chooseRules = useBench((s) => s.chooseRules);
  const remove = () => command((_, piece) => removeRules(piece, picked));
  const onKeyDown = (e: KeyboardEvent) => {
    if (isField(e.target) || picked.length === 0) return;
    if (e.key === "Escape") chooseRules([]);
    else if (e.key === "Delete" || e.key === "Backspace") remove();
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const onCopy = (e: ClipboardEvent) => {
    const { piece } = workpiece;
    if (isField(e.target) || picked.length === 0 || !piece) return;
    e.clipboardData.setData("text/plain", JSON.stringify(copyRules(piece, picked)));
    e.preventDefault();
    if (e.type === "cut") remove();
  };
  const onPaste = (e: ClipboardEvent) => {
    const clip = isField(e.target) ? null : readRules(e.clipboardData.getData("text/plain"));
    if (!clip) return;
    e.preventDefault();
    edits.pasteRules(clip);
  };
  return { onKeyDown, onCopy, onCut: onCopy, onPaste };
};

const none: readonly Rival[] = [];

/** What happens when: the piece's rules as sentences, edited in place. */
export const Rules = () => {
  const project = useDisplayedProject();
  const piece = usePiece();
  const chosen = useChosen();
  const { variant } = useActive();
  const [filter, setFilter] = useState(all);
  const [fresh, setFresh] = useState<Id | null>(null);
  const chooseRules = useBench((s) => s.chooseRules);
  const picked = useBench((s) => s.chosenRules).filter((id) => piece.rules[id]);
  const hands = useRuleHands(picked);
  const rules = inOrder(piece.rules);
  const groups = listed(piece, {
    layers: filter.ofLayer && chosen.length ? chosen : null,
    variant: filter.inVariant ? variant : null,
    grouping: filter.grouping,
  });
  const rivals = rivalsIn(project, piece);
  const inView = groups.flatMap((g) => g.rules.map((r) => r.id));
  return (
    <div className="rules" {...hands}>
      {picked.length > 0 && (
        <ChosenRules piece={piece} ids={picked} onClose={() => chooseRules([])} />
      )}
      {rules.length === 0 && <NoRules />}
      {rules.length > 1 && <FilterBar filter={filter} onFilter={setFilter} shown={inView.length} />}
      {groups.map((g) => (
        <section key={g.key}>
          {g.name && <h3 className="caption rule-group">{g.name}</h3>}
          <ol>
            {g.rules.map((r) => (
              <RuleLine
                key={r.id}
                rule={r}
                place={rules.indexOf(r) + 1}
                chosen={picked.includes(r.id)}
                rivals={rivals.get(r.id) ?? none}
                fresh={r.id === fresh}
                onChoose={(e) => chooseRules(chosenAfter(picked, inView, r.id, e))}
              />
            ))}
          </ol>
        </section>
      ))}
      {rules.length > 0 && inView.length === 0 && (
        <p className="drawer-empty">{rulesWords.noneRulesMatchThese(rules.length)}</p>
      )}
      <Signals />
      <RuleAdd onMade={setFresh} />
    </div>
  );
};
