import { useState } from "react";
import { Nav } from "react-bootstrap";
import { Link } from "react-router";
import type { Id } from "#core/basics";
import { isOwn } from "#core/project";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { UndoNotice } from "../../session/parts/UndoNotice";
import { libraryWords } from "../words";
import { About } from "./About";
import { AdoptedPage } from "./AdoptedPage";
import { Found } from "./Found";
import { Head } from "./Head";
import { Samples } from "./Samples";
import { Sections } from "./Sections";
import { Spoken } from "./Spoken";
import { States } from "./States";
import { TryHere } from "./TryHere";
import { MotionsUsed, TokensUsed, Uses } from "./Used";
import { Values } from "./Values";

const sections = [
  "samples",
  "states",
  "values",
  "spoken",
  "motions",
  "tokens",
  "uses",
  "findings",
] as const;

/** All there is to know about a component, made from what is known and edited in place. */
export const ComponentPage = ({ id }: { readonly id: Id }) => {
  const session = useSession();
  const piece = useDisplayedProject((p) => p.pieces[id]);
  const [note, setNote] = useState<string | null>(null);
  if (piece?.kind !== "component")
    return (
      <p className="page-empty">
        {libraryWords.noComponent}{" "}
        <Link to={`/projects/${session.id}/system`}>{libraryWords.toLibrary}</Link>
      </p>
    );
  if (!isOwn(piece.id)) return <AdoptedPage piece={piece} />;
  const parts = {
    samples: <Samples piece={piece} onNote={setNote} />,
    states: <States piece={piece} />,
    values: <Values piece={piece} />,
    spoken: <Spoken piece={piece} />,
    motions: <MotionsUsed piece={piece} />,
    tokens: <TokensUsed piece={piece} />,
    uses: <Uses piece={piece} />,
    findings: <Found piece={piece} />,
  };
  return (
    <>
      <Head piece={piece} />
      <div className="component-top">
        <TryHere piece={piece} onNote={setNote} />
        <About piece={piece} />
      </div>
      <div className="component-body">
        <Nav as="nav" className="component-nav" aria-label={libraryWords.onThisPage}>
          {sections.map((section) => (
            <Nav.Link key={section} href={`#${section}`}>
              {libraryWords.sections[section]}
            </Nav.Link>
          ))}
        </Nav>
        <Sections order={sections} parts={parts} />
      </div>
      {note !== null && <UndoNotice key={note} text={note} onClose={() => setNote(null)} />}
    </>
  );
};
