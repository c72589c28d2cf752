import { useMemo } from "react";
import type { Id } from "#core/basics";
import { addDrafts, addLayer, isFitting, placeOnScreen, placeable } from "#core/edit";
import { layout } from "#core/layout";
import { Resolver, valuesIn } from "#core/looks";
import { ROOT, cutText } from "#core/project";
import type { LayerKind, SpecifiedValue, Value } from "#core/properties";
import { readSvgApart } from "../../services/svg";
import { upload } from "../../session/assets";
import { useWorkpiece } from "../state/context";
import type { BenchState } from "../state/state";
import type { DrawnKind } from "../state/view";
import type { Workpiece } from "../state/workpiece";
import type { Unplaced } from "./dragged";
import { BenchEdits } from "./edits";
import { Placing } from "./placing";
import type { NewPlace, Point, Size } from "./placing";
import { commandsWords } from "./words";

interface Fresh {
  readonly words: string;
  readonly key: string;
  readonly values: Readonly<Record<string, Value>>;
  readonly size: Size;
}

/** What a new layer of each kind that can be drawn begins as. */
export const fresh: Readonly<Record<DrawnKind, Fresh>> = {
  box: {
    words: commandsWords.box,
    key: "B",
    values: { width: 80, height: 48, radius: [8, 8, 8, 8], fill: "#c9d8d2" },
    size: { width: 80, height: 48 },
  },
  ellipse: {
    words: commandsWords.ellipse,
    key: "E",
    values: { width: 48, height: 48, fill: "#8fb5a9" },
    size: { width: 48, height: 48 },
  },
  line: {
    words: commandsWords.line,
    key: "L",
    values: { width: 80, height: 0 },
    size: { width: 80, height: 2 },
  },
  polygon: {
    words: commandsWords.triangle,
    key: "G",
    values: { width: 48, height: 42, fill: "#dcbf8d" },
    size: { width: 48, height: 42 },
  },
  text: {
    words: commandsWords.text,
    key: "T",
    values: { text: commandsWords.text, size: 16 },
    size: { width: 32, height: 20 },
  },
};

export const maxSvg = 2_000_000;
const isSvg = (file: File): boolean => /\.svg$/i.test(file.name) || file.type === "image/svg+xml";

/**
 * Puts new layers where one is working: into the chosen box, near the middle, or where a file was
 * dropped.
 */
export class Inserter {
  private readonly edits: BenchEdits;
  private readonly placing: Placing;

  constructor(private readonly workpiece: Workpiece) {
    this.edits = new BenchEdits(workpiece);
    this.placing = new Placing(workpiece);
  }

  private get state(): BenchState {
    return this.workpiece.state;
  }

  private where(size: Size, at?: Point): NewPlace | null {
    return at ? this.placing.around(ROOT, at, size) : this.placing.inMiddle(size);
  }

  /** Puts a layer where one works, or round a place of the piece. */
  layer(
    kind: LayerKind,
    values: Readonly<Record<string, SpecifiedValue>>,
    size: Size,
    name?: string,
    at?: Point,
  ): Id | null {
    const place = this.where(size, at);
    return place && this.put(kind, values, place, name);
  }

  /** Puts a layer into a place; what lies in a box says so. */
  private put(
    kind: LayerKind,
    values: Readonly<Record<string, SpecifiedValue>>,
    { parent, x, y }: Omit<NewPlace, "room">,
    name?: string,
  ): Id | null {
    const made = this.workpiece.make((_, piece) =>
      addLayer(piece, kind, parent, { ...values, x, y }, name),
    );
    const { piece } = this.workpiece;
    if (!made || !piece) return null;
    this.state.choose([made.id]);
    const [layer, box] = [piece.layers[made.id], piece.layers[parent]];
    if (parent !== ROOT && layer && box)
      this.edits.note(commandsWords.layerIsIn(layer.name, box.name));
    return made.id;
  }

  /** Takes in hand what draws layers of a kind; a second time puts one where one works. */
  take(kind: DrawnKind): void {
    const { state } = this;
    if (state.tool === "draw" && state.drawn === kind) this.simple(kind);
    else state.draw(kind);
  }

  /** Puts a layer of a kind where one works, as large as they usually are. */
  simple(kind: DrawnKind): void {
    this.state.setTool("choose");
    const made = this.layer(kind, fresh[kind].values, fresh[kind].size);
    if (made !== null) this.began(kind, made, true);
  }

  /**
   * Puts a layer of a kind where it was drawn: `values` say how large. In a piece whose frame fits
   * its layers the first one begins at the corner, and what is drawn beyond it takes the others
   * along.
   */
  drawn(kind: DrawnKind, parent: Id, place: Point, values: Readonly<Record<string, Value>>): void {
    this.state.setTool("choose");
    const { piece } = this.workpiece;
    const isFirst = piece !== null && Object.keys(piece.layers).length === 1;
    const at = isFirst && isFitting(piece) ? { x: 0, y: 0 } : place;
    const made = this.put(kind, { ...fresh[kind].values, ...values }, { parent, ...at });
    if (made !== null) this.began(kind, made, false);
    this.edits.settleFrame(null);
  }

  /** A new text is typed at once. */
  private began(kind: DrawnKind, layer: Id, centred: boolean): void {
    if (kind === "text") this.state.type({ layer, fresh: true, centred });
  }

  icon(asset: Id, name: string): void {
    const size = { width: 24, height: 24 };
    this.layer("icon", { icon: asset, ...size }, size, name);
  }

