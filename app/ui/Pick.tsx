import { MANY, SearchPick } from "./SearchPick";

/** A choice within a sentence; among many one types, where that is wished. */
export const Pick = <T extends string>({
  label,
  value,
  options,
  onPick,
  broken = false,
  search = false,
}: {
  label: string;
  value: T;
  options: readonly { value: T; words: string }[];
  onPick: (v: T) => void;
  broken?: boolean;
  search?: boolean;
}) =>
  search && options.length >= MANY ? (
    <SearchPick label={label} value={value} options={options} onPick={onPick} broken={broken} />
  ) : (
    <select
      className={`word${broken ? " broken" : ""}`}
      aria-label={label}
      value={value}
      onChange={(e) => onPick(e.target.value as T)}
    >
      {!options.some((o) => o.value === value) && <option value={value}>removed</option>}
      {options.map((o) => (
        <option key={o.value} value={o.value}>
          {o.words}
        </option>
      ))}
    </select>
  );
