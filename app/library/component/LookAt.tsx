import type { Piece } from "#core/project";
import { Markdown } from "../../parts/Markdown";
import { libraryWords } from "../words";
import { Sections } from "./Sections";
import { Spoken } from "./Spoken";
import { States } from "./States";
import { TryHere } from "./TryHere";
import { Values } from "./Values";

const abouts = ["description", "use", "avoid"] as const;
const sections = ["states", "values", "spoken"] as const;

/** All there is to know about a component that is not edited here: it runs, and is described. */
export const LookAt = ({ piece }: { readonly piece: Piece }) => {
  const parts = {
    states: <States piece={piece} />,
    values: <Values piece={piece} />,
    spoken: <Spoken piece={piece} />,
  };
  return (
    <>
      <div className="component-top">
        <TryHere piece={piece} />
        <div className="about">
          {abouts.map((part) => {
            const text = piece.about?.[part] ?? "";
            if (text === "") return null;
            return (
              <section key={part} aria-label={libraryWords.about[part]}>
                <h2>{libraryWords.about[part]}</h2>
                <Markdown text={text} />
              </section>
            );
          })}
        </div>
      </div>
      <Sections order={sections} parts={parts} />
    </>
  );
};
