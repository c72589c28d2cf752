import paper from "paper/dist/paper-core";

/**
 * An outline to combine: path data in its own px and the map that puts it into place, or outlines
 * combined among themselves.
 */
export type Part =
  | { readonly d: string; readonly holes: boolean; readonly map: readonly number[] }
  | { readonly combine: string; readonly parts: readonly Part[]; readonly map: readonly number[] };

let ready = false;
const prepare = (): void => {
  if (!ready) paper.setup(new paper.Size(1, 1));
  ready = true;
};

const operations: Readonly<Record<string, "unite" | "subtract" | "intersect" | "exclude">> = {
  united: "unite",
  subtracted: "subtract",
  intersected: "intersect",
  excluded: "exclude",
};

const place = (
  item: paper.PathItem,
  [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0]: readonly number[],
): paper.PathItem => {
  item.applyMatrix = true;
  item.transform(new paper.Matrix(a, b, c, d, e, f));
  return item;
};

const build = (part: Part): paper.PathItem => {
  if ("d" in part) {
    const item = new paper.CompoundPath({
      pathData: part.d,
      insert: false,
      fillRule: part.holes ? "evenodd" : "nonzero",
    });
    for (const child of item.children) if (child instanceof paper.Path) child.closed = true;
    // uniting with nothing resolves what crosses itself; the library's types ask for a second path
    return place(item.unite(undefined as never, { insert: false }), part.map);
  }
  const [first, ...rest] = part.parts.map(build);
  const operation = operations[part.combine] ?? "unite";
  const item = rest.reduce(
    (sum, next) => sum[operation](next, { insert: false }),
    first ?? new paper.CompoundPath({ insert: false }),
  );
  return place(item, part.map);
};

/**
 * The outline that parts make together, as path data with true curves (Paper.js' boolean
 * operations). Unlike the painted outline, which is made of fine straight pieces, it can be edited
 * point by point. Holes are by even and odd.
 */
export const combine = (operation: string, parts: readonly Part[]): string => {
  prepare();
  const item = build({ combine: operation, parts, map: [1, 0, 0, 1, 0, 0] });
  item.reorient(false, true);
  return item.pathData;
};
