/**
 * A reader that keeps giving what it gave before for as long as that says the same: parts that show
 * it need not render again.
 */
export const steady = <From, T>(
  read: (from: From) => T,
  same: (a: T, b: T) => boolean,
): ((from: From) => T) => {
  let last: { readonly from: From; readonly value: T } | null = null;
  return (from) => {
    if (last?.from === from) return last.value;
    const next = read(from);
    const value = last && same(last.value, next) ? last.value : next;
    last = { from, value };
    return value;
  };
};
