/** A group on the way to be written: tokens, groups, and what is said of it. */
type Group = Record<string, unknown>;

const isGroup = (value: unknown): value is Group => typeof value === "object" && value !== null;

const groupAt = (whole: Group, path: readonly string[]): Group => {
  let at = whole;
  for (const name of path) {
    const inner = Object.hasOwn(at, name) ? at[name] : undefined;
    const next: Group = isGroup(inner) ? inner : {};
    at[name] = next;
    at = next;
  }
  return at;
};

/** One object of groups inside groups, from entries at their paths. */
export const treeOf = (
  entries: Iterable<{
    readonly path: readonly string[];
    readonly says: Readonly<Record<string, unknown>>;
  }>,
): Group => {
  const whole: Group = {};
  for (const { path, says } of entries) Object.assign(groupAt(whole, path), says);
  return whole;
};
