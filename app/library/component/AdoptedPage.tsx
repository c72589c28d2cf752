import { Button } from "react-bootstrap";
import { Link, useNavigate } from "react-router";
import { adoptionOf } from "#core/project";
import type { Piece } from "#core/project";
import { makeIndependent } from "#core/system";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { libraryWords } from "../words";
import { LookAt } from "./LookAt";
import { Uses } from "./Used";

/** A component of a system that the project uses: read, placed, or made independent. */
export const AdoptedPage = ({ piece }: { readonly piece: Piece }) => {
  const session = useSession();
  const navigate = useNavigate();
  const adoption = useDisplayedProject((p) => p.adoptions[adoptionOf(piece.id) ?? ""]);
  const makeOwn = () => {
    const made = session.make((now) => makeIndependent(now, piece.id));
    if (made) void navigate(`/projects/${session.id}/system/components/${made.id}`);
  };
  return (
    <>
      <div className="page-head component-head">
        <h1 tabIndex={-1}>{piece.name}</h1>
        {adoption && (
          <Link to={`/projects/${session.id}/system/adopted`}>
            {libraryWords.fromSystem(adoption.name, adoption.number)}
          </Link>
        )}
        <Button
          size="sm"
          variant="outline-primary"
          title={libraryWords.independentMeans}
          onClick={makeOwn}
        >
          {libraryWords.makeIndependent}
        </Button>
      </div>
      <LookAt piece={piece} />
      <section aria-labelledby="uses">
        <h2 id="uses">{libraryWords.sections.uses}</h2>
        <Uses piece={piece} />
      </section>
    </>
  );
};
