import { ownPieces } from "#core/world";
import { proxy } from "comlink";
import { useState } from "react";
import { Button } from "react-bootstrap";
import { Link } from "react-router";
import type { Id } from "#core/basics";
import { inOrder } from "#core/project";
import type { Piece } from "#core/project";
import type { Failure } from "#core/rehearse";
import { useBenchMemory } from "../bench/state/memory";
import { useEnv } from "../services/env";
import { inspector } from "../services/inspector";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { ResultMark } from "../parts/ResultMark";
import "./rehearsals.scss";
import { allRehearsalsWords } from "./words";

/** How each rehearsal of each piece went; null: well. */
type Results = Readonly<Record<Id, Readonly<Record<Id, Failure | null>>>>;
type Going = "no" | "runs" | "done" | "stopped";

const countWords = (run: number, failed: number, all: number): string => {
  if (run === 0) return allRehearsalsWords.notRun(all);
  if (failed > 0) return allRehearsalsWords.failed(failed, all);
  return run < all ? allRehearsalsWords.ran(run, all) : allRehearsalsWords.allPassed(all);
};

const Line = ({
  piece,
  results,
}: {
  piece: Piece;
  results: Readonly<Record<Id, Failure | null>> | undefined;
}) => {
  const memory = useBenchMemory();
  const bench = `/projects/${useSession().id}/pieces/${piece.id}`;
  const all = inOrder(piece.rehearsals);
  const run = all.filter((r) => results && r.id in results);
  const failed = run.filter((r) => results?.[r.id]);
  const passed = run.length === all.length ? "passed" : "unknown";
  return (
    <li className={failed.length ? "failing" : ""}>
      <ResultMark result={failed.length ? "failed" : passed} />
      <Link to={bench}>{piece.name}</Link>
      <span className="quiet small-text">{countWords(run.length, failed.length, all.length)}</span>
      {failed.length > 0 && (
        <ul className="why">
          {failed.map((r) => {
            const f = results?.[r.id];
            return (
              f && (
                <li key={r.id}>
                  <Link to={bench} onClick={() => memory.open(piece.id, r.id)}>
                    {r.name}
                  </Link>
                  {allRehearsalsWords.stepMs(f.step, f.at, f.why)}
                </li>
              )
            );
          })}
        </ul>
      )}
    </li>
  );
};

/** All rehearsals of the project, run together, with what came of them by piece. */
export const AllRehearsals = () => {
  const project = useDisplayedProject();
  const env = useEnv(project.assets);
  const [results, setResults] = useState<Results>({});
  const [going, setGoing] = useState<Going>("no");
  const pieces = ownPieces(project).filter((p) => Object.keys(p.rehearsals).length > 0);
  const total = pieces.reduce((n, p) => n + Object.keys(p.rehearsals).length, 0);
  const all = pieces.flatMap((p) =>
    Object.keys(p.rehearsals).flatMap((r) => {
      const f = results[p.id]?.[r];
      return f === undefined ? [] : [f];
    }),
  );
  const failed = all.filter((f) => f !== null).length;
  const run = async () => {
    if (!env) return;
    setResults({});
    setGoing("runs");
    const got: Record<Id, Record<Id, Failure | null>> = {};
    const done = await (
      await inspector(env)
    ).rehearseAll(
      project,
      pieces.map((p) => p.id),
      proxy((piece: Id, rehearsal: Id, failure: Failure | null) => {
        (got[piece] ??= {})[rehearsal] = failure;
        setResults(Object.fromEntries(Object.entries(got).map(([id, r]) => [id, { ...r }])));
      }),
    );
    setGoing(done ? "done" : "stopped");
  };
  const stop = async () => {
    if (env) await (await inspector(env)).stopRehearsing();
  };
  if (total === 0) return null;
  return (
    <section aria-labelledby="rehearsals-title">
      <div className="page-head">
        <h2 id="rehearsals-title">{allRehearsalsWords.rehearsals}</h2>
        <span role="status" className={`me-auto ${failed ? "trouble" : "quiet"}`}>
          {allRehearsalsWords.failAllPass(going, all.length, total, failed)}
        </span>
        {going === "runs" ? (
          <Button variant="outline-primary" size="sm" onClick={() => void stop()}>
            {allRehearsalsWords.stop}
          </Button>
        ) : (
          <Button variant="outline-primary" size="sm" disabled={!env} onClick={() => void run()}>
            {allRehearsalsWords.runAll(total)}
          </Button>
        )}
      </div>
      <ul className="rehearsal-results">
        {pieces.map((p) => (
          <Line key={p.id} piece={p} results={results[p.id]} />
        ))}
      </ul>
    </section>
  );
};
