import { useCombobox } from "downshift";
import { useState } from "react";
import type { ReactNode } from "react";
import { Form } from "react-bootstrap";
import { Floating } from "../floating/Floating";
import { uiWords } from "../words";

interface Choice<T extends string> {
  readonly value: T;
  readonly words: string;
  /** a little picture before the words */
  readonly mark?: ReactNode;
}

/** From so many choices on, one rather types a few letters than looks through a list. */
export const MANY = 14;

/** The choices whose words hold all that was typed, those that begin with it first. */
const found = <T extends string>(options: readonly Choice<T>[], typed: string): Choice<T>[] => {
  const parts = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const begins = (o: Choice<T>) =>
    parts[0] !== undefined && o.words.toLowerCase().startsWith(parts[0]) ? 0 : 1;
  return options
    .filter((o) => parts.every((p) => o.words.toLowerCase().includes(p)))
    .sort((a, b) => begins(a) - begins(b));
};

/** A choice among many within a sentence: a field that finds what one types. */
export const SearchPick = <T extends string>({
  label,
  value,
  options,
  onPick,
  broken,
}: {
  label: string;
  value: T;
  options: readonly Choice<T>[];
  onPick: (v: T) => void;
  broken: boolean;
}) => {
  const [typed, setTyped] = useState<string | null>(null);
  const [field, setField] = useState<HTMLInputElement | null>(null);
  const now = options.find((o) => o.value === value) ?? null;
  const list = typed === null ? [...options] : found(options, typed);
  const { isOpen, highlightedIndex, getInputProps, getMenuProps, getItemProps } = useCombobox<
    Choice<T>
  >({
    items: list,
    selectedItem: now,
    itemToString: (o) => o?.words ?? "",
    inputValue: typed ?? now?.words ?? uiWords.deleted,
    defaultHighlightedIndex: 0,
    onInputValueChange: ({ type, inputValue }) => {
      if (type === useCombobox.stateChangeTypes.InputChange) setTyped(inputValue);
    },
    onIsOpenChange: ({ isOpen: open }) => {
      if (!open) setTyped(null);
    },
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem && selectedItem.value !== value) onPick(selectedItem.value);
      setTyped(null);
    },
    stateReducer: (state, { type, changes }) =>
      type === useCombobox.stateChangeTypes.InputBlur ||
      type === useCombobox.stateChangeTypes.InputKeyDownEscape
        ? { ...changes, selectedItem: state.selectedItem }
        : changes,
  });
  const words = typed ?? now?.words ?? uiWords.deleted;
  return (
    <span className="search-pick">
      <Form.Control
        className={`word${broken ? " broken" : ""}`}
        {...getInputProps({
          ref: setField,
          "aria-label": label,
          onFocus: (e) => e.currentTarget.select(),
          onKeyDown: (e) => e.stopPropagation(),
        })}
        htmlSize={Math.max(6, words.length)}
        spellCheck={false}
        autoComplete="off"
      />
      {field && isOpen && (
        <Floating anchor={field}>
          {({ ref, style }) => (
            <ul
              {...getMenuProps({ "aria-label": label, ref }, { suppressRefError: true })}
              className="search-list"
              style={style}
            >
              {list.map((o, index) => (
                <li
                  key={o.value}
                  {...getItemProps({ item: o, index })}
                  className={`${index === highlightedIndex ? "at" : ""}${o.value === value ? " now" : ""}`}
                >
                  {o.mark}
                  {o.words}
                </li>
              ))}
              {list.length === 0 && <li className="quiet">{uiWords.noMatches}</li>}
            </ul>
          )}
        </Floating>
      )}
      {!isOpen && (
        <ul {...getMenuProps({ "aria-label": label }, { suppressRefError: true })} hidden />
      )}
    </span>
  );
};
