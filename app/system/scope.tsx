import { createContext, useContext, useState } from "react";
import type { ReactNode } from "react";
import { conditionText, hasThemes, sameCondition, scopesFor, themeOf, themesOf } from "#core/looks";
import type { Condition } from "#core/project";
import { useDisplayedProject } from "../session/displayed";
import { Choices } from "../ui/fields/Choices";
import { systemWords } from "./words";

/** In which themes the next edit of a token holds. */
const ScopeContext = createContext<Condition>({});

export const useTokenScope = (): Condition => useContext(ScopeContext);

const keyOf = (when: Condition): string => JSON.stringify(when);

/**
 * "Changes apply to …": in which themes the next edit of a token will hold, as far as there are
 * any; around everything that edits tokens.
 */
export const TokenScope = ({ children }: { children: ReactNode }) => {
  const themes = useDisplayedProject((p) => p.themes);
  const theme = useDisplayedProject(themeOf);
  const [chosen, setChosen] = useState<Condition | null>(null);
  const varying = themesOf({ themes });
  const scopes = scopesFor(varying, theme);
  const scope =
    scopes.find((s) => chosen && sameCondition(s.when, chosen)) ?? scopes.find((s) => s.suggested);
  const when = scope?.when ?? {};
  if (!hasThemes({ themes })) return children;
  return (
    <ScopeContext.Provider value={when}>
      <div className="scope-line token-scope">
        <span className="scope-lead" aria-hidden="true">
          {systemWords.changesApply}
        </span>
        <Choices
          label={systemWords.changesApply}
          variant="chip"
          value={keyOf(when)}
          onChoose={(key) => setChosen(scopes.find((s) => keyOf(s.when) === key)?.when ?? null)}
          choices={scopes.map((s) => ({
            value: keyOf(s.when),
            words:
              Object.keys(s.when).length === 0
                ? systemWords.everyTheme
                : systemWords.where(conditionText(varying, s.when)),
          }))}
        />
      </div>
      {children}
    </ScopeContext.Provider>
  );
};
