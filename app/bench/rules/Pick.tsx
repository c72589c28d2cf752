/** A choice within a sentence. */
export const Pick = <T extends string>({ label, value, options, onPick, broken = false }: { label: string; value: T; options: readonly { value: T; words: string }[]; onPick: (v: T) => void; broken?: boolean }) => (
  <select className={`word${broken ? " broken" : ""}`} aria-label={label} value={value} onChange={(e) => onPick(e.target.value as T)}>
    {!options.some((o) => o.value === value) && <option value={value}>removed</option>}
    {options.map((o) => <option key={o.value} value={o.value}>{o.words}</option>)}
  </select>
);
