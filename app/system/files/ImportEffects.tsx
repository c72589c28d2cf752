import { useMemo } from "react";
import { changedInThemes, takeTokens } from "#core/edit";
import type { ThemedPiece, TokenPlan } from "#core/edit";
import { inTheme, themeText, variantName } from "#core/looks";
import { apply } from "#core/project";
import type { Project } from "#core/project";
import { Thumbnail } from "../../parts/shown/Thumbnail";
import { filesWords } from "./words";

/** As many pieces, and variants of each, are shown as pictures. */
const MOST_PIECES = 12;
const MOST_VARIANTS = 2;

interface PairProps {
  readonly before: Project;
  readonly after: Project;
  readonly changed: ThemedPiece;
}

const Pair = ({ before: usual, after: usualAfter, changed }: PairProps) => {
  const before = inTheme(usual, changed.theme);
  const after = inTheme(usualAfter, changed.theme);
  const piece = after.pieces[changed.piece];
  if (!piece) return null;
  const theme = themeText(after);
  return (
    <li className="import-piece">
      <span className="strong">{piece.name}</span>
      <span className="quiet small-text">
        {filesWords.variantsChange(changed.variants.length, changed.of)}
        {theme !== "" && filesWords.inTheme(theme)}
      </span>
      {changed.variants.slice(0, MOST_VARIANTS).map((variant) => (
        <figure key={JSON.stringify(variant)} className="import-pair">
          <span className="import-picture">
            <Thumbnail project={before} piece={piece.id} variant={variant} />
          </span>
          <span aria-hidden="true">→</span>
          <span className="import-picture">
            <Thumbnail project={after} piece={piece.id} variant={variant} />
          </span>
          <figcaption className="quiet small-text">{variantName(piece, variant)}</figcaption>
        </figure>
      ))}
    </li>
  );
};

interface Props {
  readonly project: Project;
  readonly plan: TokenPlan;
  readonly removesGone: boolean;
}

/** The pieces that will look otherwise, before and after. */
export const ImportEffects = ({ project, plan, removesGone }: Props) => {
  const { after, changed } = useMemo(() => {
    const next = apply(project, takeTokens(project, plan, removesGone).ops).doc;
    return { after: next, changed: changedInThemes(project, next) };
  }, [project, plan, removesGone]);
  return (
    <section aria-labelledby="import-effects">
      <h3 className="caption" id="import-effects">
        {filesWords.piecesChange(changed.length)}
      </h3>
      <ul className="import-pieces">
        {changed.slice(0, MOST_PIECES).map((each) => (
          <Pair key={each.piece} before={project} after={after} changed={each} />
        ))}
      </ul>
      {changed.length > MOST_PIECES && (
        <p className="quiet small-text">{filesWords.morePieces(changed.length - MOST_PIECES)}</p>
      )}
    </section>
  );
};
