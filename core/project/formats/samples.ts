import type { FormatStep } from "./step";

const isTable = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** From format 2 to 3: pieces have a table of samples, and what knows no themes cannot read on. */
export const piecesHaveSamples: FormatStep = (ops) =>
  ops.map((op) => {
    const isPiece = op.op === "set" && op.path[0] === "pieces" && op.path.length === 2;
    return isPiece && isTable(op.value) && !("samples" in op.value)
      ? { ...op, value: { ...op.value, samples: {} } }
      : op;
  });
