import { ListGroup } from "react-bootstrap";
import type { Id } from "#core/basics";
import { overlaysOf, piecesOf } from "#core/edit";
import { traitsOf } from "#core/looks";
import { withinScreen } from "#core/machine";
import type { ActiveInstance } from "#core/machine";
import type { Piece, Project } from "#core/project";
import { pathText } from "#core/rehearse";
import { Thumbnail } from "../parts/shown/Thumbnail";
import { TraitChoice } from "../parts/TraitChoice";
import { useWatched } from "../ui/watched";
import type { PlayRun } from "./run";
import { playWords } from "./words";

interface CopyProps {
  readonly run: PlayRun;
  readonly project: Project;
  readonly copy: ActiveInstance;
}

/** The traits of a screen or of one of its copies, each with its values to choose from. */
const StatesOf = ({ run, project, copy }: CopyProps) => {
  const screen = project.pieces[run.screen];
  const at = withinScreen(copy.path);
  const name = at === "" || !screen ? "" : pathText(project, screen, at);
  return (
    <>
      {name !== "" && (
        <span className="play-copy" title={name}>
          {name}
        </span>
      )}
      {traitsOf(copy.piece).map((trait) => (
        <div key={trait.id} className="play-state">
          <span title={trait.name}>{trait.name}</span>
          <TraitChoice
            label={playWords.stateOf(name, trait.name)}
            trait={trait}
            value={copy.variant[trait.id]}
            onChoose={(value) => run.set(copy.path, trait.id, value)}
          />
        </div>
      ))}
    </>
  );
};

/** Every trait of what is shown, then of the copies in it. */
const States = ({ run: made, project }: { run: PlayRun; project: Project }) => {
  const run = useWatched(made);
  const copies = run.copies.filter((copy) => traitsOf(copy.piece).length > 0);
  if (copies.length === 0) return <p className="quiet small-text">{playWords.noStates}</p>;
  return (
    <div className="play-states">
      {copies.map((copy) => (
        <StatesOf key={copy.path} run={run} project={project} copy={copy} />
      ))}
    </div>
  );
};

interface EntryProps {
  readonly project: Project;
  readonly piece: Piece;
  readonly isShown: boolean;
  readonly note: string;
  readonly onPick: () => void;
  readonly run: PlayRun;
}

/** A screen, an overlay or a component; the shown one with its states. */
const Entry = ({ project, piece, isShown, note, onPick, run }: EntryProps) => (
  <li className={isShown ? "play-entry shown" : "play-entry"}>
    <ListGroup.Item
      action
      type="button"
      aria-current={isShown ? "true" : undefined}
      onClick={onPick}
    >
      <span className="play-picture">
        <Thumbnail project={project} piece={piece.id} />
      </span>
      <span className="play-names">
        <b>{piece.name}</b>
        {note !== "" && <span className="quiet">{note}</span>}
      </span>
    </ListGroup.Item>
    {isShown && <States run={run} project={project} />}
  </li>
);

interface Props {
  readonly run: PlayRun;
  readonly project: Project;
  /** what was opened: a component stands by itself */
  readonly first: Piece;
  readonly onPicked: () => void;
}

/** Every screen, overlay and state; what is picked is shown at once. */
export const StateList = ({ run: made, project, first, onPicked }: Props) => {
  const run = useWatched(made);
  const front = run.overlays.at(-1);
  const show = (screen: Id, overlays: readonly Id[] = []) => {
    run.present({ screen, overlays, traits: [] });
    onPicked();
  };
  const overlays = overlaysOf(project);
  const onlyOver = new Set(overlays.filter((o) => !o.isScreenToo).map((o) => o.piece.id));
  const screens = piecesOf(project, "screen").filter(
    (s) => !onlyOver.has(s.id) || (s.id === run.screen && front === undefined),
  );
  return (
    <>
      {first.kind === "component" && (
        <section>
          <h2 className="caption">{playWords.component}</h2>
          <ListGroup as="ul" variant="flush">
            <Entry
              project={project}
              piece={first}
              run={run}
              isShown={run.screen === first.id}
              note=""
              onPick={() => show(first.id)}
            />
          </ListGroup>
        </section>
      )}
      {screens.length > 0 && (
        <section>
          <h2 className="caption">{playWords.screens}</h2>
          <ListGroup as="ul" variant="flush">
            {screens.map((s) => (
              <Entry
                key={s.id}
                project={project}
                piece={s}
                run={run}
                isShown={run.screen === s.id && front === undefined}
                note={s.id === project.start ? playWords.start : ""}
                onPick={() => show(s.id)}
              />
            ))}
          </ListGroup>
        </section>
      )}
      {overlays.length > 0 && (
        <section>
          <h2 className="caption">{playWords.overlays}</h2>
          <ListGroup as="ul" variant="flush">
            {overlays.map(({ piece, over }) => (
              <Entry
                key={piece.id}
                project={project}
                piece={piece}
                run={run}
                isShown={front === piece.id}
                note={playWords.over(over.name)}
                onPick={() => show(over.id, [piece.id])}
              />
            ))}
          </ListGroup>
        </section>
      )}
    </>
  );
};
