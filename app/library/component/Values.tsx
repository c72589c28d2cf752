import { Table } from "react-bootstrap";
import { offeredBy } from "#core/library";
import type { Offered } from "#core/library";
import { restOf, traitsOf, valuesOf } from "#core/looks";
import { inOrder } from "#core/project";
import type { Piece } from "#core/project";
import { showValue } from "#core/properties";
import { useDisplayedProject } from "../../session/displayed";
import { libraryWords } from "../words";

const kindOf = ({ type }: Offered): string => libraryWords.kinds[type.is] ?? libraryWords.otherKind;

const usualOf = ({ choices, inherent }: Offered): string => {
  if (inherent === undefined) return "";
  const key = JSON.stringify(inherent);
  const choice = choices?.find((c) => JSON.stringify(c.value) === key);
  if (choice) return choice.words;
  return typeof inherent === "object" && "token" in inherent ? "" : showValue(inherent);
};

const Traits = ({ piece }: { readonly piece: Piece }) => (
  <Table size="sm" className="library-table" responsive>
    <thead>
      <tr>
        <th scope="col">{libraryWords.traits}</th>
        <th scope="col">{libraryWords.values}</th>
        <th scope="col">{libraryWords.usual}</th>
        <th scope="col">{libraryWords.says}</th>
      </tr>
    </thead>
    <tbody>
      {traitsOf(piece).map((trait) => (
        <tr key={trait.id}>
          <th scope="row">{trait.name}</th>
          <td>
            {valuesOf(trait)
              .map((v) => v.name)
              .join(", ")}
          </td>
          <td>{trait.values[restOf(trait)]?.name}</td>
          <td>{trait.aria?.state ?? ""}</td>
        </tr>
      ))}
    </tbody>
  </Table>
);

const Options = ({ options }: { readonly options: readonly Offered[] }) => (
  <Table size="sm" className="library-table" responsive>
    <thead>
      <tr>
        <th scope="col">{libraryWords.options}</th>
        <th scope="col">{libraryWords.kind}</th>
        <th scope="col">{libraryWords.usual}</th>
      </tr>
    </thead>
    <tbody>
      {options.map((option) => (
        <tr key={option.key}>
          <th scope="row">{option.name}</th>
          <td>{kindOf(option)}</td>
          <td>{usualOf(option)}</td>
        </tr>
      ))}
    </tbody>
  </Table>
);

/** What a component can be given, and what it sends. */
export const Values = ({ piece }: { readonly piece: Piece }) => {
  const project = useDisplayedProject();
  const options = offeredBy(project, piece.id).filter((o) => !o.isTrait);
  const signals = inOrder(piece.signals);
  return (
    <>
      {traitsOf(piece).length > 0 && <Traits piece={piece} />}
      {options.length > 0 && <Options options={options} />}
      <p>
        <strong>{libraryWords.signals}</strong>:{" "}
        {signals.map((s) => s.name).join(", ") || libraryWords.none}
      </p>
    </>
  );
};
