import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { AxeResults } from "axe-core";
import type { Person } from "./browser";

const source = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** What axe finds, there or on the whole page: WCAG 2.2 A and AA, good practice, and names that differ. */
export const findings = async (me: Person, where?: string): Promise<string[]> => {
  if (!(await me.page.evaluate("'axe' in globalThis"))) await me.page.evaluate(source);
  const { violations } = await me.page.evaluate(
    (within) =>
      (
        globalThis as unknown as {
          axe: { run: (context: unknown, options: unknown) => Promise<AxeResults> };
        }
      ).axe.run(within ?? document, {
        rules: { "label-content-name-mismatch": { enabled: true } },
        resultTypes: ["violations"],
      }),
    where,
  );
  return violations.flatMap((v) =>
    v.nodes.map((n) => `${v.id}: ${n.target.join(" ")} (${n.failureSummary ?? ""})`),
  );
};
