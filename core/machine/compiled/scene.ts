import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import type { Project, Variant } from "../../project";
import { chainOf, propagationPath } from "../chain";
import { isEntry } from "../input/forms";
import { focusableIn } from "../input/pressing";
import { liveCopies } from "../piece";
import { layersWith } from "../saying";
import type { State } from "../state";
import type { ActiveInstance, Path } from "../types";
import type { PieceTable } from "./piece-table";
import type { PathLists } from "./tables";
import type { VariantRow } from "./variant-row";

/** A placed copy of a scene, with what is known of its variant. */
export interface SceneCopy {
  readonly path: Path;
  readonly live: ActiveInstance;
  readonly table: PieceTable;
  readonly row: VariantRow;
}

/** A copy an event passes through, with the layers it may land on there, innermost first. */
export interface Stage {
  readonly copy: SceneCopy;
  readonly layers: readonly Id[];
}

const fillsIn = (project: Project, live: ActiveInstance): boolean =>
  layersWith(project, live, "entry").length > 0 || layersWith(project, live, "sends").length > 0;

/** The copies that are shown together, and what follows from that; found once for equal states. */
export class Scene {
  readonly screen: State["screen"];
  readonly overlays: State["overlays"];
  readonly options: State["options"];
  readonly copies: readonly SceneCopy[];
  readonly hasWaits: boolean;
  readonly hasClips: boolean;
  readonly hasForms: boolean;
  private readonly byPath: ReadonlyMap<Path, SceneCopy>;
  private readonly chains = new Map<Path, readonly Path[]>();
  private readonly routes = new WeakMap<readonly Path[], readonly Stage[]>();
  private readonly focusables = new WeakMap<readonly Path[], { readonly layer: Path | null }>();

  constructor(
    private readonly project: Project,
    private readonly state: State,
    private readonly lists: PathLists,
    tableOf: (live: ActiveInstance) => PieceTable,
  ) {
    this.screen = state.screen;
    this.overlays = state.overlays;
    this.options = state.options;
    this.copies = liveCopies(project, state).map((live) => {
      const table = tableOf(live);
      return { path: live.path, live, table, row: table.row(live.variant) };
    });
    this.byPath = new Map(this.copies.map((c) => [c.path, c]));
    this.hasClips = this.copies.some((c) => c.row.hasClips);
    this.hasWaits = this.hasClips || this.copies.some((c) => c.table.hasDelays);
    this.hasForms = this.copies.some((c) => fillsIn(project, c.live));
  }

  /** What is shown, as text: scenes with equal ones look and answer alike. */
  content(numberOf: (variant: Variant) => number): string {
    const copies = this.copies.map(({ path, row }) => `${path} ${numberOf(row.variant)}`);
    const overlays = this.overlays.map((o) => o.screen);
    return JSON.stringify([this.screen, overlays, this.options, copies]);
  }

  shows(state: State): boolean {
    return (
      this.screen === state.screen &&
      this.overlays === state.overlays &&
      this.options === state.options
    );
  }

  at(path: Path): SceneCopy | undefined {
    return this.byPath.get(path);
  }

  /** All layers an event at a layer concerns, innermost first. */
  chain(layer: Path | null): readonly Path[] {
    const asked = layer ?? "";
    const known = this.chains.get(asked);
    if (known) return known;
    const chain = this.lists.one(chainOf(this.project, this.state, layer));
    this.chains.set(asked, chain);
    return chain;
  }

  /** The copies an event passes through, from the innermost outwards. */
  route(chain: readonly Path[]): readonly Stage[] {
    const known = this.routes.get(chain);
    if (known) return known;
    const route = propagationPath(this.project, this.state, chain).flatMap(({ live, layers }) => {
      const copy = this.at(live.path);
      return copy ? [{ copy, layers }] : [];
    });
    this.routes.set(chain, route);
    return route;
  }

  /** The layer that gets the focus when a chain of layers is pressed. */
  focusable(chain: readonly Path[]): Path | null {
    return entryOf(this.focusables, chain, () => ({
      layer: focusableIn(this.project, this.state, chain),
    })).layer;
  }

  isEntry(path: Path | undefined): boolean {
    return this.hasForms && isEntry(this.project, this.state, path);
  }
}
