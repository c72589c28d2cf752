import { useMemo } from "react";
import type { Id } from "#core/basics";
import { addDrafts, addLayer } from "#core/edit";
import { childrenOf, valuesIn } from "#core/looks";
import { ROOT, cutText } from "#core/project";
import type { LayerKind, Value } from "#core/properties";
import { readSvgApart } from "../../services/svg";
import { upload } from "../../session/assets";
import { activeOf, parentForNew } from "../state/active";
import { useWorkpiece } from "../state/context";
import type { BenchState } from "../state/state";
import type { Workpiece } from "../state/workpiece";
import { commandsWords } from "./words";

interface Fresh {
  readonly words: string;
  readonly key: string;
  readonly values: Readonly<Record<string, Value>>;
  readonly size: readonly [number, number];
}

/** What a new layer of each kind that can simply be inserted begins as. */
export const fresh: Readonly<Record<"box" | "ellipse" | "line" | "polygon" | "text", Fresh>> = {
  box: {
    words: commandsWords.box,
    key: "B",
    values: { width: 80, height: 48, radius: [8, 8, 8, 8], fill: "#c9d8d2" },
    size: [80, 48],
  },
  ellipse: {
    words: commandsWords.ellipse,
    key: "E",
    values: { width: 48, height: 48, fill: "#8fb5a9" },
    size: [48, 48],
  },
  line: { words: commandsWords.line, key: "L", values: { width: 80, height: 0 }, size: [80, 2] },
  polygon: {
    words: commandsWords.triangle,
    key: "G",
    values: { width: 48, height: 42, fill: "#dcbf8d" },
    size: [48, 42],
  },
  text: {
    words: commandsWords.text,
    key: "T",
    values: { text: commandsWords.text, size: 16 },
    size: [32, 20],
  },
};

export const maxSvg = 2_000_000;
const isSvg = (file: File): boolean => /\.svg$/i.test(file.name) || file.type === "image/svg+xml";

/**
 * Puts new layers where one is working: into the chosen box, near the middle, or where a file was
 * dropped.
 */
export class Inserter {
  constructor(private readonly workpiece: Workpiece) {}

  private get state(): BenchState {
    return this.workpiece.state;
  }

  private where(
    size: readonly [number, number],
    at?: { x: number; y: number },
  ): { parent: Id; x: number; y: number; room: readonly [number, number] } | null {
    const { piece, project } = this.workpiece;
    if (!piece) return null;
    const parent = at ? ROOT : parentForNew(piece, this.state.chosen);
    const layer = piece.layers[parent];
    if (!layer) return null;
    const v = valuesIn(project, piece, activeOf(piece, this.state).variant, layer);
    const count = childrenOf(piece).get(parent)?.length ?? 0;
    const middle = (all: number, own: number) =>
      Math.max(0, Math.round((all - own) / 2 + (count % 6) * 8));
    return {
      parent,
      room: [v.width, v.height],
      x: at ? Math.round(at.x - size[0] / 2) : middle(v.width, size[0]),
      y: at ? Math.round(at.y - size[1] / 2) : middle(v.height, size[1]),
    };
  }

  layer(
    kind: LayerKind,
    values: Readonly<Record<string, Value>>,
    size: readonly [number, number],
    name?: string,
    at?: { x: number; y: number },
  ): Id | null {
    const place = this.where(size, at);
    if (!place) return null;
    const made = this.workpiece.make((_, piece) =>
      addLayer(piece, kind, place.parent, { ...values, x: place.x, y: place.y }, name),
    );
    if (!made) return null;
    this.state.choose([made.id]);
    return made.id;
  }

  simple(kind: keyof typeof fresh): void {
    this.layer(kind, fresh[kind].values, fresh[kind].size);
  }

  icon(asset: Id, name: string): void {
    this.layer("icon", { icon: asset, width: 24, height: 24 }, [24, 24], name);
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
        text: commandsWords.drawingsBecameLayers(drawings.length, notes.length, notes.join(" ")),
        offer: {
          label: commandsWords.gatherThemVariantsOne,
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
    if (file.size > maxSvg) return commandsWords.wasNotTakenLarger(file.name, maxSvg / 1e6);
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
    if (!read.ok) return commandsWords.wasNotTaken(name, read.error);
    const { picture } = read;
    const place = this.where(corner ? [0, 0] : [picture.width, picture.height], at);
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
      ? commandsWords.becameLayersExcept(name, picture.lost.join(", "))
      : null;
  }

  private async otherFile(file: File, at?: { x: number; y: number }): Promise<string | null> {
    const result = await upload(this.workpiece.session, file);
    if (!result.ok) return result.reason;
    if (result.kind === "font") return commandsWords.fontNowOneProjects(file.name);
    const place = this.where([0, 0], at);
    const most = place
      ? Math.max(48, Math.min(place.room[0], place.room[1] * (result.width / result.height)))
      : result.width;
    const width = Math.round(Math.min(result.width, most));
    const height = Math.round((width * result.height) / result.width);
    const asset = this.workpiece.project.assets[result.id];
    this.layer("picture", { picture: result.id, width, height }, [width, height], asset?.name, at);
    return null;
  }
}

export const useInserter = (): Inserter => {
  const workpiece = useWorkpiece();
  return useMemo(() => new Inserter(workpiece), [workpiece]);
};
