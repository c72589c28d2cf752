import type { LoggedChange } from "#core/project";
import { Hub } from "./hub";
import type { HubOutside } from "./hub";

const outside: HubOutside = {
  open: (watched, events) => {
    const query = watched
      .map(({ project, seq, generation }) =>
        [project, seq, generation].filter((part) => part !== null).join(":"),
      )
      .map((text) => `watch=${encodeURIComponent(text)}`)
      .join("&");
    const source = new EventSource(`/live?${query}`);
    source.addEventListener("open", () => events.opened());
    // it would try again by itself, with the numbers of the beginning
    source.addEventListener("error", () => events.failed());
    source.addEventListener("beat", () => events.beat());
    source.addEventListener("change", ({ data }: MessageEvent<string>) => {
      const { project, change } = JSON.parse(data) as { project: string; change: LoggedChange };
      events.changed(project, change);
    });
    source.addEventListener("reload", ({ data }: MessageEvent<string>) =>
      events.fellBehind((JSON.parse(data) as { project: string }).project),
    );
    source.addEventListener("replaced", ({ data }: MessageEvent<string>) =>
      events.replaced((JSON.parse(data) as { project: string }).project),
    );
    return () => source.close();
  },
  later: (ms, call) => {
    const timer = setTimeout(call, ms);
    return () => clearTimeout(timer);
  },
};

/**
 * A hub over the server's stream: one for all windows in the shared worker, or one for a window
 * where there are none.
 */
export const browserHub = (): Hub => new Hub(outside);
