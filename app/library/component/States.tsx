import { Link } from "react-router";
import { variantKey, variantName, variantsOf } from "#core/looks";
import type { Piece } from "#core/project";
import { useGround } from "../../parts/shown/ground";
import { Thumbnail } from "../../parts/shown/Thumbnail";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { libraryWords } from "../words";

/** So many variants are shown as pictures; all are on the bench. */
const MOST = 24;

/** The states of a component as pictures. */
export const States = ({ piece }: { readonly piece: Piece }) => {
  const session = useSession();
  const project = useDisplayedProject();
  const ground = useGround();
  const variants = variantsOf(piece);
  const more = variants.length - MOST;
  return (
    <>
      <ul className="state-pictures">
        {variants.slice(0, MOST).map((variant) => (
          <li key={variantKey(piece, variant)}>
            <figure>
              <span className="library-stage small" style={ground}>
                <Thumbnail project={project} piece={piece.id} variant={variant} />
              </span>
              <figcaption className="small-text">{variantName(piece, variant)}</figcaption>
            </figure>
          </li>
        ))}
      </ul>
      {more > 0 && (
        <Link to={`/projects/${session.id}/pieces/${piece.id}`}>
          {libraryWords.moreVariants(more)}
        </Link>
      )}
    </>
  );
};
