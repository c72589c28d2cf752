import { useEffect, useMemo, useState } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { useFetcher } from "react-router";
import { acceptFinding } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import type { Project } from "#core/project";
import { numberAfter, weightBetween, weights } from "#core/system";
import type { Numbered, Obstacle, Weight } from "#core/system";
import type { EditionAbout, EditionRequest } from "#server";
import { FindingLink } from "../../library/FindingLink";
import { Markdown } from "../../parts/Markdown";
import { obstaclesTo } from "../../services/editions";
import { useSave, useSession } from "../../session/context";
import { Pick } from "../../ui/fields/Pick";
import { Progress } from "../Progress";
import type { EditionResult } from "./result";
import { useWork } from "../useWork";
import { editionsWords } from "../words";

/** So many reasons are kept with an edition, the heaviest first. */
const MOST_REASONS = 1000;
/** Letters of a reason that are kept. */
const LONGEST = 600;

const order: readonly Weight[] = ["breaking", "feature", "patch"];

const reasonsOf = ({ differences }: Numbered) =>
  order
    .flatMap((weight) => differences.filter((d) => d.weight === weight))
    .slice(0, MOST_REASONS)
    .map(({ kind, weight, subject, part, text }) => ({
      kind,
      weight,
      subject,
      ...(part === undefined ? {} : { part }),
      text: text.slice(0, LONGEST),
    }));

/** The numbers that may follow an edition: what each says of what changed. */
const numbersAfter = (newest: EditionAbout | null, numbered: Numbered) =>
  newest
    ? [...weights].map((weight) => {
        const number = numberAfter(newest.number, weight);
        const words = editionsWords.numberSays(number, editionsWords.weights[weight]);
        return { value: number, words };
      })
    : [{ value: numbered.number, words: numbered.number }];

interface ObstaclesProps {
  readonly obstacles: readonly Obstacle[];
}

/** What stands in the way, each to be mended or to be accepted with a reason. */
const Obstacles = ({ obstacles }: ObstaclesProps) => {
  const session = useSession();
  const [reasons, setReasons] = useState<Readonly<Record<string, string>>>({});
  return (
    <ul className="obstacles">
      {obstacles.map(({ piece, finding }) => {
        const key = `${piece} ${finding.id}`;
        const reason = reasons[key] ?? "";
        const accept = () =>
          session.run((now) => {
            const present = now.pieces[piece];
            return present && acceptFinding(present, finding.id, reason.trim());
          });
        return (
          <li key={key}>
            <FindingLink piece={piece} finding={finding} />
            <span className="obstacle-accept">
              <Form.Control
                size="sm"
                value={reason}
                maxLength={300}
                aria-label={editionsWords.whyAccepted}
                placeholder={editionsWords.whyAccepted}
                onChange={(e) => setReasons({ ...reasons, [key]: e.target.value })}
              />
              <Button
                size="sm"
                variant="outline-primary"
                disabled={reason.trim() === ""}
                onClick={accept}
              >
                {editionsWords.accept}
              </Button>
            </span>
          </li>
        );
      })}
    </ul>
  );
};

/** Whether a number asks less of those who use the system than what changed. */
const asksLess = (newest: EditionAbout | null, { weight }: Numbered, number: string): boolean => {
  const given = newest && weightBetween(newest.number, number);
  return given !== null && weight !== null && weights.indexOf(given) < weights.indexOf(weight);
};

/** What is said of an edition when it is published. */
interface Said {
  readonly number: string;
  readonly name: string;
  /** why a lower number is right */
  readonly why: string;
}

interface NumberProps {
  readonly newest: EditionAbout | null;
  readonly numbered: Numbered;
  readonly said: Said;
  readonly isLower: boolean;
  readonly onSaid: (said: Said) => void;
}

