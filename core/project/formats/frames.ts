import type { FormatStep } from "./step";

/** Where the base look says what a piece's frame is like, from the piece on. */
const toFrame = ["looks", "base", "changes", "root"];

const isTable = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const frame = (said: Readonly<Record<string, unknown>>): unknown =>
  "pointer" in said || ("fill" in said && said.fill !== "none")
    ? said
    : { ...said, pointer: "always" };

/** The same with what lies at a way in it changed; as it is where there is nothing. */
const within = (value: unknown, [key, ...way]: readonly string[]): unknown => {
  if (!isTable(value)) return value;
  if (key === undefined) return frame(value);
  return key in value ? { ...value, [key]: within(value[key], way) } : value;
};

/**
 * From format 1 to 2: a frame without a fill took the pointer all over it. Now it does so only
 * where it says so.
 */
export const framesTakePointer: FormatStep = (ops) =>
  ops.map((op) => {
    const [table, piece, ...way] = op.path;
    const leads = way.every((key, i) => key === toFrame[i]) && way.length <= toFrame.length;
    if (op.op !== "set" || table !== "pieces" || piece === undefined || !leads) return op;
    return { ...op, value: within(op.value, toFrame.slice(way.length)) };
  });
