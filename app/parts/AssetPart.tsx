import { useEffect, useMemo, useRef, useState } from "react";
import { Form } from "react-bootstrap";
import type { Id } from "#core/basics";
import { pictureTypes } from "#core/properties";
import type { IconAsset, PictureAsset } from "#core/properties";
import { assetAddress, iconCatalogue, keepIcon, upload } from "../session/assets";
import type { CatalogueIcon } from "../session/assets";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { FileButton } from "../ui/FileButton";

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

/** Icons whose name has every word that was typed, those that begin with it first. */
export const findIcons = (icons: readonly CatalogueIcon[], text: string): CatalogueIcon[] => {
  const words = text
    .toLowerCase()
    .split(/[\s-]+/)
    .filter(Boolean);
  if (words.length === 0) return [...icons];
  const hits = icons.filter((i) => words.every((w) => i.name.includes(w)));
  const first = words[0] as string;
  return hits.sort(
    (a, b) =>
      Number(b.name.startsWith(first)) - Number(a.name.startsWith(first)) ||
      a.name.length - b.name.length ||
      (a.name < b.name ? -1 : 1),
  );
};

const foundWords = (count: number): string => {
  if (count === 0) return "No icon has such a name. Try another word.";
  if (count > MOST) return `${count} icons; type more to see the others`;
  return count === 1 ? "1 icon" : `${count} icons`;
};

const Icons = ({ chosen, onPick }: { chosen: Id; onPick: (id: Id) => void }) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [all, setAll] = useState<readonly CatalogueIcon[] | null>(null);
  const [failed, setFailed] = useState(false);
  const [text, setText] = useState("");
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
  return (
    <>
      <Form.Control
        className="find"
        ref={field}
        type="search"
        aria-label="Find an icon"
        placeholder={all ? `Find among ${all.length} icons` : "Find an icon"}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && found[0]) {
            e.preventDefault();
            e.stopPropagation();
            onPick(keepIcon(session, found[0]));
          }
        }}
      />
      <div
        className="icon-grid"
        role="listbox"
        aria-label="Icons"
        aria-busy={all === null && !failed}
      >
        {text === "" &&
          own.map((a) => (
            <button
              key={a.id}
              type="button"
              role="option"
              aria-selected={a.id === chosen}
              title={`${a.name} (used in this project)`}
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
        {failed && "The icons could not be fetched. Close this and try again."}
        {!failed && (all === null ? "Fetching the icons …" : foundWords(found.length))}
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
        label="Choose a file"
        accept={pictureTypes.join(",")}
        onFiles={([file]) => void take(file)}
      >
        {busy ? "Sending …" : "Choose a file …"}
      </FileButton>
      {trouble !== null && (
        <p className="refusal" role="alert">
          {trouble}
        </p>
      )}
      {pictures.length === 0 && trouble === null && (
        <p className="note">
          No pictures in this project yet. Choose a file, or drop or paste one onto a card.
        </p>
      )}
      <div className="picture-grid" role="listbox" aria-label="Pictures">
        {pictures.map((p) => (
          <button
            key={p.id}
            type="button"
            role="option"
            aria-selected={p.id === chosen}
            title={`${p.name}, ${p.width} × ${p.height} px`}
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
  onPick,
}: {
  of: "picture" | "icon";
  chosen: Id;
  onPick: (id: Id) => void;
}) => (
  <div className="asset-part">
    {of === "icon" ? (
      <Icons chosen={chosen} onPick={onPick} />
    ) : (
      <Pictures chosen={chosen} onPick={onPick} />
    )}
  </div>
);
