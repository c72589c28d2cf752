import { themesOf, traitsOf, valuesOf } from "#core/looks";
import { ROOT } from "#core/project";
import type { Layer, Piece, Project } from "#core/project";
import { THEME } from "#core/properties";
import type { Row } from "./row";
import { sheetWords } from "./words";

/**
 * The rows by which a screen, or what a copy shows, is kept in one value of a theme whatever the
 * page is shown in; none for other layers.
 */
export const themeRows = (project: Project, piece: Piece, layer: Layer): Row[] => {
  const isScreen = piece.kind === "screen" && layer.id === ROOT;
  if (!isScreen && layer.kind !== "instance") return [];
  return traitsOf(themesOf(project)).map((theme) => ({
    key: THEME + theme.id,
    label: theme.name,
    group: "theme",
    type: { is: "reference" },
    choices: [
      { value: "", words: sheetWords.notFixed },
      ...valuesOf(theme).map((v) => ({ value: v.id, words: v.name })),
    ],
    inherent: "",
    mode: null,
  }));
};
