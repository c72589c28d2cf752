import { present } from "../basics";
import type { LayoutBox } from "../layout";
import { paint } from "./paint";
import type { Paint } from "./types";

const entities: Readonly<Record<string, string>> = {
  "&": "&amp;",
  "<": "&lt;",
  ">": "&gt;",
  '"': "&quot;",
};
const escape = (text: string): string =>
  // control characters are not allowed in XML 1.0 at all
  text
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, "")
    .replace(/[&<>"]/g, (c) => present(entities[c]));

/** Paint as SVG markup. `address` says where kept files are, by their hash. */
export const markup = (
  node: Paint,
  address: (hash: string) => string = (hash) => `/assets/${hash}`,
): string => {
  const value = (k: string, v: string) =>
    k === "href" && v.startsWith("asset:") ? address(v.slice(6)) : v;
  const attrs = Object.entries(node.attrs)
    .map(([k, v]) => ` ${k}="${escape(value(k, String(v)))}"`)
    .join("");
  const inside =
    (node.text === undefined ? "" : escape(node.text)) +
    node.children.map((c) => markup(c, address)).join("");
  return inside ? `<${node.tag}${attrs}>${inside}</${node.tag}>` : `<${node.tag}${attrs}/>`;
};

interface Enclosed {
  /** CSS the document brings along: font faces */
  readonly style?: string;
  /** where kept files are, by their hash */
  readonly address?: (hash: string) => string;
}

/** A whole SVG document of a placed tree, `margin` px larger on every side for shadows. */
export const svgDocument = (
  root: LayoutBox,
  margin = 0,
  { style = "", address }: Enclosed = {},
): string => {
  const w = root.width + 2 * margin;
  const h = root.height + 2 * margin;
  const sheet = style === "" ? "" : `<style>${style}</style>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="${-margin} ${-margin} ${w} ${h}">${sheet}${markup(paint(root), address)}</svg>`;
};
