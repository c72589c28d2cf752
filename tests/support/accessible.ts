import type { Page, SerializedAXNode } from "puppeteer-core";

/** The states that are written down, in this order. */
const states = ["checked", "selected", "pressed", "expanded", "disabled", "modal"] as const;
/** Those that say something also when they are false. */
const twofold: ReadonlySet<string> = new Set(["checked", "expanded", "pressed"]);
/** What holds others together, and says nothing itself. */
const silent: ReadonlySet<string> = new Set(["generic", "none", "InlineTextBox", "status"]);

const lineOf = (node: SerializedAXNode): string => {
  const said = states.flatMap((key) => {
    const value = node[key];
    if (value === undefined || (value === false && !twofold.has(key))) return [];
    return value === true ? [key] : [`${key}: ${String(value)}`];
  });
  const role = node.role === "StaticText" ? "text" : node.role;
  const parts = [role, node.name ? `“${node.name}”` : "", node.valuetext ?? "", said.join(", ")];
  return parts.filter(Boolean).join(" ");
};

const lines = (node: SerializedAXNode, depth: number): string[] => {
  const children = node.children ?? [];
  if (silent.has(node.role)) return children.flatMap((child) => lines(child, depth));
  // what is called by its contents need not say them twice
  const [only] = children;
  const isSaid = children.length === 1 && only?.role === "StaticText" && only.name === node.name;
  const inside = isSaid || node.role === "StaticText" ? [] : children;
  return ["  ".repeat(depth) + lineOf(node), ...inside.flatMap((child) => lines(child, depth + 1))];
};

/** What Chromium tells assistive technology of a part of the page, a line for each object. */
export const accessibleTree = async (page: Page, selector: string): Promise<string> => {
  const root = await page.waitForSelector(selector);
  const tree = root && (await page.accessibility.snapshot({ root, interestingOnly: false }));
  return tree ? lines(tree, 0).join("\n") : "";
};
