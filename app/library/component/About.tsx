import { useState } from "react";
import type { KeyboardEvent } from "react";
import { Button, Form } from "react-bootstrap";
import { setAbout } from "#core/edit";
import { limits } from "#core/project";
import type { Piece } from "#core/project";
import { Markdown } from "../../parts/Markdown";
import { useSession } from "../../session/context";
import { libraryWords } from "../words";

const parts = ["description", "use", "avoid"] as const;
type Part = (typeof parts)[number];

interface WritingProps {
  readonly part: Part;
  readonly text: string;
  readonly onSave: (text: string) => void;
  readonly onCancel: () => void;
}

/** Where a text is written. */
const Writing = ({ part, text, onSave, onCancel }: WritingProps) => {
  const [draft, setDraft] = useState(text);
  const onKeyDown = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === "Escape") onCancel();
    if (e.key === "Enter" && (e.ctrlKey || e.metaKey)) onSave(draft);
  };
  return (
    <>
      <Form.Control
        as="textarea"
        rows={5}
        autoFocus
        maxLength={limits.text}
        aria-label={libraryWords.about[part]}
        placeholder={libraryWords.aboutHints[part]}
        value={draft}
        onChange={(e) => setDraft(e.target.value)}
        onKeyDown={onKeyDown}
      />
      <p className="actions">
        <Button size="sm" onClick={() => onSave(draft)}>
          {libraryWords.save}
        </Button>
        <Button size="sm" variant="outline-primary" onClick={onCancel}>
          {libraryWords.cancel}
        </Button>
        <span className="quiet small-text">
          {libraryWords.markdown} {libraryWords.saveKeys}
        </span>
      </p>
    </>
  );
};

/** What people write about a component, each part edited in place. */
export const About = ({ piece }: { readonly piece: Piece }) => {
  const session = useSession();
  const [writing, setWriting] = useState<Part | null>(null);
  const save = (part: Part) => (text: string) => {
    setWriting(null);
    if (text === (piece.about?.[part] ?? "")) return;
    session.run((now) => {
      const present = now.pieces[piece.id];
      return present && setAbout(present, part, text);
    });
  };
  return (
    <div className="about">
      {parts.map((part) => {
        const text = piece.about?.[part] ?? "";
        return (
          <section key={part} aria-label={libraryWords.about[part]} className={`about-${part}`}>
            <div className="about-head">
              <h2>{libraryWords.about[part]}</h2>
              {writing !== part && (
                <Button
                  variant="link"
                  size="sm"
                  aria-label={`${text === "" ? libraryWords.write : libraryWords.change}: ${libraryWords.about[part]}`}
                  onClick={() => setWriting(part)}
                >
                  {text === "" ? libraryWords.write : libraryWords.change}
                </Button>
              )}
            </div>
            {writing === part ? (
              <Writing
                part={part}
                text={text}
                onSave={save(part)}
                onCancel={() => setWriting(null)}
              />
            ) : (
              <AboutText text={text} hint={libraryWords.aboutHints[part]} />
            )}
          </section>
        );
      })}
    </div>
  );
};

const AboutText = ({ text, hint }: { readonly text: string; readonly hint: string }) =>
  text === "" ? <p className="quiet">{hint}</p> : <Markdown text={text} />;
