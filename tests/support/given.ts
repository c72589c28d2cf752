import type { Browser } from "puppeteer-core";
import { afterAll, beforeAll } from "vitest";
import { launch } from "./browser";
import { Projects } from "./projects";

/**
 * What tests of several windows need: there before the first test of the file, and closed after the
 * last.
 */
export interface Given {
  browser: Browser;
  projects: Projects;
}

export const givenBrowser = (): Given => {
  const given = {} as Given;
  let close: () => Promise<void>;
  beforeAll(async () => {
    const opened = await launch();
    close = opened.close;
    given.browser = opened.browser;
    given.projects = new Projects();
  });
  afterAll(async () => {
    await close();
    await given.projects.close();
  });
  return given;
};
