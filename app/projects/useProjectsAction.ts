import { useCallback, useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import type { ProjectsAnswer } from "./answer";

/** Asks for something about projects; `refused` hears why it was not done. */
export const useProjectsAction = (refused: (reason: string) => void) => {
  const fetcher = useFetcher<ProjectsAnswer>();
  const told = useRef<ProjectsAnswer | undefined>(undefined);
  const answer = fetcher.data;
  useEffect(() => {
    if (answer === told.current) return;
    told.current = answer;
    if (answer?.kind === "refused") refused(answer.reason);
  }, [answer, refused]);
  const { submit } = fetcher;
  const ask = useCallback(
    (form: Readonly<Record<string, string>>) =>
      void submit(form, { method: "post", action: "/?index" }),
    [submit],
  );
  return { ask, busy: fetcher.state !== "idle" };
};
