import { useCallback, useEffect, useState } from "react";
import type { Step, Work } from "../services/editions";

/** Begins something that takes long; always the same function for the same work. */
export type Begin<T> = (tell: (step: Step) => void) => Work<T>;

interface State<T> {
  readonly of: Begin<T> | null;
  readonly round: number;
  readonly step: Step | null;
  readonly result: T | null;
  readonly failure: string | null;
}

/** How far some work is, and what came of it. */
export interface Working<T> {
  readonly step: Step | null;
  readonly result: T | null;
  readonly failure: string | null;
  readonly isCancelled: boolean;
  readonly cancel: () => void;
  /** begins anew after it was cancelled, or failed */
  readonly again: () => void;
}

const fresh = { step: null, result: null, failure: null };

/** Does work that takes long as soon as it can begin, and ends it when other work is wanted. */
export const useWork = <T>(begin: Begin<T> | null): Working<T> => {
  const [round, setRound] = useState(0);
  const [cancelled, setCancelled] = useState<{ of: Begin<T> | null; round: number } | null>(null);
  const [state, setState] = useState<State<T>>({ of: null, round: 0, ...fresh });
  const isCancelled = cancelled?.of === begin && cancelled?.round === round;
  useEffect(() => {
    if (!begin || isCancelled) return;
    let isOver = false;
    const put = (part: Partial<State<T>>) => {
      if (!isOver) setState({ of: begin, round, ...fresh, ...part });
    };
    const work = begin((step) => put({ step }));
    work.result.then(
      (result) => put({ result }),
      (error: unknown) => put({ failure: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      isOver = true;
      work.cancel();
    };
  }, [begin, round, isCancelled]);
  const cancel = useCallback(() => setCancelled({ of: begin, round }), [begin, round]);
  const again = useCallback(() => setRound((n) => n + 1), []);
  const now = state.of === begin && state.round === round ? state : fresh;
  const { step, result, failure } = now;
  return { step, result, failure, isCancelled, cancel, again };
};
