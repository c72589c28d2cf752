import { hasThemes, valuesOf } from "#core/looks";
import type { TokenFile } from "#core/formats/tokens";
import { inOrder } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { Pick } from "../../ui/fields/Pick";
import { filesWords } from "./words";

interface Props {
  readonly files: readonly TokenFile[];
  readonly onFiles: (files: readonly TokenFile[]) => void;
}

const keyOf = (theme: TokenFile["theme"]): string =>
  theme ? JSON.stringify([theme.name, theme.value]) : "";

/** The files that were chosen, and for which value of a theme each of them is. */
export const FileThemes = ({ files, onFiles }: Props) => {
  const themes = useDisplayedProject((p) => p.themes);
  const values = inOrder(themes).flatMap((theme) =>
    valuesOf(theme).map((value) => ({ name: theme.name, value: value.name })),
  );
  const options = [
    { value: "", words: filesWords.allThemes },
    ...values.map((v) => ({ value: keyOf(v), words: filesWords.themeIs(v.name, v.value) })),
  ];
  const choose = (file: TokenFile, key: string) => {
    const theme = values.find((v) => keyOf(v) === key);
    onFiles(files.map((f) => (f === file ? { name: f.name, text: f.text, theme } : f)));
  };
  return (
    <ul className="import-files">
      {files.map((file) => (
        <li key={file.name}>
          <span className="mono">{file.name}</span>
          {hasThemes({ themes }) && (
            <Pick
              label={filesWords.themeOfFile(file.name)}
              value={keyOf(file.theme)}
              options={options}
              onPick={(key) => choose(file, key)}
            />
          )}
        </li>
      ))}
    </ul>
  );
};
