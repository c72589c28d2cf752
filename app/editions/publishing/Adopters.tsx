import { Table } from "react-bootstrap";
import { Link } from "react-router";
import { ownPiecesOf } from "#core/edit";
import type { Piece, Project } from "#core/project";
import { OPTION, TRAIT } from "#core/properties";
import { joinedUses } from "#core/system";
import type { ComponentUse } from "#core/system";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import type { Using } from "./using";
import { editionsWords } from "../words";

/** So many components are named. */
const MOST = 12;

const copiesIn = (uses: readonly ComponentUse[]): number =>
  uses.reduce((sum, { copies }) => sum + copies, 0);

/** What copies say otherwise, as people call it. */
const overrideName = ({ options, traits }: Piece, key: string): string | null => {
  if (key.startsWith(OPTION)) return options[key.slice(OPTION.length)]?.name ?? null;
  return key.startsWith(TRAIT) ? (traits[key.slice(TRAIT.length)]?.name ?? null) : null;
};

interface Often {
  readonly piece: Piece;
  readonly name: string;
  readonly times: number;
  readonly copies: number;
}

/** What most of the copies of a component say otherwise: its default may not be the right one. */
const oftenOverridden = (project: Project, uses: readonly ComponentUse[]): readonly Often[] =>
  uses
    .flatMap(({ component, copies, overridden }) => {
      const piece = project.pieces[component];
      if (!piece || copies < 2) return [];
      return Object.entries(overridden).flatMap(([key, times]): Often[] => {
        const name = overrideName(piece, key);
        return name !== null && times * 2 > copies ? [{ piece, name, times, copies }] : [];
      });
    })
    .sort((a, b) => b.times - a.times);

interface Props {
  readonly adopters: readonly Using[];
}

/** Which projects use which edition, what none of them uses, and what most of them set anew. */
export const Adopters = ({ adopters }: Props) => {
  const session = useSession();
  const project = useDisplayedProject();
  const uses = joinedUses(adopters.map((a) => a.uses));
  const used = new Set(uses.map(({ component }) => component));
  const components = ownPiecesOf(project, "component");
  const unused = components.filter(({ id }) => !used.has(id));
  const often = oftenOverridden(project, uses);
  const page = (piece: Piece) => (
    <Link to={`/projects/${session.id}/system/components/${piece.id}`}>{piece.name}</Link>
  );
  return (
    <section aria-labelledby="adopters">
      <h2 id="adopters">{editionsWords.usedIn}</h2>
      {adopters.length === 0 && <p className="quiet">{editionsWords.noAdopters}</p>}
      {adopters.length > 0 && (
        <>
          <Table className="editions-table">
            <thead>
              <tr>
                <th>{editionsWords.project}</th>
                <th>{editionsWords.edition}</th>
                <th>{editionsWords.components}</th>
                <th>{editionsWords.copies}</th>
              </tr>
            </thead>
            <tbody>
              {adopters.map((a) => (
                <tr key={`${a.projectId} ${a.number}`}>
                  <td>
                    <Link to={`/projects/${a.projectId}`}>{a.projectName}</Link>
                  </td>
                  <td className="edition-number">{a.number}</td>
                  <td>{a.uses.length}</td>
                  <td>{copiesIn(a.uses)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
          <h3>{editionsWords.usedNowhere}</h3>
          <p className="named-list">
            {unused.length === 0 && editionsWords.allUsed}
            {unused.slice(0, MOST).map((piece) => (
              <span key={piece.id}>{page(piece)}</span>
            ))}
            {unused.length > MOST && editionsWords.andMore(unused.length - MOST)}
          </p>
          <h3>{editionsWords.oftenSet}</h3>
          {often.length === 0 && <p className="quiet">{editionsWords.noneOftenSet}</p>}
          <ul className="difference-list">
            {often.slice(0, MOST).map(({ piece, name, times, copies }) => (
              <li key={`${piece.id} ${name}`}>
                {page(piece)} {editionsWords.setIn(name, times, copies)}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
};
