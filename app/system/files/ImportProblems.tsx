import type { Problem } from "#core/formats/tokens";
import { filesWords } from "./words";

const MOST = 40;

const List = ({ list }: { list: readonly Problem[] }) => (
  <ul className="import-problems">
    {list.slice(0, MOST).map((p, i) => (
      <li key={i}>
        {p.file !== "" && <span className="quiet">{p.file} </span>}
        {p.path !== "" && <span className="mono">{p.path}</span>} {p.reason}
      </li>
    ))}
    {list.length > MOST && <li className="quiet">{filesWords.moreProblems(list.length - MOST)}</li>}
  </ul>
);

interface Props {
  readonly problems: readonly Problem[];
  readonly notes: readonly Problem[];
}

/** What could not be taken from the files, and what was taken but is only kept. */
export const ImportProblems = ({ problems, notes }: Props) => (
  <>
    {problems.length > 0 && (
      <section role="alert">
        <h3 className="caption">{filesWords.problems(problems.length)}</h3>
        <List list={problems} />
      </section>
    )}
    {notes.length > 0 && (
      <details className="import-notes">
        <summary>{filesWords.notes(notes.length)}</summary>
        <List list={notes} />
      </details>
    )}
  </>
);
