import { useEffect, useState } from "react";
import type { Tile } from "#server";

/**
 * Why a project has no picture, once that is asked; null until it is known, and where it cannot be
 * had.
 */
export const useTile = (projectId: string, isAsked: boolean): Tile | null => {
  const [tile, setTile] = useState<Tile | null>(null);
  useEffect(() => {
    if (!isAsked) return;
    const gone = new AbortController();
    const ask = async (): Promise<void> => {
      const answer = await fetch(`/projects/${projectId}/tile`, { signal: gone.signal });
      if (answer.ok) setTile((await answer.json()) as Tile);
    };
    // without a connection the tile has its name, and no picture
    ask().catch(() => undefined);
    return () => gone.abort();
  }, [projectId, isAsked]);
  return tile;
};
