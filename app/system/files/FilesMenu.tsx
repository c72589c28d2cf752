import { strToU8, zipSync } from "fflate";
import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import type { TokenFile } from "#core/formats/tokens";
import { saveBytes, saveText } from "../../services/download";
import { styleSheetOf, writeTokenFiles } from "../../services/tokens";
import { useSession } from "../../session/context";
import { FileButton } from "../../ui/fields/FileButton";
import { Menu } from "../../ui/floating/Menu";
import { guessTheme } from "./guess";
import { ImportTokens } from "./ImportTokens";
import { filesWords } from "./words";

/** The largest file that is read, MB. */
const LARGEST = 20;

interface Props {
  readonly onNote: (text: string) => void;
  readonly onRefused: (reason: string) => void;
}

/** Brings tokens in from files, and saves them as files. */
export const FilesMenu = ({ onNote, onRefused }: Props) => {
  const session = useSession();
  const [files, setFiles] = useState<readonly TokenFile[] | null>(null);
  const take = async (chosen: readonly File[]) => {
    const large = chosen.find((f) => f.size > LARGEST * 1e6);
    if (large) {
      onRefused(filesWords.fileTooLarge(large.name, LARGEST));
      return;
    }
    const read = chosen.map(async (file): Promise<TokenFile> => {
      const theme = chosen.length > 1 ? guessTheme(session.project, file.name) : null;
      return { name: file.name, text: await file.text(), theme: theme ?? undefined };
    });
    setFiles(await Promise.all(read));
  };
  const save = async () => {
    const { project } = session;
    const written = await writeTokenFiles(project);
    const [only] = written;
    if (written.length === 1 && only) {
      saveText(only.name, "application/json", only.text);
      return;
    }
    const entries = written.map((file) => [file.name, strToU8(file.text)] as const);
    saveBytes(
      `${project.name}.tokens.zip`,
      "application/zip",
      zipSync(Object.fromEntries(entries)),
    );
  };
  const saveSheet = async (language: "css" | "scss", type: string) => {
    const { project } = session;
    saveText(`${project.name}.${language}`, type, await styleSheetOf(project, language));
  };
  const saving = (written: Promise<void>) => {
    written.catch((error: unknown) =>
      onRefused(filesWords.notSaved(error instanceof Error ? error.message : String(error))),
    );
  };
  return (
    <>
      <FileButton
        multiple
        label={filesWords.importFiles}
        accept=".json,.json5,.jsonc,.tokens,application/json"
        onFiles={(chosen) => void take(chosen)}
      >
        {filesWords.importFiles}
      </FileButton>
      <Dropdown align="end">
        <Dropdown.Toggle variant="outline-primary" size="sm">
          {filesWords.exportTokens}
        </Dropdown.Toggle>
        <Menu>
          <Dropdown.Item as="button" type="button" onClick={() => saving(save())}>
            {filesWords.designTokens}
          </Dropdown.Item>
          <Dropdown.Item
            as="button"
            type="button"
            onClick={() => saving(saveSheet("css", "text/css"))}
          >
            {filesWords.cssProperties}
          </Dropdown.Item>
          <Dropdown.Item
            as="button"
            type="button"
            onClick={() => saving(saveSheet("scss", "text/x-scss"))}
          >
            {filesWords.scss}
          </Dropdown.Item>
        </Menu>
      </Dropdown>
      {files && <ImportTokens files={files} onClose={() => setFiles(null)} onDone={onNote} />}
    </>
  );
};
