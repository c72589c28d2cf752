import sharp from "sharp";
import subsetFont from "subset-font";
import fonts from "#fonts";
import "#core/combine";
import { hashesIn } from "#core/formats/motion";
import { layout } from "#core/layout";
import type { FontBook } from "#core/layout";
import { Resolver, restingVariant } from "#core/looks";
import { paint, svgDocument } from "#core/paint";
import type { Paint } from "#core/paint";
import { families } from "#core/properties";
import type { FontAsset } from "#core/properties";
import type { Project } from "#core/project";
import type { Sitter } from "./picture";
import { readShipped, subsets } from "./shipped";

/** Room around a piece for its shadows, px. */
const MARGIN = 12;
/** Pictures in a piece are made this small, px: a tile shows no more. */
const LONGEST_SIDE = 560;
/** A picture of more is not kept, characters: it would take longer than the project itself. */
const LARGEST = 1_500_000;

const fontsOf = (project: Project): readonly FontAsset[] =>
  Object.values(project.assets).filter((asset): asset is FontAsset => asset.kind === "font");

const bookOf = ({ project, faces }: Sitter): FontBook => {
  const own = fontsOf(project).flatMap(({ family, weight, hash }) => {
    const face = faces.get(hash);
    return face ? [[`${family}/${weight}`, [face]] as const] : [];
  });
  return { ...(fonts as unknown as FontBook), ...Object.fromEntries(own) };
};

/** What is written in a painting: its characters, and the weights of its families. */
interface Lettering {
  readonly text: string;
  readonly weights: ReadonlySet<string>;
}

const letteringOf = (root: Paint): Lettering => {
  const characters = new Set<string>();
  const weights = new Set<string>();
  const visit = (node: Paint): void => {
    for (const character of node.text ?? "") characters.add(character);
    const weight = node.attrs["font-weight"];
    if (weight !== undefined) weights.add(String(weight));
    node.children.forEach(visit);
  };
  visit(root);
  return { text: [...characters].join(""), weights };
};

const dataAddress = (type: string, bytes: Uint8Array): string =>
  `data:${type};base64,${Buffer.from(bytes).toString("base64")}`;

const subset = (bytes: Uint8Array, text: string): Promise<Buffer> =>
  subsetFont(Buffer.from(bytes), text, { targetFormat: "woff2" });

/** A rule of CSS for a font of which only some characters are there. */
const rule = (family: string, weight: string, bytes: Uint8Array): string =>
  `@font-face{font-family:"${family.replaceAll(/["\\<>]/g, "")}";font-weight:${weight};src:url("${dataAddress("font/woff2", bytes)}")}`;

/** The files there are of a family in a weight: one of the project's own, or those shipped. */
const filesOf = async (
  { project, files }: Sitter,
  family: string,
  weight: string,
): Promise<readonly Uint8Array[]> => {
  const own = fontsOf(project).find((font) => font.family === family && font.weight === weight);
  const file = own && files.get(own.hash);
  if (file) return [file];
  if (!families[family]?.includes(weight)) return [];
  const shipped = await Promise.all(subsets.map((one) => readShipped(family, weight, one)));
  return shipped.filter((one) => one !== null);
};

const faceRules = async (sitter: Sitter, painted: Paint): Promise<string> => {
  const { text, weights } = letteringOf(painted);
  const rules: string[] = [];
  for (const family of hashesIn([painted]).families)
    for (const weight of weights)
      for (const file of await filesOf(sitter, family, weight)) {
        // a font that cannot be cut down is left out: its letters are drawn by another one then
        const part = await subset(file, text).catch(() => null);
        if (part) rules.push(rule(family, weight, part));
      }
  return rules.join("");
};

const small = (bytes: Uint8Array): Promise<Buffer> =>
  sharp(bytes)
    .rotate()
    .resize({
      width: LONGEST_SIDE,
      height: LONGEST_SIDE,
      fit: "inside",
      withoutEnlargement: true,
    })
    .webp()
    .toBuffer();

const addressesOf = async (
  { files }: Sitter,
  painted: Paint,
): Promise<ReadonlyMap<string, string>> => {
  const addresses = new Map<string, string>();
  for (const hash of hashesIn([painted]).hashes) {
    const file = files.get(hash);
    const bytes = file && (await small(file).catch(() => null));
    if (bytes) addresses.set(hash, dataAddress("image/webp", bytes));
  }
  return addresses;
};

/**
 * A picture of a piece at rest as an SVG that needs no other file: its letters and pictures are in
 * it. Null where there is nothing to show, and where it would be too large.
 */
export const drawPicture = async (sitter: Sitter): Promise<string | null> => {
  const { project, piece: id } = sitter;
  const piece = project.pieces[id];
  const tree = piece && new Resolver().tree(project, id, restingVariant(piece));
  if (!tree) return null;
  const placed = layout({ fonts: bookOf(sitter) }, tree);
  const painted = paint(placed);
  const addresses = await addressesOf(sitter, painted);
  const style = await faceRules(sitter, painted);
  const svg = svgDocument(placed, MARGIN, {
    style,
    address: (hash) => addresses.get(hash) ?? "",
  });
  return svg.length > LARGEST ? null : svg;
};
