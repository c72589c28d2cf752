import { Link } from "react-router";
import { motionText } from "#core/describe";
import { motionGroups } from "#core/edit";
import { tokensIn, usesByComponent } from "#core/library";
import { inOrder } from "#core/project";
import type { Piece } from "#core/project";
import { CurveMark } from "../../parts/time/CurveMark";
import { useGround } from "../../parts/shown/ground";
import { Thumbnail } from "../../parts/shown/Thumbnail";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { Sample } from "../../system/Sample";
import { libraryWords } from "../words";

interface Props {
  readonly piece: Piece;
}

/** The motions of a component, and the tokens they follow. */
export const MotionsUsed = ({ piece }: Props) => {
  const session = useSession();
  const project = useDisplayedProject();
  const groups = motionGroups(project, piece.id);
  if (groups.length === 0) return <p className="quiet">{libraryWords.noMotions}</p>;
  return (
    <ul className="used-list">
      {groups.map((group) => {
        const [first] = group.uses;
        return (
          <li key={group.key}>
            <CurveMark easing={group.value.easing} />
            {first && motionText(first.motion)}
            {group.token ? (
              <Link to={`/projects/${session.id}/system/tokens#tokens-motion`}>
                {group.token.name}
              </Link>
            ) : (
              <span className="quiet">{libraryWords.ownMotion}</span>
            )}
          </li>
        );
      })}
    </ul>
  );
};

/** The tokens a component follows. */
export const TokensUsed = ({ piece }: Props) => {
  const session = useSession();
  const project = useDisplayedProject();
  const used = tokensIn(piece);
  const tokens = inOrder(project.tokens).filter((t) => used.has(t.id));
  if (tokens.length === 0) return <p className="quiet">{libraryWords.noTokens}</p>;
  return (
    <ul className="used-list tokens">
      {tokens.map((token) => (
        <li key={token.id}>
          <Sample token={token} />
          <Link to={`/projects/${session.id}/system/tokens#tokens-${token.type}`}>
            {token.name}
          </Link>
        </li>
      ))}
    </ul>
  );
};

const Place = ({ piece, copies }: Props & { readonly copies: number }) => {
  const session = useSession();
  const project = useDisplayedProject();
  const ground = useGround();
  const home = `/projects/${session.id}`;
  const to =
    piece.kind === "component"
      ? `${home}/system/components/${piece.id}`
      : `${home}/pieces/${piece.id}`;
  return (
    <li>
      <Link to={to} className="place-link">
        <span className="library-stage small" style={ground}>
          <Thumbnail project={project} piece={piece.id} />
        </span>
        <span>{piece.name}</span>
      </Link>
      {copies > 0 && <span className="quiet small-text">{libraryWords.copies(copies)}</span>}
    </li>
  );
};

/** Where a component is placed, and the components placed in it. */
export const Uses = ({ piece }: Props) => {
  const project = useDisplayedProject();
  const all = usesByComponent(project);
  const uses = all.get(piece.id) ?? [];
  const held = [...all].flatMap(([id, list]) => {
    const component = project.pieces[id];
    return component && list.some((use) => use.piece.id === piece.id) ? [component] : [];
  });
  return (
    <>
      {uses.length === 0 && <p className="quiet">{libraryWords.notUsed}</p>}
      <ul className="place-list">
        {uses.map((use) => (
          <Place key={use.piece.id} piece={use.piece} copies={use.layers.length} />
        ))}
      </ul>
      {held.length > 0 && (
        <>
          <h3>{libraryWords.holds}</h3>
          <ul className="place-list">
            {held.map((component) => (
              <Place key={component.id} piece={component} copies={0} />
            ))}
          </ul>
        </>
      )}
    </>
  );
};
