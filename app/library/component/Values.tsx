import { Table } from "react-bootstrap";
import { Link } from "react-router";
import { ruleText } from "#core/describe";
import { offeredBy, signalUses } from "#core/library";
import type { Offered, SignalUse } from "#core/library";
import { restOf, traitsOf, valuesOf } from "#core/looks";
import type { Piece, Rule } from "#core/project";
import { showValue } from "#core/properties";
import { useBenchMemory } from "../../bench/state/memory";
import { useSession } from "../../session/context";
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

interface SignalsProps {
  readonly piece: Piece;
  readonly uses: readonly SignalUse[];
}

/** The signals of a component: what sends each, and who does something about it. */
const Signals = ({ piece, uses }: SignalsProps) => {
  const project = useDisplayedProject();
  const { id } = useSession();
  const memory = useBenchMemory();
  const toRule = (at: Piece, rule: Rule, words: string) => (
    <Link
      key={`${at.id} ${rule.id}`}
      to={`/projects/${id}/pieces/${at.id}`}
      onClick={() => memory.chooseRule(at.id, rule.id)}
    >
      {words}
    </Link>
  );
  return (
    <Table size="sm" className="library-table" responsive>
      <thead>
        <tr>
          <th scope="col">{libraryWords.signals}</th>
          <th scope="col">{libraryWords.sentBy}</th>
          <th scope="col">{libraryWords.heardBy}</th>
        </tr>
      </thead>
      <tbody>
        {uses.map(({ signal, sent, heard }) => (
          <tr key={signal.id}>
            <th scope="row">{signal.name}</th>
            <td className="rule-links">
              {sent.map((rule) => toRule(piece, rule, ruleText(project, piece, rule)))}
              {sent.length === 0 && libraryWords.nothing}
            </td>
            <td className="rule-links">
              {heard.map((use) => toRule(use.piece, use.rule, use.piece.name))}
              {heard.length === 0 && libraryWords.nobody}
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
};

/** What a component can be given, and what it sends. */
export const Values = ({ piece }: { readonly piece: Piece }) => {
  const project = useDisplayedProject();
  const options = offeredBy(project, piece.id).filter((o) => !o.isTrait);
  const signals = signalUses(project, piece);
  return (
    <>
      {traitsOf(piece).length > 0 && <Traits piece={piece} />}
      {options.length > 0 && <Options options={options} />}
      {signals.length > 0 ? (
        <Signals piece={piece} uses={signals} />
      ) : (
        <p className="quiet">{libraryWords.noSignals}</p>
      )}
    </>
  );
};
