import { Link } from "react-router";
import type { Id } from "#core/basics";
import { ruleText } from "#core/describe";
import { motionUsesOf, numberUsesOf, usesOf } from "#core/edit";
import type { Project } from "#core/project";
import { labelOf } from "#core/properties";
import { useBenchMemory } from "../bench/state/memory";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { systemWords } from "./words";

/** How many places are listed at most. */
const LISTED = 12;

/** Rules that follow a token with their motions, waits or drags; each once. */
const rulesWith = (project: Project, token: Id): readonly { piece: Id; rule: Id }[] => {
  const uses = [...motionUsesOf(project, token), ...numberUsesOf(project, token)];
  const rules = new Map(uses.map(({ piece, rule }) => [`${piece} ${rule}`, { piece, rule }]));
  return [...rules.values()];
};

/** The pieces in which a token is used, once for each place. */
export const piecesWith = (project: Project, token: Id): readonly Id[] =>
  [...usesOf(project, token), ...rulesWith(project, token)].map((use) => use.piece);

interface Props {
  readonly token: Id;
}

/** Where a token is used: layers and rules, each with the way to its bench. */
export const UseList = ({ token }: Props) => {
  const session = useSession();
  const memory = useBenchMemory();
  const project = useDisplayedProject();
  const { pieces } = project;
  const looks = usesOf(project, token).map((use) => ({
    key: `${use.piece} ${use.look} ${use.layer} ${use.key}`,
    piece: use.piece,
    words: `${pieces[use.piece]?.layers[use.layer]?.name ?? ""}, ${labelOf(use.key)}`,
    choose: () => memory.choose(use.piece, use.layer),
  }));
  const rules = rulesWith(project, token).flatMap((use) => {
    const piece = pieces[use.piece];
    const rule = piece?.rules[use.rule];
    if (!piece || !rule) return [];
    return {
      key: `${use.piece} ${use.rule}`,
      piece: use.piece,
      words: ruleText(project, piece, rule),
      choose: () => memory.chooseRule(use.piece, use.rule),
    };
  });
  const uses = [...looks, ...rules];
  if (uses.length === 0) return null;
  return (
    <ul className="token-uses" aria-label={systemWords.whereUsed}>
      {uses.slice(0, LISTED).map((use) => (
        <li key={use.key}>
          <Link to={`/projects/${session.id}/pieces/${use.piece}`} onClick={use.choose}>
            {pieces[use.piece]?.name}
          </Link>
          : {use.words}
        </li>
      ))}
      {uses.length > LISTED && (
        <li className="quiet">{systemWords.moreUses(uses.length - LISTED)}</li>
      )}
    </ul>
  );
};
