import { changeSchema, newId } from "#core/project";
import type { Unsaved } from "../pending";

/**
 * Under these names an older Nubble kept unsaved changes: a list of `{ changeId, change }` for each
 * window.
 */
const prefix = "nubble.unsaved.";

const readOlder = (text: string | null, clientId: string): Unsaved[] => {
  try {
    const list: unknown = JSON.parse(text ?? "[]");
    if (!Array.isArray(list)) return [];
    return list.flatMap((item: unknown, place): Unsaved[] => {
      const { changeId, change } = (item ?? {}) as { changeId?: unknown; change?: unknown };
      const parsed = changeSchema.safeParse(change);
      if (!parsed.success) return [];
      // what its maker had seen is not known: anything that others did may be newer
      return [
        {
          changeId: typeof changeId === "string" ? changeId : newId(),
          clientId,
          change: parsed.data,
          base: 0,
          madeAt: 0,
          late: true,
          place,
        },
      ];
    });
  } catch {
    return [];
  }
};

/**
 * What closed windows of an older Nubble could not save; `forget` takes it out of where they kept
 * it, once it is kept elsewhere. Windows that are still open keep theirs; they hold a lock of the
 * same name.
 */
export const olderLeftovers = async (
  projectId: string,
): Promise<{ holder: string; items: Unsaved[]; forget: () => void }[]> => {
  const mine = `${prefix}${projectId}.`;
  const keys = Object.keys(localStorage).filter((key) => key.startsWith(mine));
  if (keys.length === 0) return [];
  const held = await (navigator.locks as LockManager | undefined)?.query();
  if (!held) return [];
  const open = new Set(held.held?.map((lock) => lock.name));
  return keys
    .filter((key) => !open.has(key))
    .map((key) => {
      const holder = key.slice(mine.length);
      return {
        holder,
        items: readOlder(localStorage.getItem(key), holder),
        forget: () => localStorage.removeItem(key),
      };
    });
};
