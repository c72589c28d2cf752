import { useState } from "react";
import { Button } from "react-bootstrap";
import { useAside, useSave, useSession } from "../context";
import type { SaveState } from "../outside";
import { SetAside } from "./SetAside";

const count = (n: number): string => (n === 1 ? "One change is" : `${n} changes are`);

const Waiting = ({ save }: { save: Extract<SaveState, { kind: "waiting" }> }) => {
  const session = useSession();
  const where = save.kept ? "kept in this browser" : "only in this window: leave it open";
  return (
    <span className="save waiting" role="status">
      <span className="dot" />
      Not saved yet: {save.reason}. {count(save.changes)} {where}.
      <Button variant="link" size="sm" onClick={() => session.retry()}>
        Try now
      </Button>
    </span>
  );
};

const AsideMark = () => {
  const aside = useAside();
  const [open, setOpen] = useState(false);
  return (
    <>
      {aside.length > 0 && (
        <Button
          variant="outline-danger"
          size="sm"
          className="aside-mark"
          onClick={() => setOpen(true)}
        >
          {aside.length === 1 ? "1 edit set aside" : `${aside.length} edits set aside`}
        </Button>
      )}
      {open && <SetAside onClose={() => setOpen(false)} />}
    </>
  );
};

/** The truth about saving: kept, being kept, or not kept and why; and what was set aside. */
export const SaveMark = () => {
  const save = useSave();
  return (
    <>
      {save.kind === "waiting" ? (
        <Waiting save={save} />
      ) : (
        <span className={`save ${save.kind}`} role="status">
          <span className="dot" />
          {save.kind === "saved" ? "Saved" : "Saving…"}
        </span>
      )}
      <AsideMark />
    </>
  );
};
