import { useState } from "react";
import { Form } from "react-bootstrap";
import { parseColour } from "#core/colour";
import { piecesOf } from "#core/edit";
import { BASE } from "#core/project";
import type { Option, Piece, Project } from "#core/project";
import type { SpecifiedValue } from "#core/properties";
import { useDisplayedProject } from "../../session/displayed";
import { Pick } from "../../ui/fields/Pick";
import { rulesWords } from "./words";

/**
 * What an option most likely becomes: the other of yes and no, else what it is now, to be changed.
 */
export const usualOption = (project: Project, component: Piece, option: Option): SpecifiedValue => {
  const now = component.looks[BASE]?.changes[option.layer]?.[option.key];
  if (option.key === "visible") return now === false;
  if (now !== undefined) return now;
  if (option.key === "fill") return "none";
  return option.key === "text"
    ? rulesWords.text
    : (Object.values(project.assets).find((a) => a.kind === option.key)?.id ?? "");
};

const WordsField = ({
  label,
  value,
  read,
  onKeep,
}: {
  label: string;
  value: string;
  read: (typed: string) => string | null;
  onKeep: (v: string) => void;
}) => {
  const [text, setText] = useState<string | null>(null);
  const keep = () => {
    const typed = text === null ? null : read(text);
    setText(null);
    if (typed !== null && typed !== value) onKeep(typed);
  };
  return (
    <Form.Control
      className="word"
      aria-label={label}
      htmlSize={Math.max(6, (text ?? value).length)}
      value={text ?? value}
      onChange={(e) => setText(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === "Enter") keep();
        else if (e.key === "Escape") setText(null);
      }}
    />
  );
};

/** What a rule gives an option of a copy. */
export const OptionPart = ({
  option,
  value,
  onPick,
}: {
  option: Option;
  value: SpecifiedValue;
  onPick: (v: SpecifiedValue) => void;
}) => {
  const project = useDisplayedProject();
  const label = rulesWords.newValue(option.name);
  const text = typeof value === "string" ? value : "";
  const named = (list: readonly { id: string; name: string }[]) => (
    <Pick
      label={label}
      value={text}
      options={list.map((x) => ({ value: x.id, words: x.name }))}
      onPick={onPick}
    />
  );
  return (
    <>
      <span>{rulesWords.becomes}</span>
      {option.key === "visible" && (
        <Pick
          label={label}
          value={value === false ? "no" : "yes"}
          options={[
            { value: "yes", words: rulesWords.visible },
            { value: "no", words: rulesWords.hidden },
          ]}
          onPick={(v) => onPick(v === "yes")}
        />
      )}
      {(option.key === "text" || option.key === "label") && (
        <WordsField label={label} value={text} read={(t) => t} onKeep={onPick} />
      )}
      {option.key === "fill" &&
        (typeof value === "string" ? (
          <WordsField label={label} value={text} read={parseColour} onKeep={onPick} />
        ) : (
          <span className="quiet">{rulesWords.defaultFill}</span>
        ))}
      {option.key === "component" && named(piecesOf(project, "component"))}
      {(option.key === "picture" || option.key === "icon") &&
        named(Object.values(project.assets).filter((a) => a.kind === option.key))}
    </>
  );
};
