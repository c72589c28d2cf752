import { useState } from "react";
import { Button } from "react-bootstrap";
import { useAside, useSave, useSession } from "../context";
import type { SaveState } from "../outside";
import { SetAside } from "./SetAside";
import { sessionWords } from "../words";

const count = (n: number): string => (n === 1 ? sessionWords.change : sessionWords.changesAre(n));

const Waiting = ({ save }: { save: Extract<SaveState, { kind: "waiting" }> }) => {
  const session = useSession();
  const where = save.kept ? sessionWords.keptThisBrowser : sessionWords.onlyWindowKeepOpen;
  return (
    <span className="save waiting" role="status">
      <span className="dot" />
      {sessionWords.notSaved(save.reason, count(save.changes), where)}
      <Button variant="link" size="sm" onClick={() => session.retry()}>
        {sessionWords.retry}
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
          {aside.length === 1
            ? sessionWords.n1EditSetAside
            : sessionWords.editsSetAsideCount(aside.length)}
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
          {save.kind === "saved" ? sessionWords.saved : sessionWords.saving}
        </span>
      )}
      <AsideMark />
    </>
  );
};
