import { families } from "#core/properties";
import type { FontAsset } from "#core/properties";
import { useEnv } from "../services/env";
import { upload } from "../session/assets";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { FileButton } from "../ui/fields/FileButton";
import { systemWords } from "./words";

/** The families shipped, and those of the project. */
export const Fonts = ({ onRefused }: { onRefused: (reason: string) => void }) => {
  const session = useSession();
  const project = useDisplayedProject();
  useEnv(project.assets);
  const own = Object.values(project.assets).filter((a): a is FontAsset => a.kind === "font");
  const take = async (files: readonly File[]) => {
    for (const file of files) {
      const result = await upload(session, file);
      if (!result.ok) onRefused(result.reason);
    }
  };
  return (
    <>
      <div className="page-head">
        <h2 id="fonts">{systemWords.fonts}</h2>
        <FileButton
          multiple
          label={systemWords.addFontFiles}
          accept=".ttf,.otf,.woff,.woff2"
          onFiles={(files) => void take(files)}
        >
          {systemWords.addFontFilesInSystem}
        </FileButton>
      </div>
      <ul className="font-list">
        {own.map((f) => (
          <li key={f.id}>
            <span style={{ fontFamily: `"${f.family}"`, fontWeight: Number(f.weight) }}>
              {f.family}
            </span>
            <span className="quiet small-text">{systemWords.weightThisProject(f.weight)}</span>
          </li>
        ))}
        {Object.entries(families).map(([family, list]) => (
          <li key={family}>
            <span style={{ fontFamily: `"${family}"` }}>{family}</span>
            <span className="quiet small-text">{list.join(", ")}</span>
          </li>
        ))}
      </ul>
    </>
  );
};
