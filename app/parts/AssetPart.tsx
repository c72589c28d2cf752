import { useEffect, useMemo, useRef, useState } from "react";
import { Form } from "react-bootstrap";
import type { Id } from "#core/basics";
import { pictureTypes } from "#core/properties";
import type { IconAsset, PictureAsset } from "#core/properties";
import { assetAddress, iconCatalogue, keepIcon, upload } from "../session/assets";
import type { CatalogueIcon } from "../session/assets";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { FileButton } from "../ui/fields/FileButton";
import { findIcons } from "./icons";
import { partsWords } from "./words";

/** More matches than this are not shown at once: one more letter finds the rest. */
const MOST = 126;

export const IconMark = ({
  icon,
  size = 20,
}: {
  icon: Pick<IconAsset, "width" | "height" | "shapes">;
  size?: number;
}) => (
  <svg
    width={size}
    height={size}
    viewBox={`0 0 ${icon.width} ${icon.height}`}
    fill="currentColor"
    aria-hidden="true"
  >
    {icon.shapes.map((s, i) => (
      <path key={i} d={s.d} fillRule={s.holes ? "evenodd" : undefined} />
    ))}
  </svg>
);

const foundWords = (count: number): string => {
  if (count === 0) return partsWords.noIconsFoundTry;
  if (count > MOST) return partsWords.iconsKeepTypingNarrow(count);
  return count === 1 ? partsWords.n1Icon : partsWords.iconsFound(count);
};

interface IconsProps {
  readonly chosen: Id;
  /** what is looked for to begin with */
  readonly find: string;
  readonly onPick: (id: Id) => void;
  /** the first one found was taken with Enter: that is the end of it */
  readonly onTaken: (() => void) | undefined;
}

const Icons = ({ chosen, find, onPick, onTaken }: IconsProps) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [all, setAll] = useState<readonly CatalogueIcon[] | null>(null);
  const [failed, setFailed] = useState(false);
  const [text, setText] = useState(find);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    iconCatalogue().then(setAll, () => setFailed(true));
  }, []);
  useEffect(() => field.current?.focus(), []);
  const found = useMemo(() => (all ? findIcons(all, text) : []), [all, text]);
  const own = Object.values(project.assets).filter(
    (a): a is IconAsset =>
      a.kind === "icon" && (text === "" || a.name.includes(text.toLowerCase())),
  );
  const mark = project.assets[chosen]?.name;
  /** Takes the first that is found, as soon as there are any to look among. */
  const take = async (name: string) => {
    const icons = all ?? (await iconCatalogue().catch(() => []));
    const [first] = findIcons(icons, name);
    if (!first) return;
    onPick(keepIcon(session, first));
    onTaken?.();
  };
  return (
    <>
      <Form.Control
        className="find"
        ref={field}
        type="search"
        aria-label={partsWords.findIcon}
        placeholder={all ? partsWords.findAmongIcons(all.length) : partsWords.findIcon}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== "Enter") return;
          e.preventDefault();
          e.stopPropagation();
          void take(e.currentTarget.value);
        }}
      />
      <div
        className="icon-grid"
        role="listbox"
        aria-label={partsWords.icons}
        aria-busy={all === null && !failed}
      >
        {text === "" &&
          own.map((a) => (
            <button
              key={a.id}
              type="button"
              role="option"
              aria-selected={a.id === chosen}
              title={partsWords.usedThisProject(a.name)}
              className={a.id === chosen ? "on" : ""}
              onClick={() => onPick(a.id)}
            >
              <IconMark icon={a} />
            </button>
          ))}
        {found.slice(0, MOST).map((icon) => (
          <button
            key={icon.name}
            type="button"
            role="option"
            aria-selected={icon.name === mark}
            title={icon.name}
            aria-label={icon.name}
            className={icon.name === mark ? "on" : ""}
            onClick={() => onPick(keepIcon(session, icon))}
          >
            <IconMark icon={icon} />
          </button>
        ))}
      </div>
      <p className="note" role="status">
        {failed && partsWords.couldNotLoadIcons}
        {!failed && (all === null ? partsWords.loadingIcons : foundWords(found.length))}
      </p>
    </>
  );
};

const Pictures = ({ chosen, onPick }: { chosen: Id; onPick: (id: Id) => void }) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const take = async (file: File | undefined) => {
    if (!file || busy) return;
    setBusy(true);
    setTrouble(null);
    const result = await upload(session, file);
    setBusy(false);
    if (!result.ok) setTrouble(result.reason);
    else if (result.kind === "picture") onPick(result.id);
  };
  const pictures = Object.values(project.assets).filter(
    (a): a is PictureAsset => a.kind === "picture",
  );
  return (
    <>
      <FileButton
        label={partsWords.chooseFile}
        accept={pictureTypes.join(",")}
        onFiles={([file]) => void take(file)}
      >
        {busy ? partsWords.uploading : partsWords.chooseFileInAssetPart}
      </FileButton>
      {trouble !== null && (
        <p className="refusal" role="alert">
          {trouble}
        </p>
      )}
      {pictures.length === 0 && trouble === null && (
        <p className="note">{partsWords.noImagesProjectYet}</p>
      )}
      <div className="picture-grid" role="listbox" aria-label={partsWords.images}>
        {pictures.map((p) => (
          <button
            key={p.id}
            type="button"
            role="option"
            aria-selected={p.id === chosen}
            title={partsWords.px(p.name, p.width, p.height)}
            className={p.id === chosen ? "on" : ""}
            onClick={() => onPick(p.id)}
          >
            <img src={assetAddress(p.hash)} alt={p.name} />
          </button>
        ))}
      </div>
    </>
  );
};

/** The project's pictures or icons, and how to get more. */
export const AssetPart = ({
  of,
  chosen,
  find = "",
  onPick,
  onTaken,
}: {
  of: "picture" | "icon";
  chosen: Id;
  find?: string;
  onPick: (id: Id) => void;
  onTaken?: () => void;
}) => (
  <div className="asset-part">
    {of === "icon" ? (
      <Icons chosen={chosen} find={find} onPick={onPick} onTaken={onTaken} />
    ) : (
      <Pictures chosen={chosen} onPick={onPick} />
    )}
  </div>
);
