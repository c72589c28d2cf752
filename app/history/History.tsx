import { useEffect, useState } from "react";
import { Button } from "react-bootstrap";
import { useRevalidator, useSearchParams } from "react-router";
import type { Moment, Sittings, Told } from "#server";
import { useSeq, useSession } from "../session/context";
import { MomentView } from "./MomentView";
import { Strip } from "./Strip";
import { historyPageWords } from "./words";

/** A strip that is looked at follows what is changed meanwhile after such a pause, ms. */
const FOLLOW_AFTER = 1500;

/** Asks for the newest sittings again once the project was changed. */
const useFollowing = (): void => {
  const { revalidate } = useRevalidator();
  const seq = useSeq();
  const [known] = useState(seq);
  useEffect(() => {
    if (seq === known) return;
    const timer = setTimeout(() => void revalidate(), FOLLOW_AFTER);
    return () => clearTimeout(timer);
  }, [seq, known, revalidate]);
};

/** The sitting that a moment belongs to: the one it ends, or the shortest around it. */
const sittingAt = (sittings: readonly Told[], seq: number): Told | null => {
  const around = sittings
    .filter(({ first, last }) => seq >= first && seq <= last)
    .toSorted((a, b) => a.last - a.first - (b.last - b.first));
  return around.find(({ last }) => last === seq) ?? around[0] ?? null;
};

interface Props {
  /** the newest sittings */
  readonly first: Sittings;
  readonly named: readonly Moment[];
  /** ms since 1970 */
  readonly createdAt: number;
}

/** What became of a project: sittings on the left, the chosen moment on the right. */
export const History = ({ first, named, createdAt }: Props) => {
  useFollowing();
  const session = useSession();
  const [search, setSearch] = useSearchParams();
  const [more, setMore] = useState<readonly Told[]>([]);
  const [older, setOlder] = useState(first.older);
  const [isRefused, setRefused] = useState(false);
  const at = search.get("at");
  const chosen = at !== null && /^\d{1,10}$/.test(at) ? Number(at) : null;
  const sittings = [...first.sittings, ...more.filter(({ last }) => last < (first.older ?? 0))];
  const inside = chosen === null ? null : sittingAt(sittings, chosen);
  const choose = (seq: number) =>
    setSearch({ at: String(seq) }, { replace: true, preventScrollReset: true });
  const showOlder = async (): Promise<void> => {
    const answer = await fetch(`/projects/${session.id}/history/sittings?before=${older}`);
    if (!answer.ok) throw new Error(`the server answered ${answer.status}`);
    const next = (await answer.json()) as Sittings;
    setMore([...more, ...next.sittings]);
    setOlder(next.older);
    setRefused(false);
  };
  return (
    <>
      <section className="history-strip" aria-labelledby="history-title">
        <h1 id="history-title" tabIndex={-1}>
          {historyPageWords.title}
        </h1>
        {sittings.length === 0 && <p className="quiet">{historyPageWords.none}</p>}
        <Strip
          sittings={sittings}
          named={named}
          createdAt={older === null ? createdAt : null}
          chosen={inside?.last ?? chosen}
          onChoose={choose}
        />
        {older !== null && (
          <p className="actions">
            <Button
              size="sm"
              variant="outline-primary"
              onClick={() => void showOlder().catch(() => setRefused(true))}
            >
              {historyPageWords.older}
            </Button>
            {isRefused && <span className="refusal">{historyPageWords.olderFailed}</span>}
          </p>
        )}
      </section>
      <section className="history-moment" aria-label={historyPageWords.moment}>
        {chosen === null ? (
          <p className="quiet page-empty">{historyPageWords.choose}</p>
        ) : (
          <MomentView
            key={chosen}
            seq={chosen}
            name={named.find(({ seq }) => seq === chosen)?.name ?? null}
            sitting={inside}
            onChoose={choose}
          />
        )}
      </section>
    </>
  );
};
