import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import ts from "typescript";
import { describe, expect, it } from "vitest";

const core = fileURLToPath(new URL(".", import.meta.url));
const files = readdirSync(core, { recursive: true, encoding: "utf8" }).filter(
  (f) => f.endsWith(".ts") && !f.endsWith(".test.ts"),
);

interface Cast {
  readonly place: string;
  readonly hasReason: boolean;
}

const isConst = (node: ts.AsExpression): boolean => node.type.getText() === "const";

/** Whether a comment stands right above a node, or above what is around it in its function. */
const isExplained = (node: ts.Node, source: ts.SourceFile): boolean => {
  const lines = source.text.split("\n");
  for (let at: ts.Node = node; at !== source; at = at.parent) {
    const line = source.getLineAndCharacterOfPosition(at.getStart()).line;
    if (/^\s*(\/\/|\*\/|\*|\/\*\*)/.test(lines[line - 1] ?? "")) return true;
    if (ts.isFunctionLike(at)) return false;
  }
  return false;
};

const castsIn = (file: string): Cast[] => {
  const text = readFileSync(join(core, file), "utf8");
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Cast[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isAsExpression(node) && !isConst(node)) {
      const { line } = source.getLineAndCharacterOfPosition(node.getStart());
      const hasReason = isExplained(node, source);
      found.push({ place: `${file}:${line + 1} ${node.getText().slice(0, 60)}`, hasReason });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
};

describe("type assertions in core", () => {
  const casts = files.flatMap(castsIn);

  it("are few", () => {
    expect(casts.length).toBeLessThan(60);
  });

  it("have a reason above them", () => {
    expect(casts.filter((c) => !c.hasReason).map((c) => c.place)).toEqual([]);
  });
});
