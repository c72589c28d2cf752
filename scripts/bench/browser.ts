import type { Page } from "puppeteer-core";

/** Frames per second the page shows while something is done with it. */
export const framesWhile = async (page: Page, act: () => Promise<void>): Promise<number> => {
  await page.evaluate(() => {
    const w = window as unknown as { frames_: number[]; on_: boolean };
    w.frames_ = [];
    w.on_ = true;
    const tick = (t: number) => {
      w.frames_.push(t);
      if (w.on_) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  await act();
  return page.evaluate(() => {
    const w = window as unknown as { frames_: number[]; on_: boolean };
    w.on_ = false;
    const list = w.frames_;
    return ((list.length - 1) * 1000) / ((list.at(-1) as number) - (list[0] as number));
  });
};
