import { useEffect, useState } from "react";
import { Button, Dropdown, Table } from "react-bootstrap";
import { Link, useFetcher } from "react-router";
import type { EditionAbout } from "#server";
import { Markdown } from "../../parts/Markdown";
import { useSession } from "../../session/context";
import { Ago } from "../../ui/time/Ago";
import { Menu } from "../../ui/floating/Menu";
import { Reason } from "../Reason";
import { download } from "../download";
import type { EditionResult } from "./result";
import type { Using } from "./using";
import { editionsWords } from "../words";

interface RowProps {
  readonly edition: EditionAbout;
  readonly before: EditionAbout | undefined;
  readonly users: number;
  readonly now: number;
  readonly onNote: (text: string) => void;
}

const Row = ({ edition, before, users, now, onNote }: RowProps) => {
  const session = useSession();
  const fetcher = useFetcher<EditionResult>();
  const answer = fetcher.data;
  useEffect(() => {
    if (answer?.kind === "refused") onNote(answer.reason);
  }, [answer, onNote]);
  const [isWithdrawing, setWithdrawing] = useState(false);
  const [isOpen, setOpen] = useState(false);
  const { number, name, notes, lowered, withdrawn } = edition;
  const home = `/projects/${session.id}/system/editions`;
  const send = (reason: string | null) => {
    void fetcher.submit(
      { intent: "withdraw", number, withdrawn: reason },
      {
        method: "post",
        action: `/projects/${session.id}/editions`,
        encType: "application/json",
      },
    );
    setWithdrawing(false);
  };
  const save = () =>
    void download(session.editions, edition).then((trouble) => {
      if (trouble !== null) onNote(trouble);
    });
  return (
    <>
      <tr>
        <td className="edition-number">
          <Link to={`${home}/${number}`}>{number}</Link>
        </td>
        <td>
          {name}
          {withdrawn !== null && (
            <span className="withdrawn small-text">
              {" "}
              {editionsWords.withdrawnBecause(withdrawn)}
            </span>
          )}
          {lowered !== null && (
            <span className="quiet small-text"> {editionsWords.loweredBecause(lowered)}</span>
          )}
        </td>
        <td className="quiet">
          <Ago at={Date.parse(edition.publishedAt)} from={now} />
        </td>
        <td>{editionsWords.usedBy(users)}</td>
        <td className="edition-actions">
          {notes !== "" && (
            <Button
              variant="link"
              size="sm"
              aria-expanded={isOpen}
              onClick={() => setOpen(!isOpen)}
            >
              {editionsWords.notesOf(number)}
            </Button>
          )}
          <Dropdown align="end">
            <Dropdown.Toggle variant="tool" size="sm" aria-label={editionsWords.actions(number)}>
              …
            </Dropdown.Toggle>
            <Menu>
              <Dropdown.Item as={Link} to={`${home}/${number}`}>
                {editionsWords.lookAt}
              </Dropdown.Item>
              {before && (
                <Dropdown.Item as={Link} to={`${home}/compare?from=${before.number}&to=${number}`}>
                  {editionsWords.compareWith(before.number)}
                </Dropdown.Item>
              )}
              <Dropdown.Item as="button" type="button" onClick={save}>
                {editionsWords.download}
              </Dropdown.Item>
              <Dropdown.Divider />
              <Dropdown.Item
                as="button"
                type="button"
                onClick={() => (withdrawn === null ? setWithdrawing(true) : send(null))}
              >
                {withdrawn === null ? editionsWords.withdrawMore : editionsWords.offerAgain}
              </Dropdown.Item>
            </Menu>
          </Dropdown>
          {isWithdrawing && (
            <Reason
              title={editionsWords.withdrawTitle(edition.number)}
              confirm={editionsWords.withdraw}
              isAllowed={(reason) => reason !== ""}
              onGive={send}
              onClose={() => setWithdrawing(false)}
            >
              <p className="quiet">{editionsWords.withdrawMeans}</p>
            </Reason>
          )}
        </td>
      </tr>
      {isOpen && (
        <tr className="edition-notes">
          <td />
          <td colSpan={4}>
            <Markdown text={notes} />
          </td>
        </tr>
      )}
    </>
  );
};

interface Props {
  readonly published: readonly EditionAbout[];
  readonly adopters: readonly Using[];
  readonly now: number;
  readonly onNote: (text: string) => void;
}

/** The editions a project has published, the newest first. */
export const Published = ({ published, adopters, now, onNote }: Props) => {
  const session = useSession();
  const [first, second] = published;
  return (
    <section aria-labelledby="published">
      <div className="page-head">
        <h2 id="published">{editionsWords.publishedEditions}</h2>
        {first && second && (
          <Link
            to={`/projects/${session.id}/system/editions/compare?from=${second.number}&to=${first.number}`}
          >
            {editionsWords.compareAny}
          </Link>
        )}
      </div>
      <Table className="editions-table">
        <thead>
          <tr>
            <th>{editionsWords.number}</th>
            <th>{editionsWords.name}</th>
            <th>{editionsWords.when}</th>
            <th>{editionsWords.use}</th>
            <th>
              <span className="visually-hidden">{editionsWords.more}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {published.map((edition, i) => (
            <Row
              key={edition.number}
              edition={edition}
              before={published[i + 1]}
              users={adopters.filter((a) => a.number === edition.number).length}
              now={now}
              onNote={onNote}
            />
          ))}
        </tbody>
      </Table>
    </section>
  );
};
