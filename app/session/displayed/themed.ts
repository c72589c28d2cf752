import { inTheme } from "#core/looks";
import type { Project, Variant } from "#core/project";
import { useSettings } from "../../services/settings";
import type { DisplayedSource } from ".";

/** A project as it is shown in the theme that somebody has chosen for this browser. */
export class ThemedSource implements DisplayedSource {
  constructor(
    private readonly id: string,
    private readonly source: DisplayedSource,
  ) {}

  get theme(): Variant {
    return useSettings.getState().themes[this.id] ?? {};
  }

  get displayed(): Project {
    return inTheme(this.source.displayed, this.theme);
  }

  /** What somebody has chosen for this browser, the server does not know. */
  get first(): Project {
    return inTheme(this.source.displayed, {});
  }

  readonly subscribe = (call: () => void): (() => void) => {
    const stop = this.source.subscribe(call);
    const stopSettings = useSettings.subscribe((now, before) => {
      if (now.themes[this.id] !== before.themes[this.id]) call();
    });
    return () => {
      stop();
      stopSettings();
    };
  };
}
