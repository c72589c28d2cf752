import type { ReactNode } from "react";
import { Link } from "react-router";
import type { Project, Variant } from "#core/project";
import { Choices } from "../ui/fields/Choices";
import { Tool } from "../ui/Tool";
import { useWatched } from "../ui/watched";
import { addressOf } from "./address";
import type { Place } from "./place";
import type { PlayRun, Zoom } from "./run";
import { playWords } from "./words";

interface Props {
  readonly run: PlayRun;
  readonly project: Project;
  /** the values of themes that were asked for */
  readonly theme: Variant;
  readonly place: Place;
  readonly isListed: boolean;
  readonly onList: () => void;
  readonly onFull: () => void;
  readonly children: ReactNode;
}

/** The link to what is shown now goes to the clipboard. */
const copyLink = async ({ run, project, theme, place }: Props): Promise<void> => {
  const address = addressOf(project, run.presented, theme);
  const link = `${window.location.origin}${place.play}${address}`;
  try {
    await navigator.clipboard.writeText(link);
    run.say(playWords.linkCopied);
  } catch {
    run.say(playWords.copyFailed);
  }
};

/** One slim bar around the prototype: where one is, and what a presenter needs. */
export const PlayBar = (props: Props) => {
  const { project, place, isListed, onList, onFull, children } = props;
  const run = useWatched(props.run);
  const piece = project.pieces[run.screen];
  return (
    <header className="play-bar">
      <Tool
        framed
        icon="beside"
        label={isListed ? playWords.hideList : playWords.showList}
        on={isListed}
        onClick={onList}
      />
      {place.home === null ? (
        <span className="brand">{project.name}</span>
      ) : (
        <Link className="brand" to={place.home}>
          {project.name}
        </Link>
      )}
      <h1 tabIndex={-1}>{piece?.name}</h1>
      {place.home !== null && (
        <Link className="quiet small-text" to={`${place.home}/pieces/${run.screen}`}>
          {playWords.editOnBench(piece?.name ?? "")}
        </Link>
      )}
      <Tool framed icon="restart" iconSize={14} onClick={() => run.restart()}>
        {playWords.restart}
      </Tool>
      <Tool framed onClick={() => run.back()}>
        {playWords.back}
      </Tool>
      <span className="quiet small-text play-size">
        {playWords.size(run.size.width, run.size.height)}
      </span>
      <Choices<Zoom>
        label={playWords.zoom}
        value={run.zoom}
        choices={[
          { value: "fit", words: playWords.fit },
          { value: "real", words: playWords.real },
        ]}
        onChoose={(zoom) => run.setZoom(zoom)}
      />
      <Tool framed onClick={onFull}>
        {playWords.full}
      </Tool>
      <Tool framed onClick={() => void copyLink(props)}>
        {playWords.copyLink}
      </Tool>
      {children}
    </header>
  );
};
