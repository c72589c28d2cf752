import { useCallback, useMemo, useState } from "react";
import { Button } from "react-bootstrap";
import { ownPiecesOf } from "#core/edit";
import { contentOf } from "#core/system";
import type { Numbered } from "#core/system";
import type { Project } from "#core/project";
import { worldOf } from "#core/world";
import type { EditionAbout } from "#server";
import { useEnv } from "../../services/env";
import { comparisonOf } from "../../services/editions";
import { useOwnProject } from "../../session/context";
import { Notice } from "../../ui/floating/Notice";
import { Adopters } from "./Adopters";
import { useEditions, useEditionWorld } from "../contents";
import { Differences } from "../Differences";
import { lackText } from "../lack";
import { Progress } from "../Progress";
import { Publish } from "./Publish";
import { Published } from "./Published";
import { useWork } from "../useWork";
import type { Begin } from "../useWork";
import type { Using } from "./using";
import { WeightBadge } from "../WeightBadge";
import { editionsWords } from "../words";

/** What the project would publish now, next to the newest edition. */
const useNext = (own: Project, newest: EditionAbout | null) => {
  const known = useEditions();
  const env = useEnv(own.assets);
  const earlier = useEditionWorld(newest?.hash ?? null);
  const content = useMemo(() => contentOf(own), [own]);
  const before = newest && earlier.kind === "there" ? earlier : null;
  const begin: Begin<Numbered> | null = useMemo(() => {
    if (!env || (newest && !before)) return null;
    const from = newest && before ? { number: newest.number, content: before.content } : null;
    return (tell) => comparisonOf(env, known, from, content, tell);
  }, [env, known, newest, before, content]);
  const work = useWork(begin);
  const after = useMemo(() => worldOf(content, known), [content, known]);
  const lack = earlier.kind === "lacking" ? earlier.lack : null;
  return { env, before: before?.world ?? null, after, work, lack };
};

interface FirstProps {
  readonly own: Project;
}

/** What a first edition would hold. */
const First = ({ own }: FirstProps) => {
  const components = ownPiecesOf(own, "component").length;
  return (
    <p className="quiet">{editionsWords.firstHolds(components, Object.keys(own.tokens).length)}</p>
  );
};

const headOf = (newest: EditionAbout | null): string =>
  newest ? editionsWords.since(newest.number, newest.name) : editionsWords.firstEdition;

interface SinceProps {
  readonly newest: EditionAbout | null;
  readonly onPublished: (edition: EditionAbout) => void;
}

/** What changed since the newest edition, and the way to the next one. */
const Since = ({ newest, onPublished }: SinceProps) => {
  const own = useOwnProject();
  const { env, before, after, work, lack } = useNext(own, newest);
  const [isPublishing, setPublishing] = useState(false);
  const numbered = work.result;
  const next = numbered && (newest === null || numbered.weight !== null) ? numbered : null;
  return (
    <section aria-labelledby="since">
      <div className="page-head">
        <h2 id="since">
          {headOf(newest)} {next?.weight && <WeightBadge weight={next.weight} />}
        </h2>
        <Button disabled={!next} onClick={() => setPublishing(true)}>
          {next ? editionsWords.publishNumber(next.number) : editionsWords.publish}
        </Button>
      </div>
      {newest === null && <First own={own} />}
      {lack && <p className="refusal">{lackText(lack)}</p>}
      {!numbered && newest && !lack && <Progress work={work} />}
      {numbered && !next && <p className="quiet">{editionsWords.nothingChanged}</p>}
      {env && before && next && (
        <Differences env={env} before={before} after={after} differences={next.differences} />
      )}
      {env && next && isPublishing && (
        <Publish
          env={env}
          world={after}
          newest={newest}
          numbered={next}
          onPublished={onPublished}
          onClose={() => setPublishing(false)}
        />
      )}
    </section>
  );
};

interface Props {
  readonly published: readonly EditionAbout[];
  readonly adopters: readonly Using[];
  /** when the page was made, ms since 1970 */
  readonly now: number;
}

/** What a project publishes for others: what would be next, what was, and who uses it. */
export const Editions = ({ published, adopters, now }: Props) => {
  const { name } = useOwnProject();
  const [note, setNote] = useState<string | null>(null);
  const say = useCallback((text: string) => setNote(text), []);
  return (
    <>
      <h1 tabIndex={-1}>{editionsWords.editionsOf(name)}</h1>
      <Since
        newest={published[0] ?? null}
        onPublished={(edition) => say(editionsWords.published(edition.number))}
      />
      {published.length > 0 && (
        <Published published={published} adopters={adopters} now={now} onNote={say} />
      )}
      {published.length > 0 && <Adopters adopters={adopters} />}
      {note !== null && <Notice key={note} text={note} onClose={() => setNote(null)} />}
    </>
  );
};
