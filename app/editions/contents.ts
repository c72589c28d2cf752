import { useEffect, useMemo, useSyncExternalStore } from "react";
import type { Project } from "#core/project";
import { missingEditions, worldOf } from "#core/world";
import type { Editions } from "#core/world";
import { useSession } from "../session/context";
import type { Lack } from "../session/editions";

/** What the window knows of editions. */
export const useEditions = (): Editions => {
  const { editions, subscribe } = useSession();
  const read = () => editions.known;
  return useSyncExternalStore(subscribe, read, read);
};

/** What an edition holds, with all it adopts itself; or why that cannot be had. */
export type EditionWorld =
  | { readonly kind: "coming" }
  | { readonly kind: "there"; readonly content: Project; readonly world: Project }
  | { readonly kind: "lacking"; readonly lack: Lack };

const COMING: EditionWorld = { kind: "coming" };

/** Fetches what an edition holds, when there is none of it here yet; null for no edition. */
export const useEditionWorld = (hash: string | null): EditionWorld => {
  const session = useSession();
  const known = useEditions();
  const lack = useSyncExternalStore(
    session.onChange,
    () => (hash === null ? null : session.editions.lackOf(hash)),
    () => null,
  );
  useEffect(() => {
    if (hash !== null) void session.editions.learn(hash);
  }, [session, hash]);
  const content = hash === null ? undefined : known.get(hash);
  return useMemo(() => {
    if (lack !== null) return { kind: "lacking", lack };
    if (!content || missingEditions(content, known).length > 0) return COMING;
    return { kind: "there", content, world: worldOf(content, known) };
  }, [content, known, lack]);
};
