import { useState } from "react";
import { Button, FormControl } from "react-bootstrap";
import { data, Form, Link, redirect, useNavigation } from "react-router";
import { emptyProject, startScreen } from "#core/edit";
import { inOrder, newId } from "#core/project";
import { newProjectRequest, projectLog } from "#server";
import type { Listed } from "#server";
import { readBody } from "./body";
import { Ago } from "../ui/Ago";
import { SkipLink } from "../ui/focus/SkipLink";
import { Thumbnail } from "../parts/shown/Thumbnail";
import { withDatabase } from "./trouble";
import type { Route } from "./+types/home";
import { routesWords } from "./words";

export const meta: Route.MetaFunction = () => [{ title: routesWords.projectsNubble }];

/** The largest form that is read, bytes. */
const LARGEST_FORM = 20_000;

const tileOf = ({ id, name, changedAt, project, reason }: Listed) => {
  const count = (kind: string) =>
    Object.values(project?.pieces ?? {}).filter((p) => p.kind === kind).length;
  const first =
    project &&
    (inOrder(project.pieces).find((p) => p.kind === "component") ?? startScreen(project));
  return {
    id,
    name,
    changedAt: changedAt.getTime(),
    components: count("component"),
    screens: count("screen"),
    project,
    reason,
    first: first?.id ?? null,
  };
};

export const loader = async () => ({
  projects: (await withDatabase(() => projectLog().list())).map(tileOf),
  now: Date.now(),
});

/**
 * The fields of a form as browsers send it by themselves; null when it is too large or of another
 * kind.
 */
const readForm = async (request: Request): Promise<Record<string, string> | null> => {
  if (!request.headers.get("content-type")?.startsWith("application/x-www-form-urlencoded"))
    return null;
  const bytes = await readBody(request, LARGEST_FORM);
  return bytes && Object.fromEntries(new URLSearchParams(bytes.toString("utf8")));
};

export const action = async ({ request }: Route.ActionArgs) => {
  const form = await readForm(request);
  if (!form) return data({ error: routesWords.formCouldNotBe }, { status: 400 });
  const parsed = newProjectRequest.safeParse(form);
  if (!parsed.success)
    return data(
      { error: parsed.error.issues[0]?.message ?? routesWords.enterNameProject },
      { status: 422 },
    );
  const id = newId();
  await withDatabase(() => projectLog().create(id, emptyProject(parsed.data.name)));
  return redirect(`/projects/${id}`);
};

const number = (n: number, word: string) => `${n === 0 ? "no" : n} ${word}${n === 1 ? "" : "s"}`;
/**
 * A project that cannot be read: it is not hidden, and nothing can be done to it that would make it
 * worse.
 */
const DamagedTile = ({ name, reason }: { name: string; reason: string }) => (
  <div className="tile damaged">
    <span className="tile-picture">
      <span className="quiet">{routesWords.cannotBeRead}</span>
    </span>
    <span className="tile-name">{name}</span>
    <span className="refusal">{routesWords.damagedProjectWasNot(reason)}</span>
  </div>
);

export default function Home({ loaderData, actionData }: Route.ComponentProps) {
  const [making, setMaking] = useState(false);
  const busy = useNavigation().state !== "idle";
  return (
    <>
      <header className="bar">
        <SkipLink />
        <span className="brand">{routesWords.brand}</span>
      </header>
      <main className="page" id="content">
        <div className="page-head">
          <h1 tabIndex={-1}>{routesWords.projects}</h1>
          {!making && (
            <Button size="sm" onClick={() => setMaking(true)}>
              {routesWords.newProject}
            </Button>
          )}
        </div>
        {making && (
          <Form method="post" className="new-line">
            <label htmlFor="project-name">{routesWords.name}</label>
            <FormControl
              id="project-name"
              name="name"
              autoFocus
              maxLength={120}
              placeholder={routesWords.harbourApp}
              aria-invalid={actionData?.error ? true : undefined}
              aria-describedby="project-error"
            />
            <Button type="submit" disabled={busy}>
              {routesWords.createProject}
            </Button>
            <Button variant="outline-secondary" onClick={() => setMaking(false)}>
              {routesWords.cancel}
            </Button>
            <span id="project-error" className="refusal" role="alert">
              {actionData?.error}
            </span>
          </Form>
        )}
        {loaderData.projects.length === 0 && (
          <p className="quiet">{routesWords.noProjectsYetCreate}</p>
        )}
        <ul className="tiles">
          {loaderData.projects.map((p) => (
            <li key={p.id}>
              {p.project === null ? (
                <DamagedTile name={p.name} reason={p.reason ?? ""} />
              ) : (
                <Link to={`/projects/${p.id}`} className="tile">
                  <span className="tile-picture">
                    {p.first === null ? (
                      <span className="quiet">{routesWords.empty}</span>
                    ) : (
                      <Thumbnail project={p.project} piece={p.first} />
                    )}
                  </span>
                  <span className="tile-name">{p.name}</span>
                  <span className="quiet small-text">
                    {routesWords.edited(
                      number(p.components, "component"),
                      number(p.screens, "screen"),
                    )}{" "}
                    <Ago at={p.changedAt} from={loaderData.now} />
                  </span>
                </Link>
              )}
            </li>
          ))}
        </ul>
      </main>
    </>
  );
}
