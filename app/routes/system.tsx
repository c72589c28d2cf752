import { useState } from "react";
import { Link } from "react-router";
import { tokenTypes } from "#core/project";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { ProjectBar } from "../session/parts/ProjectBar";
import { ThemePicks } from "../session/parts/ThemePicks";
import { UndoNotice } from "../session/parts/UndoNotice";
import { FilesMenu } from "../system/files/FilesMenu";
import { Findings } from "../system/Findings";
import { Fonts } from "../system/Fonts";
import { TokenScope } from "../system/scope";
import { Section } from "../system/Section";
import { Themes } from "../system/Themes";
import { TimingSheet } from "../system/TimingSheet";
import { Icon } from "../ui/Icon";
import { Notice } from "../ui/floating/Notice";
import "../parts/parts.scss";
import "../system/system.scss";
import { routesWords } from "./words";

/** The project's design system: tokens, what could be tidied, fonts. */
export default function System() {
  const session = useSession();
  const project = useDisplayedProject();
  const [note, setNote] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  return (
    <>
      <ProjectBar
        crumbs={[
          <Link key="project" to={`/projects/${session.id}`}>
            {project.name}
          </Link>,
          routesWords.system,
        ]}
      >
        <ThemePicks />
      </ProjectBar>
      <main className="page system" id="content">
        <div className="page-head">
          <h1 tabIndex={-1}>{routesWords.tokens(project.name)}</h1>
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
          <Findings />
        </section>
        <TokenScope>
          {tokenTypes.map((type) => (
            <Section key={type} type={type} onNote={setNote} />
          ))}
        </TokenScope>
        <section aria-labelledby="timing-sheet">
          <h2 id="timing-sheet">{routesWords.timingSheet}</h2>
          <TimingSheet />
        </section>
        <section aria-labelledby="fonts">
          <Fonts onRefused={setRefusal} />
        </section>
      </main>
      {refusal !== null && <Notice bad text={refusal} onClose={() => setRefusal(null)} />}
      {note !== null && <UndoNotice key={note} text={note} onClose={() => setNote(null)} />}
    </>
  );
}
