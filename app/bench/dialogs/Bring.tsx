import { useEffect, useState } from "react";
import { Button, Modal } from "react-bootstrap";
import { useFetcher } from "react-router";
import { strangersIn } from "#core/edit";
import type { Carried, Clip } from "#core/edit";
import { adopt } from "#core/system";
import type { EditionAbout } from "#server";
import { useDisplayedProject } from "../../session/displayed";
import { useSession } from "../../session/context";
import { useArranging } from "../commands/arranging";
import { useBench } from "../state/context";
import { dialogsWords } from "./words";

interface Props {
  readonly clip: Clip;
  readonly inPlace: boolean;
}

/** What a system has published, the newest first; `asking` until that is known. */
type Published = "asking" | "away" | readonly EditionAbout[];

const usePublished = (system: string): Published => {
  const fetcher = useFetcher<{ published: readonly EditionAbout[] | null }>();
  const { load } = fetcher;
  useEffect(() => {
    void load(`/projects/${system}/editions`);
  }, [load, system]);
  if (!fetcher.data) return "asking";
  const { published } = fetcher.data;
  return published?.filter(({ withdrawn }) => withdrawn === null) ?? "away";
};

/** Copied layers show components of another project: adopts its system, or brings them along. */
export const Bring = ({ clip, inPlace }: Props) => {
  const session = useSession();
  const project = useDisplayedProject();
  const close = useBench((s) => s.closeDialog);
  const arranging = useArranging();
  const [trouble, setTrouble] = useState<string | null>(null);
  const strangers: readonly Carried[] = strangersIn(session.id, project, clip);
  const [first] = strangers;
  const published = usePublished(first?.system ?? "");
  const edition = typeof published === "string" ? undefined : published[0];
  const adoptSystem = async () => {
    if (!edition) return;
    const lack = await session.editions.learn(edition.hash);
    const holds = session.editions.known.get(edition.hash)?.pieces[first?.inner ?? ""];
    if (lack !== null || !holds) {
      setTrouble(lack === null ? dialogsWords.notInEdition : dialogsWords.editionAway);
      return;
    }
    const { system, systemName: name, number, hash } = edition;
    session.make((now) => adopt(now, { system, name, number, edition: hash }));
    // another system may be needed, too: then it is asked for next
    close();
    arranging.paste(JSON.stringify(clip), inPlace);
  };
  const bring = () => {
    arranging.pasteAlong(clip, inPlace);
    close();
  };
  return (
    <Modal show onHide={close} aria-labelledby="bring-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="bring-title">
          {dialogsWords.bringTitle}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>{dialogsWords.bringNames(strangers.map(({ name }) => name))}</p>
        {edition && <p>{dialogsWords.adoptMeans(edition.systemName)}</p>}
        <p>{dialogsWords.bringMeans}</p>
        {published === "away" && <p className="quiet">{dialogsWords.systemAway}</p>}
        {published.length === 0 && <p className="quiet">{dialogsWords.nothingPublished}</p>}
        {trouble !== null && (
          <p className="refusal" role="alert">
            {trouble}
          </p>
        )}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={close}>
          {dialogsWords.cancel}
        </Button>
        <Button variant="outline-primary" onClick={bring}>
          {dialogsWords.bringAlong}
        </Button>
        {edition && (
          <Button onClick={() => void adoptSystem()}>
            {dialogsWords.adoptEdition(edition.systemName, edition.number)}
          </Button>
        )}
      </Modal.Footer>
    </Modal>
  );
};
