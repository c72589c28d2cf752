import { useSave, useSession } from "../store/session-context";

/** The truth about saving: kept, being kept, or not kept and why. */
export const SaveMark = () => {
  const save = useSave();
  const session = useSession();
  if (save.kind === "waiting") {
    return (
      <span className="save waiting" role="status">
        <span className="dot" />Not saved yet: {save.reason}. {save.changes === 1 ? "One change is" : `${save.changes} changes are`} kept in this browser.
        <button type="button" className="btn btn-link btn-sm p-0 ms-2" onClick={() => session.retry()}>Try now</button>
      </span>
    );
  }
  return <span className={`save ${save.kind}`} role="status"><span className="dot" />{save.kind === "saved" ? "Saved" : "Saving…"}</span>;
};