  /**
   * A copy of a component, as large as it is, given traits and options; where one works, or round a
   * place of the piece. Nothing where it cannot stand in this piece.
   */
  copy({ component, values }: Unplaced, at?: Point): Id | null {
    const { project, state } = this.workpiece;
    const of = placeable(project, state.pieceId).find((c) => c.id === component);
    if (!of) return null;
    return this.layer("instance", { component, ...values }, this.sizeOfCopy(of.id), of.name, at);
  }

  /** Places this component on a screen, null for a new one. */
  onScreen(screen: Id | null): { readonly screen: Id; readonly copy: Id } | null {
    return this.workpiece.make((project, piece) =>
      placeOnScreen(project, piece, this.sizeOfCopy(piece.id), screen),
    );
  }

  private sizeOfCopy(component: Id): Size {
    const { project, scenes } = this.workpiece;
    const tree = new Resolver().tree(project, component, {});
    const box = scenes.env && tree ? layout(scenes.env, tree) : null;
    return { width: box?.width ?? 0, height: box?.height ?? 0 };
  }

  /**
   * Takes dropped or pasted files: pictures become picture layers, SVG files layers, fonts part of
   * the project. Returns what one should know.
   */
  async files(files: readonly File[], at?: { x: number; y: number }): Promise<string | null> {
    const notes: string[] = [];
    const drawings: Id[] = [];
    const several = files.filter(isSvg).length > 1;
    let place = at ?? (several ? { x: 0, y: 0 } : undefined);
    for (const file of files) {
      if (several && isSvg(file)) {
        // several drawings lie side by side, ready to be gathered
        const before = this.state.chosen[0];
        const note = await this.svgFile(file, place, true);
        const made = this.state.chosen[0];
        if (made !== undefined && made !== before) {
          drawings.push(made);
          const v = this.sizeOf(made);
          place = { x: (place?.x ?? 0) + v + 24, y: place?.y ?? 0 };
        }
        if (note !== null) notes.push(note);
        continue;
      }
      const note = isSvg(file) ? await this.svgFile(file, at) : await this.otherFile(file, at);
      if (note !== null) notes.push(note);
    }
    if (drawings.length > 1) {
      this.state.choose(drawings);
      this.state.tell({
        text: commandsWords.importedDrawingsAsLayers(
          drawings.length,
          notes.length,
          notes.join(" "),
        ),
        offer: {
          label: commandsWords.gatherIntoOneComponent,
          run: () => this.state.openDialog({ kind: "gather" }),
        },
      });
      return null;
    }
    return notes.length ? notes.join(" ") : null;
  }

  private sizeOf(id: Id): number {
    const { piece, active, project } = this.workpiece;
    const layer = piece?.layers[id];
    return piece && active && layer ? valuesIn(project, piece, active.variant, layer).width : 0;
  }

  /** With `corner` the place is where its corner goes. */
  private async svgFile(
    file: File,
    at?: { x: number; y: number },
    corner = false,
  ): Promise<string | null> {
    if (file.size > maxSvg) return commandsWords.wasNotAddedLarger(file.name, maxSvg / 1e6);
    return this.svg(
      await file.text(),
      file.name.replace(/\.svg$/i, "") || commandsWords.drawing,
      at,
      corner,
    );
  }

  /** Makes layers of an SVG text; tells what could not be kept. */
  async svg(
    source: string,
    name: string,
    at?: { x: number; y: number },
    corner = false,
  ): Promise<string | null> {
    const read = await readSvgApart(source);
    if (!read.ok) return commandsWords.wasNotAdded(name, read.error);
    const { picture } = read;
    const place = this.where(corner ? { width: 0, height: 0 } : picture, at);
    if (!place) return null;
    // a file that is one group, as most are, need not become a group in a group
    const [first] = picture.layers;
    const plain =
      picture.layers.length === 1 &&
      first?.kind === "box" &&
      first.inside.length > 0 &&
      Object.keys(first.values).every((k) => ["x", "y", "widthMode", "heightMode"].includes(k))
        ? first
        : null;
    const inside = plain
      ? plain.inside.map((d) => ({
          ...d,
          values: {
            ...d.values,
            x: (d.values.x as number) + (plain.values.x as number),
            y: (d.values.y as number) + (plain.values.y as number),
          },
        }))
      : picture.layers;
    const named = plain && name === "Drawing" ? plain.name : name;
    const group = {
      kind: "box" as const,
      name: named,
      values: { x: place.x, y: place.y, width: picture.width, height: picture.height },
      inside,
    };
    const made = this.workpiece.make((_, piece) =>
      addDrafts(piece, [group], place.parent, cutText(commandsWords.insert(name), 200)),
    );
    if (!made) return null;
    this.state.choose(made.ids);
    return picture.lost.length
      ? commandsWords.importedAsLayersLeft(name, picture.lost.join(", "))
      : null;
  }

  private async otherFile(file: File, at?: { x: number; y: number }): Promise<string | null> {
    const result = await upload(this.workpiece.session, file);
    if (!result.ok) return result.reason;
    if (result.kind === "font") return commandsWords.addedFontProject(file.name);
    const room = this.where({ width: 0, height: 0 }, at)?.room;
    // where there is no room yet, as in an empty piece, it is as large as it came
    const most = room?.width
      ? Math.max(48, Math.min(room.width, room.height * (result.width / result.height)))
      : result.width;
    const width = Math.round(Math.min(result.width, most));
    const height = Math.round((width * result.height) / result.width);
    const asset = this.workpiece.project.assets[result.id];
    const size = { width, height };
    this.layer("picture", { picture: result.id, ...size }, size, asset?.name, at);
    return null;
  }
}

export const useInserter = (): Inserter => {
  const workpiece = useWorkpiece();
  return useMemo(() => new Inserter(workpiece), [workpiece]);
};
