/**
 * Counts how often parts render, by their kind: where `globalThis.nubbleRenders` is a map, as while
 * one measures, and in development. What renders must be what an edit changes.
 */
export const countRender = (kind: string): void => {
  const { nubbleRenders } = globalThis as { nubbleRenders?: Map<string, number> };
  nubbleRenders?.set(kind, (nubbleRenders.get(kind) ?? 0) + 1);
};
