import { useMemo, useState } from "react";
import { Button, Form, ListGroup, Modal } from "react-bootstrap";
import { ruleText } from "#core/describe";
import { make, makersFor, nextMotion } from "#core/edit";
import type { Given, Maker, Making, Parameter } from "#core/edit";
import { boundsIn } from "#core/layout";
import { ROOT, inOrder } from "#core/project";
import type { Piece } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { NumberField } from "../../ui/fields/NumberField";
import { useBench, useChosen, useCommand, usePiece, useWorkpiece } from "../state/context";
import { readingOrder } from "./readingOrder";
import { dialogsWords } from "./words";

interface FieldProps {
  readonly parameter: Parameter;
  readonly given: Given;
  readonly onGive: (key: string, value: number | string) => void;
}

const ParameterField = ({ parameter, given, onGive }: FieldProps) => {
  const { key, label } = parameter;
  const value = given[key] ?? parameter.value;
  if (parameter.kind === "choice")
    return (
      <label className="parameter">
        <span>{label}</span>
        <Form.Select size="sm" value={String(value)} onChange={(e) => onGive(key, e.target.value)}>
          {parameter.choices.map((c) => (
            <option key={c.value} value={c.value}>
              {c.words}
            </option>
          ))}
        </Form.Select>
      </label>
    );
  const { min, max, step, unit } = parameter;
  return (
    <div className="parameter">
      <span>{label}</span>
      <span>
        <NumberField
          label={label}
          value={Number(value)}
          min={min}
          max={max}
          step={step}
          unit={unit}
          onChange={(n) => onGive(key, n)}
        />
      </span>
    </div>
  );
};

/** What a maker would add, in sentences. */
const Preview = ({ piece, making }: { piece: Piece; making: Making }) => {
  const project = useDisplayedProject();
  const after: Piece = {
    ...piece,
    traits: { ...piece.traits, ...Object.fromEntries(making.traits.map((t) => [t.id, t])) },
  };
  const layers = new Set(making.looks.flatMap((l) => Object.keys(l.edits)));
  return (
    <ul className="make-preview">
      {making.traits.map((t) => (
        <li key={t.id}>
          {dialogsWords.newTrait(
            t.name,
            inOrder(t.values)
              .map((v) => v.name)
              .join(", "),
          )}
        </li>
      ))}
      {layers.size > 0 && <li>{dialogsWords.looksOneLayerLooks(layers.size)}</li>}
      {making.changed.map((r) => (
        <li key={r.id}>{dialogsWords.changesRule(ruleText(project, after, r))}</li>
      ))}
      {making.rules.map((r) => (
        <li key={r.id}>{ruleText(project, after, r)}</li>
      ))}
    </ul>
  );
};

const Chosen = ({ maker, piece }: { maker: Maker; piece: Piece }) => {
  const command = useCommand();
  const closeDialog = useBench((s) => s.closeDialog);
  const showRules = useBench((s) => s.showRules);
  const [given, setGiven] = useState<Given>({});
  const making = useMemo(() => maker.draw(given), [maker, given]);
  const add = () => {
    if (!command((project, now) => make(project, now, maker.name, making))) return;
    closeDialog();
    showRules([...making.changed, ...making.rules].map((r) => r.id));
  };
  return (
    <form
      className="ready-made"
      onSubmit={(e) => {
        e.preventDefault();
        add();
      }}
    >
      {maker.parameters.map((p) => (
        <ParameterField
          key={p.key}
          parameter={p}
          given={given}
          onGive={(key, value) => setGiven({ ...given, [key]: value })}
        />
      ))}
      <h3 className="caption">{dialogsWords.whatIsAdded}</h3>
      <Preview piece={piece} making={making} />
      <div className="actions end">
        <Button size="sm" variant="outline-secondary" onClick={closeDialog}>
          {dialogsWords.cancel}
        </Button>
        <Button size="sm" type="submit">
          {dialogsWords.add}
        </Button>
      </div>
    </form>
  );
};

/** What people wire by hand every time, made in one step. */
export const ReadyMade = () => {
  const piece = usePiece();
  const project = useDisplayedProject();
  const { scene } = useWorkpiece();
  const closeDialog = useBench((s) => s.closeDialog);
  const all = useChosen();
  const [picked, setPicked] = useState<string | null>(null);
  const makers = useMemo(() => {
    const chosen = all.filter((id) => id !== ROOT);
    const layers = scene ? readingOrder(chosen, boundsIn(scene)) : chosen;
    return makersFor({ project, piece, layers, motion: nextMotion(piece) });
  }, [project, piece, all, scene]);
  const maker = makers.find((m) => m.id === picked) ?? makers[0];
  return (
    <Modal show onHide={closeDialog} aria-labelledby="ready-made-title" size="lg">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="ready-made-title">
          {dialogsWords.readyMadeFor(
            all.length > 1 ? dialogsWords.layers(all.length) : piece.layers[all[0] ?? ROOT]?.name,
          )}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="ready-made-body">
        {!maker && <p className="note plain">{dialogsWords.noReadyMadeBehaviour}</p>}
        {maker && (
          <>
            <ListGroup className="ready-made-list" aria-label={dialogsWords.behaviours}>
              {makers.map((m) => (
                <ListGroup.Item
                  key={m.id}
                  action
                  as="button"
                  type="button"
                  active={m.id === maker.id}
                  aria-pressed={m.id === maker.id}
                  onClick={() => setPicked(m.id)}
                >
                  {m.name}
                </ListGroup.Item>
              ))}
            </ListGroup>
            <Chosen key={maker.id} maker={maker} piece={piece} />
          </>
        )}
      </Modal.Body>
    </Modal>
  );
};
