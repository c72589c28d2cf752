/**
 * Reads a number as people type it: plain, with a unit, as arithmetic (`12*1.5+4`), relative to the
 * present value (`+16`, `-4` after `=`…, `*1.5`, `/2`) or as a part of it (`50%`). Returns null for
 * anything else. A leading minus is a negative number, since that is what it looks like; write
 * `=-4` or `0-4` for the same, and `--4` to take 4 away.
 */
export const parseNumber = (text: string, current: number): number | null => {
  const input = text
    .trim()
    .toLowerCase()
    .replace(/px|°|deg|×$/g, "")
    .replace(/,/g, ".")
    .replace(/−/g, "-")
    .replace(/[×x]/g, "*");
  if (input === "") return null;
  const relative = /^([+*/]|--)/.exec(input)?.[1];
  const start =
    relative === undefined
      ? input.replace(/^=/, "")
      : `(${current})${relative === "--" ? "-" : relative}${input.slice(relative.length)}`;
  const tokens = start.match(/\d+\.?\d*|\.\d+|[-+*/()%]|\S/g) ?? [];
  let at = 0;
  const peek = () => tokens[at];
  const take = (t: string) => (peek() === t ? (at++, true) : false);
  const atom = (): number => {
    if (take("-")) return -atom();
    if (take("+")) return atom();
    if (take("(")) {
      const inner = sum();
      return take(")") ? inner : NaN;
    }
    const token = tokens[at++];
    const n = token !== undefined && /^[\d.]/.test(token) ? Number(token) : NaN;
    return take("%") ? (n / 100) * current : n;
  };
  const product = (): number => {
    let n = atom();
    for (;;) {
      if (take("*")) n *= atom();
      else if (take("/")) n /= atom();
      else return n;
    }
  };
  const sum = (): number => {
    let n = product();
    for (;;) {
      if (take("+")) n += product();
      else if (take("-")) n -= product();
      else return n;
    }
  };
  const result = sum();
  return at === tokens.length && Number.isFinite(result) ? Math.round(result * 1e4) / 1e4 : null;
};
