import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import { data, useRevalidator } from "react-router";
import { editionsSeenBy, isShownKey, projectLog } from "#server";
import { Followed } from "../play/followed";
import { Opened, titleOf } from "../play/Opened";
import type { Route } from "./+types/shown";
import { withDatabase } from "./trouble";
import { routesWords } from "./words";

/** A project to be looked at, for who has its address. */
export const loader = async ({ params: { projectId, key } }: Route.LoaderArgs) => {
  const snapshot = isShownKey(projectId, key)
    ? await withDatabase(() => projectLog().read(projectId))
    : null;
  if (!snapshot) throw data(routesWords.thereNoProjectAddress, { status: 404 });
  const editions = await withDatabase(() => editionsSeenBy(snapshot.project));
  return { ...snapshot, editions, play: `/shown/${projectId}/${key}` };
};

export const shouldRevalidate = ({
  defaultShouldRevalidate,
  nextUrl,
  currentUrl,
}: {
  readonly defaultShouldRevalidate: boolean;
  readonly nextUrl: URL;
  readonly currentUrl: URL;
}) => defaultShouldRevalidate && nextUrl.href === currentUrl.href;

export const meta: Route.MetaFunction = ({ data: loaded, params }) => [
  { title: titleOf(loaded?.project, params.pieceId) },
];

/** Play for those who only look: it follows edits, and leads nowhere else. */
export default function Shown({ params, loaderData }: Route.ComponentProps) {
  const { project, seq, play, editions: brought } = loaderData;
  const editions = useMemo(() => new Map(Object.entries(brought)), [brought]);
  const [followed] = useState(() => new Followed(project, seq, editions));
  const { revalidate } = useRevalidator();
  useEffect(() => followed.start(project, seq, editions), [followed, project, seq, editions]);
  useEffect(
    () => followed.listen(`${play}/live`, () => void revalidate()),
    [followed, play, revalidate],
  );
  const now = useSyncExternalStore(followed.subscribe, followed.read, followed.read);
  const place = { play, home: null, phone: null };
  return <Opened project={now} place={place} pieceId={params.pieceId} />;
}
