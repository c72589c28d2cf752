import { useEffect, useState } from "react";
import { Table } from "react-bootstrap";
import { keyName } from "#core/describe";
import type { HeardKey, SpokenPart } from "#core/library";
import type { Piece } from "#core/project";
import { useEnv } from "../../services/env";
import { inspector } from "../../services/inspector";
import { useDisplayedProject } from "../../session/displayed";
import { libraryWords } from "../words";

/** What a component says and hears, found by running it in a worker; null until it is known. */
const useSpoken = (id: string): readonly SpokenPart[] | null => {
  const project = useDisplayedProject();
  const env = useEnv(project.assets);
  const [parts, setParts] = useState<readonly SpokenPart[] | null>(null);
  useEffect(() => {
    if (!env) return;
    let isOver = false;
    void inspector(env)
      .then((it) => it.spokenParts(project, id))
      .then((found) => {
        if (!isOver) setParts(found);
      });
    return () => {
      isOver = true;
    };
  }, [project, env, id]);
  return parts;
};

const keysText = ({ keys, does }: HeardKey): string =>
  libraryWords.keyDoes(keys.map(keyName).join(libraryWords.or), does);

const Practice = ({ part }: { readonly part: SpokenPart }) => (
  <>
    {part.missing.length === 0 && <div>{libraryWords.asPractice}</div>}
    {part.missing.map((what) => (
      <div key={what} className="trouble">
        {libraryWords.missing(what)}
      </div>
    ))}
    {part.optional.map((what) => (
      <div key={what} className="quiet">
        {libraryWords.optional(what)}
      </div>
    ))}
  </>
);

/** What assistive technology is told of a component, and the keys it hears. */
export const Spoken = ({ piece }: { readonly piece: Piece }) => {
  const parts = useSpoken(piece.id);
  if (parts === null) return <p className="quiet coming">{libraryWords.lookingThrough}</p>;
  if (parts.length === 0) return <p className="quiet">{libraryWords.saysNothing}</p>;
  return (
    <Table size="sm" className="library-table" responsive>
      <thead>
        <tr>
          <th scope="col">{libraryWords.role}</th>
          <th scope="col">{libraryWords.called}</th>
          <th scope="col">{libraryWords.states}</th>
          <th scope="col">{libraryWords.keys}</th>
          <th scope="col">{libraryWords.practice}</th>
        </tr>
      </thead>
      <tbody>
        {parts.map((part, i) => (
          <tr key={i}>
            <th scope="row">{part.role}</th>
            <td>{part.name || <span className="quiet">{libraryWords.unnamed}</span>}</td>
            <td className="mono">
              {Object.entries(part.states).map(([key, value]) => (
                <div key={key}>{`${key}="${value}"`}</div>
              ))}
            </td>
            <td>
              {part.keys.map((key) => (
                <div key={key.does}>{keysText(key)}</div>
              ))}
              {part.keys.length === 0 && <span className="quiet">{libraryWords.noKeys}</span>}
            </td>
            <td>
              <Practice part={part} />
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
};
