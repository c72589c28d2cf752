import { useState } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { adopt } from "#core/system";
import type { EditionAbout } from "#server";
import { Markdown } from "../../parts/Markdown";
import { useSession } from "../../session/context";
import { Pick } from "../../ui/fields/Pick";
import { lackText } from "../lack";
import { editionsWords } from "../words";
import { offerOf } from "./systems";
import type { System } from "./systems";

interface Props {
  readonly systems: readonly System[];
  readonly onAdopted: (words: string) => void;
  readonly onClose: () => void;
}

const offered = ({ editions }: System): readonly EditionAbout[] =>
  editions.filter(({ withdrawn }) => withdrawn === null);

/** Chooses a system and one of its editions to be used from now on. */
export const Adopt = ({ systems, onAdopted, onClose }: Props) => {
  const session = useSession();
  const choices = systems.filter((system) => offered(system).length > 0);
  const [chosen, setChosen] = useState(choices[0]?.id ?? "");
  const [number, setNumber] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const system = choices.find(({ id }) => id === chosen);
  const editions = system ? offered(system) : [];
  const edition = editions.find((e) => e.number === number) ?? editions[0];
  const run = async () => {
    if (!edition) return;
    setBusy(true);
    setTrouble(null);
    // all of it is there before anything is changed
    const lack = await session.editions.learn(edition.hash);
    setBusy(false);
    if (lack !== null) {
      setTrouble(lackText(lack));
      return;
    }
    const made = session.make((now) => adopt(now, offerOf(edition)));
    if (!made) {
      setTrouble(editionsWords.alreadyAdopted);
      return;
    }
    onAdopted(editionsWords.adoptedNow(edition.systemName, edition.number));
    onClose();
  };
  return (
    <Modal show onHide={onClose} aria-labelledby="adopt-title" scrollable>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="adopt-title">
          {editionsWords.adoptTitle}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {choices.length === 0 && <p className="quiet">{editionsWords.noneToAdopt}</p>}
        <div className="adopt-list" role="radiogroup" aria-label={editionsWords.system}>
          {choices.map(({ id, name, editions: all }) => (
            <Form.Check
              key={id}
              type="radio"
              name="system"
              id={`system-${id}`}
              checked={id === chosen}
              label={`${name} · ${editionsWords.editionCount(all.length)}`}
              onChange={() => {
                setChosen(id);
                setNumber(null);
              }}
            />
          ))}
        </div>
        {edition && (
          <>
            <p className="adopt-edition">
              {editionsWords.edition}{" "}
              <Pick
                label={editionsWords.edition}
                value={edition.number}
                options={editions.map((e) => ({
                  value: e.number,
                  words: editionsWords.numberName(e.number, e.name),
                }))}
                onPick={setNumber}
              />
            </p>
            {edition.notes !== "" && <Markdown text={edition.notes} />}
          </>
        )}
      </Modal.Body>
      <Modal.Footer>
        <span className="refusal publish-answer" role="alert">
          {trouble}
        </span>
        <Button variant="outline-primary" onClick={onClose}>
          {editionsWords.cancel}
        </Button>
        <Button disabled={!edition || isBusy} onClick={() => void run()}>
          {edition ? editionsWords.adoptNumber(edition.number) : editionsWords.adopt}
        </Button>
      </Modal.Footer>
    </Modal>
  );
};
