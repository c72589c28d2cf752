import { useShallow } from "zustand/react/shallow";
import { ownGroups, moveToGroup, piecesOf, renamePiece, setStatus } from "#core/edit";
import type { Piece, Status } from "#core/project";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { EditableName } from "../../ui/fields/EditableName";
import { Pick } from "../../ui/fields/Pick";
import { LinkButton } from "../../ui/LinkButton";
import { libraryWords } from "../words";

const SUPERSEDED = "superseded ";

const keyOf = (status: Status): string =>
  typeof status === "object" ? SUPERSEDED + (status.supersededBy ?? "") : status;

const statusOf = (key: string): Status => {
  if (key === "ready" || key === "draft") return key;
  const by = key.slice(SUPERSEDED.length);
  return { supersededBy: by === "" ? null : by };
};

/** The name of a component, how far it is, and the group it is in. */
export const Head = ({ piece }: { readonly piece: Piece }) => {
  const session = useSession();
  const others = useDisplayedProject(
    useShallow((p) => piecesOf(p, "component").filter((c) => c.id !== piece.id)),
  );
  const groups = useDisplayedProject(useShallow(ownGroups));
  const { status = "draft", group = "" } = piece;
  const states = [
    { value: "draft", words: libraryWords.status.draft },
    { value: "ready", words: libraryWords.status.ready },
    ...others.map((c) => ({
      value: SUPERSEDED + c.id,
      words: libraryWords.supersededBy(c.name),
    })),
  ];
  return (
    <div className="page-head component-head">
      <h1 tabIndex={-1} className="bar-name">
        <EditableName
          name={piece.name}
          label={libraryWords.name}
          onName={(name) => session.run(() => renamePiece(piece.id, name))}
        />
      </h1>
      <label className="small-text">
        {libraryWords.statusIs}
        <Pick
          label={libraryWords.statusIs}
          value={keyOf(status)}
          options={states}
          onPick={(key) =>
            session.run((now) => {
              const present = now.pieces[piece.id];
              return present && setStatus(present, statusOf(key));
            })
          }
        />
      </label>
      {groups.length > 0 && (
        <label className="small-text">
          {libraryWords.group}
          <Pick
            label={libraryWords.group}
            value={group}
            options={["", ...groups].map((g) => ({
              value: g,
              words: g === "" ? libraryWords.noGroup : g,
            }))}
            onPick={(to) => session.run((now) => moveToGroup(now, piece.id, to))}
          />
        </label>
      )}
      {piece.origin && (
        <span className="quiet small-text">
          {libraryWords.independentOf(piece.origin.name, piece.origin.number)}
        </span>
      )}
      <LinkButton size="sm" to={`/projects/${session.id}/pieces/${piece.id}`}>
        {libraryWords.editOnBench}
      </LinkButton>
    </div>
  );
};
