import { useMemo } from "react";
import { Link, useSearchParams } from "react-router";
import type { Numbered } from "#core/system";
import type { EditionAbout } from "#server";
import { useEnv } from "../services/env";
import { comparisonOf } from "../services/editions";
import { useSession } from "../session/context";
import { Pick } from "../ui/fields/Pick";
import { useEditions, useEditionWorld } from "./contents";
import { Differences } from "./Differences";
import { lackText } from "./lack";
import { Progress } from "./Progress";
import { useWork } from "./useWork";
import type { Begin } from "./useWork";
import { editionsWords } from "./words";

interface PairProps {
  readonly from: EditionAbout;
  readonly to: EditionAbout;
}

/** What differs between two editions. */
const Pair = ({ from, to }: PairProps) => {
  const known = useEditions();
  const [was, is] = [useEditionWorld(from.hash), useEditionWorld(to.hash)];
  const before = was.kind === "there" ? was : null;
  const after = is.kind === "there" ? is : null;
  const env = useEnv(after?.content.assets);
  const begin: Begin<Numbered> | null = useMemo(() => {
    if (!env || !before || !after) return null;
    const earlier = { number: from.number, content: before.content };
    return (tell) => comparisonOf(env, known, earlier, after.content, tell);
  }, [env, known, before, after, from.number]);
  const work = useWork(begin);
  for (const side of [was, is])
    if (side.kind === "lacking") return <p className="refusal">{lackText(side.lack)}</p>;
  if (!env || !before || !after || !work.result) return <Progress work={work} />;
  const { differences } = work.result;
  if (differences.length === 0)
    return <p className="quiet page-empty">{editionsWords.nothingDiffers}</p>;
  return (
    <>
      <h2>{editionsWords.whatChanged}</h2>
      <Differences env={env} before={before.world} after={after.world} differences={differences} />
    </>
  );
};

interface Props {
  readonly published: readonly EditionAbout[];
}

/** Any two editions of a system, with all that differs between them. */
export const Comparison = ({ published }: Props) => {
  const session = useSession();
  const [search, setSearch] = useSearchParams();
  const named = (key: string) => published.find(({ number }) => number === search.get(key));
  const from = named("from") ?? published[1] ?? published[0];
  const to = named("to") ?? published[0];
  const options = published.map(({ number, name }) => ({
    value: number,
    words: editionsWords.numberName(number, name),
  }));
  const pick = (part: Record<string, string>) =>
    setSearch({ from: from?.number ?? "", to: to?.number ?? "", ...part }, { replace: true });
  if (!from || !to)
    return (
      <p className="page-empty">
        {editionsWords.nothingToCompare}{" "}
        <Link to={`/projects/${session.id}/system/editions`}>{editionsWords.toEditions}</Link>
      </p>
    );
  return (
    <>
      <h1 tabIndex={-1}>{editionsWords.compareEditions}</h1>
      <p className="compare-line">
        {editionsWords.from}{" "}
        <Pick
          label={editionsWords.from}
          value={from.number}
          options={options}
          onPick={(number) => pick({ from: number })}
        />{" "}
        {editionsWords.to}{" "}
        <Pick
          label={editionsWords.to}
          value={to.number}
          options={options}
          onPick={(number) => pick({ to: number })}
        />
      </p>
      <Pair key={`${from.hash} ${to.hash}`} from={from} to={to} />
    </>
  );
};
