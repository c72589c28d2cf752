import { useMemo } from "react";
import { Button } from "react-bootstrap";
import { Link, useSearchParams } from "react-router";
import type { Project } from "#core/project";
import type { Difference } from "#core/system";
import type { Moment as Named } from "#server";
import { Differences } from "../editions/Differences";
import { Progress } from "../editions/Progress";
import { useWork } from "../editions/useWork";
import type { Begin } from "../editions/useWork";
import { momentsCompared } from "../services/editions";
import { useEnv } from "../services/env";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { Pick } from "../ui/fields/Pick";
import { exactTime } from "../ui/time/ago";
import { useMoment } from "./moment";
import { historyPageWords } from "./words";

const NOW = "now";

interface PairProps {
  readonly before: Project;
  readonly after: Project;
}

/** What differs between two moments, in values and pictures. */
const Pair = ({ before, after }: PairProps) => {
  const env = useEnv(after.assets);
  const begin: Begin<readonly Difference[]> | null = useMemo(
    () => env && ((tell) => momentsCompared(env, before, after, tell)),
    [env, before, after],
  );
  const work = useWork(begin);
  if (!env || !work.result) return <Progress work={work} />;
  if (work.result.length === 0)
    return <p className="quiet page-empty">{historyPageWords.nothingDiffers}</p>;
  return (
    <>
      <h2>{historyPageWords.whatChanged}</h2>
      <Differences env={env} before={before} after={after} differences={work.result} isPlain />
    </>
  );
};

const isNumber = (text: string | null): text is string => text !== null && /^\d{1,10}$/.test(text);

interface Props {
  readonly named: readonly Named[];
}

/** Any two moments of a project, with all that differs between them. */
export const Compare = ({ named }: Props) => {
  const session = useSession();
  const present = useDisplayedProject();
  const [search, setSearch] = useSearchParams();
  const read = (key: string, usual: string): string => {
    const text = search.get(key);
    return isNumber(text) || text === NOW ? text : usual;
  };
  const [from, to] = [read("from", "0"), read("to", NOW)];
  const then = useMoment(session.id, from === NOW ? null : Number(from));
  const later = useMoment(session.id, to === NOW ? null : Number(to));
  const sides = [from === NOW ? null : then, to === NOW ? null : later];
  const worldOf = (side: (typeof sides)[number] | undefined): Project | null => {
    if (!side) return present;
    return side.kind === "there" ? side.value.world : null;
  };
  const [before, after] = [worldOf(sides[0]), worldOf(sides[1])];
  const failed = sides.find((side) => side?.kind === "failed");
  const timeOf = (seq: string): string => {
    const side = [then, later].find((s) => s.kind === "there" && String(s.value.seq) === seq);
    return side?.kind === "there" ? exactTime(side.value.at) : historyPageWords.after(Number(seq));
  };
  const options = [
    { value: NOW, words: historyPageWords.present },
    ...[from, to]
      .filter((seq) => seq !== NOW && !named.some((one) => String(one.seq) === seq))
      .map((seq) => ({ value: seq, words: timeOf(seq) })),
    ...named.map(({ seq, name }) => ({ value: String(seq), words: name })),
  ];
  const unique = options.filter(
    ({ value }, i) => options.findIndex((o) => o.value === value) === i,
  );
  const pick = (part: Record<string, string>) =>
    setSearch({ from, to, ...part }, { replace: true });
  return (
    <>
      <h1 tabIndex={-1}>{historyPageWords.compareMoments}</h1>
      <p className="compare-line">
        {historyPageWords.from}{" "}
        <Pick
          label={historyPageWords.from}
          value={from}
          options={unique}
          onPick={(seq) => pick({ from: seq })}
        />{" "}
        {historyPageWords.to}{" "}
        <Pick
          label={historyPageWords.to}
          value={to}
          options={unique}
          onPick={(seq) => pick({ to: seq })}
        />{" "}
        <Link to={`/projects/${session.id}/history${from === NOW ? "" : `?at=${from}`}`}>
          {historyPageWords.toHistory}
        </Link>
      </p>
      {failed?.kind === "failed" && (
        <p role="alert">
          {historyPageWords.failed}{" "}
          <Button size="sm" variant="outline-primary" onClick={failed.again}>
            {historyPageWords.tryAgain}
          </Button>
        </p>
      )}
      {before && after && <Pair key={`${from} ${to}`} before={before} after={after} />}
    </>
  );
};
