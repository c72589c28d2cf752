import { describe, expect, inject, it } from "vitest";
import { findings } from "../support/axe";
import { Person } from "../support/browser";
import { givenBrowser } from "../support/given";

const given = givenBrowser();

const pages = [
  ["/projects/kelpway-kit/system", ".library-tile .running svg"],
  ["/projects/kelpway-kit/system/tokens", "main h1, main h2"],
  ["/projects/kelpway-kit/system/components/deck-tabs", ".component-sections"],
  ["/projects/kelpway-kit/system/editions", ".editions-table"],
  ["/projects/kelpway-kit/system/editions/2.0.0", ".library-tile .running svg"],
  ["/projects/kelpway-kit/system/editions/2.0.0/deck-tabs", ".component-sections"],
  [
    "/projects/kelpway-kit/system/editions/compare?from=1.0.0&to=2.0.0",
    ".difference-row .before-stack",
  ],
  ["/projects/island-app/system", ".library-tile .running svg"],
  ["/projects/island-app/system/adopted", ".adopted-row"],
  ["/projects/island-app/system/adopted/kit", ".report-row .before-stack"],
  ["/projects/island-app/system/components/kit.seat-side-chooser", ".component-sections"],
  ["/", ".tile-picture img"],
  ["/bin", "main h1"],
  ["/projects/kelpway-kit/history", ".sitting-picture img"],
  ["/projects/kelpway-kit/history?at=1", ".moment-piece svg"],
  ["/projects/kelpway-kit/history/compare?from=0&to=now", ".difference-row .before-stack"],
  ["/projects/kelpway-kit/at/1", ".tile-picture svg"],
  ["/projects/kelpway-kit/at/1/pieces/deck-tabs", ".try-host svg"],
] as const;

const sizes = [
  [1280, 800],
  [1600, 1000],
] as const;

describe("every page beside the bench", () => {
  it.each(pages)("%s fits its window, leaves axe and the console quiet", async (path, there) => {
    const me = await Person.open(given.browser, inject("address") + path);
    for (const [width, height] of sizes) {
      await me.page.setViewport({ width, height });
      await me.page.waitForSelector(there, { timeout: 30_000 });
      expect(await me.overflow(), `${width} × ${height}`).toEqual([]);
    }
    expect(await findings(me)).toEqual([]);
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });
});
