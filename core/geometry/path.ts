import { present } from "../basics";
/** A path command with its numbers; absolute M, L, C, Q, Z of SVG path data. */
export interface Segment {
  readonly command: string;
  readonly numbers: readonly number[];
}

const count: Readonly<Record<string, number>> = { M: 2, L: 2, C: 6, Q: 4, Z: 0 };

/** Reads path data of absolute M, L, C, Q and Z; a broken tail is left out. */
export const readPath = (data: string): Segment[] => {
  const out: Segment[] = [];
  const tokens = data.match(/[MLCQZ]|[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/g) ?? [];
  let command = "M";
  for (let at = 0; at < tokens.length;) {
    const token = present(tokens[at]);
    if (/[MLCQZ]/.test(token)) {
      command = token;
      at++;
      if (command === "Z") {
        out.push({ command, numbers: [] });
        continue;
      }
    }
    const n = count[command] ?? 0;
    const numbers = tokens.slice(at, at + n).map(Number);
    if (n === 0 || numbers.length < n || numbers.some(Number.isNaN)) break;
    out.push({ command, numbers });
    at += n;
    if (command === "M") command = "L";
  }
  return out;
};

/** Path data scaled from per cent of a box to px. */
export const scalePath = (data: string, width: number, height: number): string =>
  readPath(data)
    .map(
      (s) =>
        s.command +
        s.numbers.map((n, i) => Math.round(n * (i % 2 ? height : width) * 10) / 1000).join(" "),
    )
    .join("");
