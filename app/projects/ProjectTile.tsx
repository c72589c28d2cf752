import { memo, useRef, useState } from "react";
import { Dropdown } from "react-bootstrap";
import { Link } from "react-router";
import type { Listed } from "#server";
import { useNear } from "../parts/shown/useNear";
import { NameField } from "../ui/fields/NameField";
import { afterMenu } from "../ui/floating/afterMenu";
import { Ago } from "../ui/time/Ago";
import { useTile } from "./useTile";
import { projectsWords } from "./words";

interface PictureProps {
  readonly listed: Listed;
  /** asked for once it is */
  readonly isNear: boolean;
  readonly onMissing: () => void;
}

/** The picture that the server has of a project; fetched when near. */
const Picture = ({ listed, isNear, onMissing }: PictureProps) => {
  const { id, components, screens, changedAt } = listed;
  if (components === 0 && screens === 0)
    return <span className="quiet">{projectsWords.empty}</span>;
  // without the attribute nothing is asked for
  const src = isNear ? `/projects/${id}/picture?of=${changedAt}` : undefined;
  return <img src={src} alt="" decoding="async" draggable={false} onError={onMissing} />;
};

/** What can be done with a project in the list; always the same functions. */
export interface TileActions {
  readonly rename: (project: Listed, name: string) => void;
  readonly duplicate: (project: Listed) => void;
  readonly bin: (project: Listed) => void;
}

interface Props {
  readonly listed: Listed;
  /** when the page was made, ms since 1970 */
  readonly now: number;
  readonly does: TileActions;
}

interface MenuProps extends Pick<Props, "listed" | "does"> {
  readonly onRename: () => void;
}

const TileMenu = ({ listed, does, onRename }: MenuProps) => (
  <Dropdown align="end">
    <Dropdown.Toggle variant="tool" size="sm" aria-label={projectsWords.actions(listed.name)}>
      …
    </Dropdown.Toggle>
    <Dropdown.Menu>
      <Dropdown.Item as="button" type="button" onClick={() => afterMenu(onRename)}>
        {projectsWords.rename}
      </Dropdown.Item>
      <Dropdown.Item as="button" type="button" onClick={() => does.duplicate(listed)}>
        {projectsWords.duplicate}
      </Dropdown.Item>
      <Dropdown.Item href={`/projects/${listed.id}/file`} download>
        {projectsWords.saveAsFile}
      </Dropdown.Item>
      <Dropdown.Item as="button" type="button" onClick={() => does.bin(listed)}>
        {projectsWords.moveToBin}
      </Dropdown.Item>
    </Dropdown.Menu>
  </Dropdown>
);

/** Whether it has ever been so. */
const useLatch = (isNow: boolean): boolean => {
  const [wasEver, setEver] = useState(isNow);
  if (isNow && !wasEver) setEver(true);
  return wasEver || isNow;
};

/**
 * A project in the list of all. One that cannot be read is not hidden, and nothing can be done to
 * it that would make it worse.
 */
export const ProjectTile = memo(function ProjectTile({ listed, now, does }: Props) {
  const { id, name, changedAt, components, screens } = listed;
  const place = useRef<HTMLLIElement>(null);
  const isNear = useNear(place);
  const wasNear = useLatch(isNear);
  const [isMissing, setMissing] = useState(false);
  // projects kept before there were counts are looked through, too
  const tile = useTile(id, isMissing || (wasNear && components === null));
  const [isRenaming, setRenaming] = useState(false);
  const to = `/projects/${id}`;
  const named = (to: string | null) => {
    setRenaming(false);
    if (to !== null) does.rename(listed, to);
  };
  if (tile?.kind === "damaged")
    return (
      <li ref={place} className="tile-item">
        <div className="tile damaged">
          <span className="tile-picture">
            <span className="quiet">{projectsWords.cannotBeRead}</span>
          </span>
          <span className="tile-name">{name}</span>
          <span className="refusal">{projectsWords.damaged(tile.reason)}</span>
        </div>
      </li>
    );
  return (
    <li ref={place} className={isNear ? "tile-item" : "tile-item far"}>
      <Link to={to} className="tile">
        <span className="tile-picture">
          {tile?.kind === "empty" ? (
            <span className="quiet">{projectsWords.empty}</span>
          ) : (
            <Picture listed={listed} isNear={wasNear} onMissing={() => setMissing(true)} />
          )}
        </span>
        <span className="visually-hidden">{projectsWords.open(name)}</span>
      </Link>
      <div className="tile-foot">
        {isRenaming ? (
          <NameField value={name} label={projectsWords.name} onDone={named} />
        ) : (
          <Link to={to} className="tile-name" tabIndex={-1}>
            {name}
          </Link>
        )}
        {isNear && <TileMenu listed={listed} does={does} onRename={() => setRenaming(true)} />}
      </div>
      <span className="quiet small-text">
        {components !== null && screens !== null && projectsWords.counts(components, screens)}
        {projectsWords.edited} <Ago at={changedAt} from={now} />
      </span>
    </li>
  );
});
