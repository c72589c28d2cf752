import { useEffect, useState } from "react";
import type { SystemFinding } from "#core/library";
import { useEnv } from "../services/env";
import { inspector } from "../services/inspector";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";

/** Only once nothing has changed for so long are the components looked through again, ms. */
const QUIET = 250;

/** What could be better about all components taken together; null until it is known. */
export const useSystemFindings = (): readonly SystemFinding[] | null => {
  const session = useSession();
  const pieces = useDisplayedProject((p) => p.pieces);
  const tokens = useDisplayedProject((p) => p.tokens);
  const env = useEnv();
  const [findings, setFindings] = useState<readonly SystemFinding[] | null>(null);
  useEffect(() => {
    if (!env) return;
    let isOver = false;
    const timer = setTimeout(() => {
      void inspector(env)
        .then((it) => it.checkSystem(session.project))
        .then((found) => {
          if (!isOver) setFindings(found);
        });
    }, QUIET);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [session, pieces, tokens, env]);
  return findings;
};
