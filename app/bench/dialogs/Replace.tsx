import { useMemo, useState } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import type { ValuePlace } from "#core/edit";
import { conditionText } from "#core/looks";
import type { Project } from "#core/project";
import { labelOf } from "#core/properties";
import { useBench, useCommand, usePiece } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { found, keysWithText, replacements, replacing, saidText } from "./replacing";
import { dialogsWords } from "./words";

/** How many places are listed at most. */
const LISTED = 60;

const whereWords = (project: Project, place: ValuePlace, everywhere: boolean): string => {
  const home = project.pieces[place.piece];
  const look = home?.looks[place.look];
  const condition = look && home && Object.keys(look.when).length > 0;
  return dialogsWords.place(
    condition ? conditionText(home, look.when) : null,
    everywhere ? (home?.name ?? "") : null,
  );
};

interface PlacesProps {
  readonly places: readonly ValuePlace[];
  readonly everywhere: boolean;
}

const Places = ({ places, everywhere }: PlacesProps) => {
  const project = useDisplayedProject();
  return (
    <ul className="replace-list" aria-label={dialogsWords.places}>
      {places.slice(0, LISTED).map((p) => (
        <li key={`${p.piece} ${p.look} ${p.layer} ${p.key}`}>
          <b>{project.pieces[p.piece]?.layers[p.layer]?.name}</b> {labelOf(p.key)}{" "}
          <span className="mono">{saidText(project, p)}</span>
          <span className="quiet"> {whereWords(project, p, everywhere)}</span>
        </li>
      ))}
    </ul>
  );
};

/** Find a value said anywhere in the piece or the project, and say another one there instead. */
export const Replace = () => {
  const command = useCommand();
  const project = useDisplayedProject();
  const piece = usePiece();
  const closeDialog = useBench((s) => s.closeDialog);
  const chosen = useBench((s) => s.chosen);
  const [key, setKey] = useState("any");
  const [find, setFind] = useState("");
  const [next, setNext] = useState("");
  const [where, setWhere] = useState<"layers" | "piece" | "project">("piece");
  const [done, setDone] = useState<string | null>(null);
  const places = useMemo(
    () =>
      found(project, {
        find,
        key,
        piece: where === "project" ? null : piece.id,
        layers: where === "layers" ? chosen : null,
      }),
    [project, piece, find, key, where, chosen],
  );
  const good = replacements(project, places, find, next);
  const unsuited = next.trim() !== "" && places.length > 0 && good.length === 0;
  const run = () => {
    const label = dialogsWords.replaceWithPlaces(find, next, good.length);
    if (command(() => replacing(label, good))) {
      setDone(dialogsWords.replacedPlace(good.length));
    }
  };
  const count =
    find.trim() === "" ? dialogsWords.enterValueAsShown : dialogsWords.placePlaces(places.length);
  return (
    <Modal show onHide={closeDialog} aria-labelledby="replace-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="replace-title">
          {dialogsWords.findReplaceValue}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <form
          className="replace-form"
          onSubmit={(e) => {
            e.preventDefault();
            if (good.length) run();
          }}
        >
          <label>
            {dialogsWords.property}{" "}
            <Form.Select size="sm" value={key} onChange={(e) => setKey(e.target.value)}>
              <option value="any">{dialogsWords.any}</option>
              {keysWithText.map((p) => (
                <option key={p.key} value={p.key}>
                  {labelOf(p.key)}
                </option>
              ))}
            </Form.Select>
          </label>
          <label>
            {dialogsWords.find}{" "}
            <Form.Control
              size="sm"
              autoFocus
              value={find}
              onChange={(e) => {
                setFind(e.target.value);
                setDone(null);
              }}
              placeholder={dialogsWords.c9c3b416Dock}
            />
          </label>
          <label>
            {dialogsWords.replaceWith}{" "}
            <Form.Control
              size="sm"
              value={next}
              onChange={(e) => {
                setNext(e.target.value);
                setDone(null);
              }}
              placeholder={dialogsWords.valueTokenName}
            />
          </label>
          <label>
            {dialogsWords.in}{" "}
            <Form.Select
              size="sm"
              value={where}
              onChange={(e) => setWhere(e.target.value as typeof where)}
            >
              <option value="layers">{dialogsWords.selectedLayers}</option>
              <option value="piece">{piece.name}</option>
              <option value="project">{dialogsWords.wholeProject}</option>
            </Form.Select>
          </label>
          <Places places={places} everywhere={where === "project"} />
          <p className="note plain" role="status">
            {done ?? (unsuited ? dialogsWords.thesePropertiesCannotTake : count)}
          </p>
          <div className="actions end">
            <Button size="sm" type="submit" disabled={good.length === 0}>
              {dialogsWords.replace(good.length)}
            </Button>
          </div>
        </form>
      </Modal.Body>
    </Modal>
  );
};