/** The number of an edition with what it follows from, and its name. */
const NumberAndName = ({ newest, numbered, said, isLower, onSaid }: NumberProps) => (
  <>
    <div className="publish-line">
      <span>
        {editionsWords.number}{" "}
        <Pick
          label={editionsWords.number}
          value={said.number}
          options={numbersAfter(newest, numbered)}
          onPick={(number) => onSaid({ ...said, number })}
        />
      </span>
      <Form.Label className="publish-name">
        {editionsWords.name}
        <Form.Control
          size="sm"
          autoFocus
          value={said.name}
          maxLength={120}
          placeholder={editionsWords.nameHint}
          onChange={(e) => onSaid({ ...said, name: e.target.value })}
        />
      </Form.Label>
    </div>
    <p className="quiet small-text">
      {numbered.weight
        ? editionsWords.follows(numbered.number, editionsWords.weights[numbered.weight])
        : editionsWords.firstNumber}
    </p>
    {isLower && (
      <Form.Label className="publish-why">
        {editionsWords.whyLower}
        <Form.Control
          size="sm"
          value={said.why}
          maxLength={500}
          onChange={(e) => onSaid({ ...said, why: e.target.value })}
        />
      </Form.Label>
    )}
  </>
);

interface Props {
  readonly env: LayoutEnv;
  readonly world: Project;
  readonly newest: EditionAbout | null;
  readonly numbered: Numbered;
  readonly onPublished: (edition: EditionAbout) => void;
  readonly onClose: () => void;
}

/** Publishes an edition: its number with what it follows from, its name, what is said of it. */
export const Publish = ({ env, world, newest, numbered, onPublished, onClose }: Props) => {
  const session = useSession();
  const save = useSave();
  const fetcher = useFetcher<EditionResult>();
  const [said, setSaid] = useState<Said>({ number: numbered.number, name: "", why: "" });
  const [notes, setNotes] = useState(numbered.notes);
  // components are looked through once: what is accepted meanwhile is left out below
  const [looked] = useState(world);
  const begin = useMemo(
    () => (tell: Parameters<typeof obstaclesTo>[2]) => obstaclesTo(env, looked, tell),
    [env, looked],
  );
  const work = useWork(begin);
  const open = (work.result ?? []).filter(
    ({ piece, finding }) => !(finding.id in (world.pieces[piece]?.accepted ?? {})),
  );
  const isLower = asksLess(newest, numbered, said.number);
  const answer = fetcher.data;
  useEffect(() => {
    if (answer?.kind !== "published") return;
    onPublished(answer.edition);
    onClose();
  }, [answer, onPublished, onClose]);
  const publish = () => {
    const request: EditionRequest = {
      intent: "publish",
      seq: session.seq,
      number: said.number,
      name: said.name.trim(),
      notes,
      reasons: reasonsOf(numbered),
      lowered: isLower ? said.why.trim() : null,
    };
    void fetcher.submit(JSON.parse(JSON.stringify(request)) as never, {
      method: "post",
      action: `/projects/${session.id}/editions`,
      encType: "application/json",
    });
  };
  const isReady =
    work.result !== null &&
    open.length === 0 &&
    save.kind === "saved" &&
    fetcher.state === "idle" &&
    (!isLower || said.why.trim() !== "");
  return (
    <Modal show onHide={onClose} size="lg" scrollable aria-labelledby="publish-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="publish-title">
          {editionsWords.publishTitle(world.name)}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="publish-body">
        <NumberAndName
          newest={newest}
          numbered={numbered}
          said={said}
          isLower={isLower}
          onSaid={setSaid}
        />
        <h3>{editionsWords.standsInTheWay}</h3>
        {work.result === null && <Progress work={work} />}
        {work.result && open.length === 0 && (
          <p className="quiet">{editionsWords.nothingInTheWay}</p>
        )}
        {open.length > 0 && <Obstacles obstacles={open} />}
        <Form.Label className="publish-notes">
          <h3>{editionsWords.notes}</h3>
          <Form.Control
            as="textarea"
            rows={10}
            value={notes}
            onChange={(e) => setNotes(e.target.value)}
          />
        </Form.Label>
        <details>
          <summary>{editionsWords.preview}</summary>
          <Markdown text={notes} />
        </details>
      </Modal.Body>
      <Modal.Footer>
        <span className="refusal publish-answer" role="alert">
          {answer?.kind === "refused" && answer.reason}
          {answer?.kind === "changed" && editionsWords.changedMeanwhile}
        </span>
        <Button variant="outline-primary" onClick={onClose}>
          {editionsWords.cancel}
        </Button>
        <Button disabled={!isReady} onClick={publish}>
          {save.kind === "saved"
            ? editionsWords.publishNumber(said.number)
            : editionsWords.savingFirst}
        </Button>
      </Modal.Footer>
    </Modal>
  );
};
