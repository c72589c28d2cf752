import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import type { ActiveInstance } from "#core/machine";
import type { Project } from "#core/project";
import { presented } from "#core/runtime";
import type { Presented } from "#core/runtime";
import { Player } from "#player";
import { Watched } from "../ui/watched";
import { playWords } from "./words";

/** How long something that is said stays, ms. */
const SAID = 2600;

/** How large the prototype is shown. */
export type Zoom = "fit" | "real";

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Keeps a player running, and knows what it shows. */
export class PlayRun extends Watched {
  /** the shown piece and the copies in it with their traits */
  copies: readonly ActiveInstance[] = [];
  screen: Id;
  overlays: readonly Id[] = [];
  /** px of the piece */
  size: Size = { width: 0, height: 0 };
  /** px on screen per px of the piece */
  scale = 1;
  zoom: Zoom = "fit";
  rate = 1;
  calm: boolean;
  /** whether forms that are sent succeed */
  well = true;
  /** what is said for a moment */
  said: string | null = null;
  #player: Player | null = null;
  #room: Size | null = null;
  #fillsWidth = false;
  #timeout = 0;

  constructor(
    private readonly env: LayoutEnv,
    private project: Project,
    private readonly first: Presented,
    calm: boolean,
  ) {
    super();
    this.screen = first.screen;
    this.calm = calm;
  }

  /** Plays in an element until what it returns is called. */
  mount(host: HTMLElement): () => void {
    const player = new Player(host, {
      env: this.env,
      project: this.project,
      piece: this.first.screen,
      onChange: () => this.#moved(),
      onMissed: (answering) => this.say(playWords.nothingResponds(answering)),
    });
    this.#player = player;
    player.setCalm(this.calm);
    player.present(this.first);
    this.#moved();
    return () => {
      window.clearTimeout(this.#timeout);
      player.destroy();
      this.#player = null;
    };
  }

  update(project: Project): void {
    this.project = project;
    this.#player?.update(project);
    this.#moved();
  }

  #moved(): void {
    const player = this.#player;
    if (!player) return;
    const { machine } = player;
    this.copies = machine.copies();
    this.screen = machine.screen;
    this.overlays = machine.inside.overlays.map((o) => o.screen);
    const scene = machine.scene();
    this.size = { width: scene?.width ?? 0, height: scene?.height ?? 0 };
    this.#fit();
    this.changed();
  }

  /** What is shown now, as somebody can be led to it. */
  get presented(): Presented {
    const now = this.#player?.machine.inside;
    return now ? presented(this.project, now) : this.first;
  }

  /** Shows a state, as an address or a list says it. */
  present(shown: Presented): void {
    this.#player?.present(shown);
    this.#moved();
  }

  /** Gives a trait of the shown piece, or of a copy in it, a value. `at` is a path of the run. */
  set(at: string, trait: Id, value: Id): void {
    this.#player?.set(at, trait, value);
  }

  restart(): void {
    this.#player?.restart();
    this.#moved();
  }

  back(): void {
    this.#player?.back();
    this.#moved();
  }

  setRate(rate: number): void {
    this.rate = rate;
    this.#player?.setRate(rate);
    this.changed();
  }

  setCalm(calm: boolean): void {
    this.calm = calm;
    this.#player?.setCalm(calm);
    this.changed();
  }

  answer(well: boolean): void {
    this.well = well;
    this.#player?.answer(well);
    this.changed();
  }

  setZoom(zoom: Zoom): void {
    this.zoom = zoom;
    this.#fit();
    this.changed();
  }

  /** Takes the room there is, px; on a phone the prototype is as wide as the page. */
  fitInto(room: Size, fillsWidth: boolean): void {
    this.#room = room;
    this.#fillsWidth = fillsWidth;
    this.#fit();
    this.changed();
  }

  #fit(): void {
    const { width, height } = this.size;
    const room = this.#room;
    if (!room || !(width > 0) || !(height > 0)) return;
    const across = room.width / width;
    const whole = Math.min(across, room.height / height);
    const isReal = this.zoom === "real" && !this.#fillsWidth;
    const fitted = this.#fillsWidth ? across : Math.min(1, whole);
    const scale = isReal ? 1 : fitted;
    if (scale === this.scale) return;
    this.scale = scale;
    this.#player?.setScale(scale);
  }

  /** Says something for a moment. */
  say(words: string): void {
    window.clearTimeout(this.#timeout);
    this.said = words;
    this.changed();
    this.#timeout = window.setTimeout(() => {
      this.said = null;
      this.changed();
    }, SAID);
  }
}
