import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import { cssKeyframes } from "#core/formats/motion";
import { Menu } from "../../ui/floating/Menu";
import { saveText } from "../../services/download";
import type { Filming } from "./film";
import { FilmDialog } from "./FilmDialog";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

const films: readonly { readonly kind: Filming["kind"]; readonly words: string }[] = [
  { kind: "svg", words: timingWords.animatedSvg2 },
  { kind: "gif", words: timingWords.animatedGifInSaveMenu },
  { kind: "png", words: timingWords.pngFrames },
];

/** Saves the change one looks at for use elsewhere. */
export const SaveMenu = ({ timed }: { timed: Timed }) => {
  const [filming, setFilming] = useState<Filming["kind"] | null>(null);
  const { piece, scenes, motion, title } = timed;
  return (
    <>
      <Dropdown align="end">
        <Dropdown.Toggle variant="tool">{timingWords.export}</Dropdown.Toggle>
        <Menu>
          <Dropdown.Item
            as="button"
            type="button"
            onClick={() =>
              saveText(
                `${title}.css`,
                "text/css",
                cssKeyframes(`${piece.name}: ${timed.words}`, scenes.from, scenes.to, motion),
              )
            }
          >
            {timingWords.cssKeyframes}
          </Dropdown.Item>
          {films.map(({ kind, words }) => (
            <Dropdown.Item key={kind} as="button" type="button" onClick={() => setFilming(kind)}>
              {words}
            </Dropdown.Item>
          ))}
        </Menu>
      </Dropdown>
      {filming && (
        <FilmDialog
          key={filming}
          timed={timed}
          kind={filming}
          name={title}
          onClose={() => setFilming(null)}
        />
      )}
    </>
  );
};
