import { createContext, useCallback, useContext, useMemo, useSyncExternalStore } from "react";
import type { ReactNode } from "react";
import { useStore } from "zustand";
import type { StoreApi } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { Id } from "#core/basics";
import type { LayoutBox } from "#core/layout";
import { varyingOf } from "#core/looks";
import type { Piece, Project, Varying } from "#core/project";
import { createBench } from "./state";
import type { BenchState } from "./state";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { activeOf } from "./active";
import type { Active } from "./active";
import { useBenchMemory } from "./memory";
import type { SceneBook } from "./scenes/sceneBook";
import { Workpiece } from "./workpiece";

interface Bench {
  readonly store: StoreApi<BenchState>;
  readonly workpiece: Workpiece;
}

const Context = createContext<Bench | null>(null);

/** A bench with a piece on it. */
export const BenchProvider = ({ pieceId, children }: { pieceId: Id; children: ReactNode }) => {
  const session = useSession();
  const memory = useBenchMemory();
  const store = useMemo(() => createBench(pieceId, memory), [pieceId, memory]);
  const bench = useMemo(
    () => ({ store, workpiece: new Workpiece(session, store) }),
    [session, store],
  );
  return <Context.Provider value={bench}>{children}</Context.Provider>;
};

const useBenchAround = (): Bench => {
  const bench = useContext(Context);
  if (!bench) throw new Error("there is no bench around this part");
  return bench;
};

/** What `pick` takes of the bench's state. */
export const useBench = <T,>(pick: (s: BenchState) => T): T =>
  useStore(useBenchAround().store, pick);

/** The bench's state as it is when one asks, and its actions; does not render again. */
export const useBenchStore = (): StoreApi<BenchState> => useBenchAround().store;

/** The piece at the moment one asks, for commands and gestures. */
export const useWorkpiece = (): Workpiece => useBenchAround().workpiece;

/** Makes changes; each is built from the project of the moment in which it is made. */
export const useCommand = (): Workpiece["run"] => useWorkpiece().run;

const pieceIn = (project: Project, id: Id): Piece => {
  const piece = project.pieces[id];
  if (!piece) throw new Error("the piece on the bench is gone");
  return piece;
};

/**
 * The piece on the bench as it is shown, or what `pick` takes of it. The bench is only shown while
 * it exists.
 */
export function usePiece(): Piece;
export function usePiece<T>(pick: (piece: Piece, project: Project) => T): T;
export function usePiece<T>(pick?: (piece: Piece, project: Project) => T): T | Piece {
  const id = useBench((s) => s.pieceId);
  return useDisplayedProject((project) => {
    const piece = pieceIn(project, id);
    return pick ? pick(piece, project) : piece;
  });
}

/** Parts of the piece: renders again only when one of them is another one. */
export const usePieceParts = <K extends keyof Piece>(...keys: readonly K[]): Pick<Piece, K> =>
  usePiece(
    useShallow(
      (piece) => Object.fromEntries(keys.map((key) => [key, piece[key]])) as Pick<Piece, K>,
    ),
  );

/** What the variants of the piece follow from. */
export const useVarying = (): Varying => usePiece(varyingOf);

/** The chosen cards and the scope of the next edit, as shown. */
export const useActive = (): Active => {
  const piece = useVarying();
  const variant = useBench((s) => s.variant);
  const also = useBench((s) => s.also);
  const scope = useBench((s) => s.scope);
  return useMemo(() => activeOf(piece, { variant, also, scope }), [piece, variant, also, scope]);
};

/** What `pick` takes of how a card looks; null of a card that was not laid out. */
export const useSceneOf = <T,>(key: string, pick: (placed: LayoutBox | null) => T): T => {
  const { scenes } = useWorkpiece();
  const subscribe = useCallback((call: () => void) => scenes.subscribe(key, call), [scenes, key]);
  const read = () => pick(scenes.get(key));
  return useSyncExternalStore(subscribe, read, read);
};

const whole = (placed: LayoutBox | null) => placed;

/** How a card looks, laid out. */
export const useScene = (key: string): LayoutBox | null => useSceneOf(key, whole);

/** What `pick` takes of all cards; renders again only when that is another one. */
export const useScenes = <T,>(pick: (scenes: SceneBook) => T): T => {
  const { scenes } = useWorkpiece();
  const read = () => pick(scenes);
  return useSyncExternalStore(scenes.subscribeAll, read, read);
};

/** The chosen layers that are there. */
export const useChosen = (): readonly Id[] => {
  const layers = usePiece((p) => p.layers);
  const chosen = useBench((s) => s.chosen);
  return useMemo(() => chosen.filter((id) => layers[id]), [chosen, layers]);
};
