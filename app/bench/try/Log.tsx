import { useWatched } from "../../ui/watched";
import type { TryRun } from "./run";
import { tryWords } from "./words";

const seconds = (ms: number): string => `${(ms / 1000).toFixed(2)} s`;

/** What fired, newest first. */
export const Log = ({ run: made }: { run: TryRun }) => {
  const { lines } = useWatched(made);
  return (
    <ol className="log mono" aria-label={tryWords.eventLog} aria-live="off">
      {lines.length === 0 && <li className="quiet">{tryWords.clickHoverTypeEach}</li>}
      {lines.map((l) => (
        <li key={l.id} className={l.tone}>
          <time>{seconds(l.at)}</time> {l.text}
        </li>
      ))}
    </ol>
  );
};
