import { useState } from "react";
import type { ClipboardEvent, KeyboardEvent } from "react";
import { Button, Form } from "react-bootstrap";
import { addRule, copyRules, readRules, removeRules } from "#core/edit";
import { writeScxml } from "#core/formats/scxml";
import { traitsOf, variantName } from "#core/looks";
import { ROOT, inOrder } from "#core/project";
import { saveText } from "../../services/download";
import {
  useActive,
  useBench,
  useChosen,
  useCommand,
  usePiece,
  useWorkpiece,
} from "../state/context";
import { useEdits } from "../commands/edits";
import { ChosenRules } from "./ChosenRules";
import { listed } from "./listing";
import type { Grouping } from "./listing";
import { RuleLine, usualEffect } from "./RuleLine";
import type { Parts } from "./RuleLine";
import { Makers } from "./Makers";
import { Signals } from "./Signals";

/** What happens when: the piece's rules as sentences, edited in place. */
export const Rules = () => {
  const command = useCommand();
  const workpiece = useWorkpiece();
  const piece = usePiece();
  const chosen = useChosen();
  const rules = inOrder(piece.rules);
  const source = chosen[0] !== undefined && chosen[0] !== ROOT ? chosen[0] : null;
  const layer = source === null ? null : piece.layers[source]?.name;
  const { variant } = useActive();
  const [ofLayer, setOfLayer] = useState(false);
  const [inVariant, setInVariant] = useState(false);
  const [grouping, setGrouping] = useState<Grouping>("order");
  const groups = listed(piece, {
    layers: ofLayer && chosen.length ? chosen : null,
    variant: inVariant ? variant : null,
    grouping,
  });
  const shown = groups.reduce((n, g) => n + g.rules.length, 0);
  const edits = useEdits();
  const chooseRules = useBench((s) => s.chooseRules);
  const picked = useBench((s) => s.chosenRules).filter((id) => piece.rules[id]);
  const inView = groups.flatMap((g) => g.rules.map((r) => r.id));
  const pick = (id: string, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => {
    const from = inView.indexOf(picked.at(-1) ?? "");
    const to = inView.indexOf(id);
    if (e.shiftKey && from >= 0)
      chooseRules([
        ...new Set([...picked, ...inView.slice(Math.min(from, to), Math.max(from, to) + 1)]),
      ]);
    else if (e.ctrlKey || e.metaKey)
      chooseRules(picked.includes(id) ? picked.filter((x) => x !== id) : [...picked, id]);
    else chooseRules(picked.length === 1 && picked[0] === id ? [] : [id]);
  };
  const typing = (target: EventTarget) =>
    target instanceof Element &&
    target.closest("input:not([type=checkbox]), select, textarea") !== null;
  const onKey = (e: KeyboardEvent<HTMLDivElement>) => {
    if (typing(e.target) || picked.length === 0) return;
    if (e.key === "Escape") chooseRules([]);
    else if (e.key === "Delete" || e.key === "Backspace")
      command((_, now) => removeRules(now, picked));
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const onCopy = (e: ClipboardEvent<HTMLDivElement>) => {
    if (typing(e.target) || picked.length === 0) return;
    e.clipboardData.setData("text/plain", JSON.stringify(copyRules(piece, picked)));
    e.preventDefault();
    if (e.type === "cut") command((_, now) => removeRules(now, picked));
  };
  const onPaste = (e: ClipboardEvent<HTMLDivElement>) => {
    const clip = typing(e.target) ? null : readRules(e.clipboardData.getData("text/plain"));
    if (!clip) return;
    e.preventDefault();
    edits.pasteRules(clip);
  };
  const add = (given: Parts) => {
    command(
      (project, now) =>
        addRule(now, { source, effects: usualEffect(project, now), ...given }).change,
    );
  };
  return (
    <div className="rules" onKeyDown={onKey} onCopy={onCopy} onCut={onCopy} onPaste={onPaste}>
      {picked.length > 0 && (
        <ChosenRules piece={piece} ids={picked} onClose={() => chooseRules([])} />
      )}
      {rules.length === 0 && (
        <p className="drawer-empty">
          No rules yet. A rule says what happens when: “When the whole piece is clicked → Alerts
          becomes the opposite, tween 200 ms”.{" "}
          {traitsOf(piece).length === 0 && piece.kind === "component"
            ? "Declare a trait first, so that there is something to change."
            : ""}
        </p>
      )}
      {rules.length > 1 && (
        <div className="rule-filter">
          <label>
            <Form.Check.Input
              checked={ofLayer}
              disabled={chosen.length === 0 && !ofLayer}
              onChange={(e) => setOfLayer(e.target.checked)}
            />{" "}
            of what is chosen
          </label>
          {traitsOf(piece).length > 0 && (
            <label>
              <Form.Check.Input
                checked={inVariant}
                onChange={(e) => setInVariant(e.target.checked)}
              />{" "}
              that may fire in {variantName(piece, variant)}
            </label>
          )}
          <span className="quiet push">
            {shown < rules.length && `${shown} of ${rules.length} rules`}
          </span>
          <Form.Select
            className="word"
            aria-label="Order of the rules"
            value={grouping}
            onChange={(e) => setGrouping(e.target.value as Grouping)}
          >
            <option value="order">in their order</option>
            <option value="layer">by layer</option>
            <option value="trigger">by trigger</option>
          </Form.Select>
        </div>
      )}
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
                onChoose={(e) => pick(r.id, e)}
              />
            ))}
          </ol>
        </section>
      ))}
      {rules.length > 0 && shown === 0 && (
        <p className="drawer-empty">None of the {rules.length} rules is of that kind.</p>
      )}
      <Signals />
      <div className="rule-add">
        <Button variant="outline-primary" size="sm" onClick={() => add({})}>
          New rule{layer ? ` on ${layer}` : ""}
        </Button>
        <Makers />
        {rules.length > 0 && (
          <Button
            variant="link"
            size="sm"
            className="push last"
            title="The behaviour as State Chart XML, a W3C standard; docs/scxml.md says how"
            onClick={() =>
              saveText(
                `${piece.name}.scxml`,
                "application/scxml+xml",
                writeScxml(workpiece.project, piece),
              )
            }
          >
            Save as SCXML
          </Button>
        )}
        {layer && (
          <Button variant="link" size="sm" onClick={() => add({ source: null })}>
            on the whole piece
          </Button>
        )}
      </div>
    </div>
  );
};
