import { Form } from "react-bootstrap";
import { MANY, SearchPick } from "./SearchPick";
import { uiWords } from "../words";

interface Props<T extends string> {
  readonly label: string;
  readonly title?: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly words: string }[];
  readonly onPick: (value: T) => void;
  /** what it names is gone */
  readonly broken?: boolean;
  /** among many, one types */
  readonly search?: boolean;
  /** as a mark alone: what it says goes without saying */
  readonly slim?: boolean;
}

/** A choice within a sentence; among many one types, where that is wished. */
export const Pick = <T extends string>(props: Props<T>) => {
  const {
    label,
    title,
    value,
    options,
    onPick,
    broken = false,
    search = false,
    slim = false,
  } = props;
  if (search && options.length >= MANY)
    return (
      <SearchPick label={label} value={value} options={options} onPick={onPick} broken={broken} />
    );
  return (
    <Form.Select
      className={`word${broken ? " broken" : ""}${slim ? " slim" : ""}`}
      aria-label={label}
      title={title}
      value={value}
      onChange={(e) => onPick(e.target.value as T)}
    >
      {!options.some((o) => o.value === value) && <option value={value}>{uiWords.deleted}</option>}
      {options.map((o) => (
        <option key={o.value} value={o.value}>
          {o.words}
        </option>
      ))}
    </Form.Select>
  );
};
