import { readFile } from "node:fs/promises";
import { z } from "zod";

/** What is read of the report that test runners write in the form that Jest made common. */
const reportSchema = z.object({
  testResults: z.array(z.object({ name: z.string(), status: z.enum(["passed", "failed"]) })),
});

/** More files than these do not fail by chance. */
const MOST = 5;

/**
 * The files of tests that failed, out of a report: those that may have met a moment in which the
 * machine was too busy, and are worth a second try by themselves. None where there is no report, or
 * where many have failed.
 */
export const failedFiles = async (report: string): Promise<readonly string[]> => {
  const text = await readFile(report, "utf8").catch(() => null);
  if (text === null) return [];
  const { testResults } = reportSchema.parse(JSON.parse(text));
  const failed = testResults.filter(({ status }) => status === "failed").map(({ name }) => name);
  return failed.length > MOST ? [] : failed;
};
