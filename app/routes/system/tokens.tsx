import { useState } from "react";
import type { Id } from "#core/basics";
import { tokenTypes } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { UndoNotice } from "../../session/parts/UndoNotice";
import { FilesMenu } from "../../system/files/FilesMenu";
import { Findings } from "../../system/Findings";
import { Fonts } from "../../system/Fonts";
import { TokenScope } from "../../system/scope";
import { Section } from "../../system/Section";
import { Themes } from "../../system/Themes";
import { Icon } from "../../ui/Icon";
import { Notice } from "../../ui/floating/Notice";
import { routesWords } from "../words";

/** The tokens of a project: its themes, what could be tidied, every kind of value, fonts. */
export default function Tokens() {
  const name = useDisplayedProject((p) => p.name);
  const [note, setNote] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [open, setOpen] = useState<Id | null>(null);
  const [fresh, setFresh] = useState<Id | null>(null);
  const onMade = (token: Id) => {
    setOpen(token);
    setFresh(token);
  };
  return (
    <>
      <div className="page-head">
        <h1 tabIndex={-1}>{routesWords.tokens(name)}</h1>
        <span className="actions">
          <FilesMenu onNote={setNote} onRefused={setRefusal} />
        </span>
      </div>
      <section aria-labelledby="themes">
        <Themes onNote={setNote} />
      </section>
      <section aria-labelledby="tidy">
        <h2 id="tidy">
          <Icon name="filter" size={14} /> {routesWords.suggestions}
        </h2>
        <Findings onMade={onMade} />
      </section>
      <TokenScope>
        {tokenTypes.map((type) => (
          <Section
            key={type}
            type={type}
            open={open}
            fresh={fresh}
            onOpen={setOpen}
            onMade={onMade}
            onNote={setNote}
          />
        ))}
      </TokenScope>
      <section aria-labelledby="fonts">
        <Fonts onRefused={setRefusal} />
      </section>
      {refusal !== null && <Notice bad text={refusal} onClose={() => setRefusal(null)} />}
      {note !== null && <UndoNotice key={note} text={note} onClose={() => setNote(null)} />}
    </>
  );
}
