import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import { cssKeyframes } from "#core/formats/motion";
import { Menu } from "../../ui/Menu";
import { saveText } from "../../services/download";
import type { Filming } from "./film";
import { FilmDialog } from "./FilmDialog";
import type { Timed } from "./useTiming";

const films: readonly { readonly kind: Filming["kind"]; readonly words: string }[] = [
  { kind: "svg", words: "Moving SVG …" },
  { kind: "gif", words: "Animated GIF …" },
  { kind: "png", words: "PNG pictures …" },
];

/** Saves the change one looks at for use elsewhere. */
export const SaveMenu = ({ timed }: { timed: Timed }) => {
  const [filming, setFilming] = useState<Filming["kind"] | null>(null);
  const { piece, scenes, motion, title } = timed;
  return (
    <>
      <Dropdown align="end">
        <Dropdown.Toggle variant="tool">Save as …</Dropdown.Toggle>
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
            CSS keyframes
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
