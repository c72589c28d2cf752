/**
 * Cells as text that spreadsheets understand: tabs between columns, line feeds between rows; quoted
 * where needed (RFC 4180 with tabs).
 */
export const toText = (cells: readonly (readonly string[])[]): string =>
  cells
    .map((row) =>
      row.map((c) => (/[\t\n"]/.test(c) ? `"${c.replaceAll('"', '""')}"` : c)).join("\t"),
    )
    .join("\n");

/** Reads such a text back into rows of cells. */
export const fromText = (text: string): string[][] => {
  const rows: string[][] = [[]];
  const source = text.replace(/\r\n?/g, "\n").replace(/\n$/, "");
  for (let i = 0; i <= source.length;) {
    let cell = "";
    if (source[i] === '"') {
      for (i++; i < source.length; i++) {
        if (source[i] !== '"') cell += source[i];
        else if (source[i + 1] === '"') {
          cell += '"';
          i++;
        } else break;
      }
      i++;
    } else
      while (i < source.length && source[i] !== "\t" && source[i] !== "\n") cell += source[i++];
    rows.at(-1)?.push(cell);
    if (source[i] === "\n") rows.push([]);
    i++;
  }
  return rows;
};
