import { useMemo, useState } from "react";
import { Form } from "react-bootstrap";
import { Link } from "react-router";
import type { Id } from "#core/basics";
import { findBox } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { innerId } from "#core/project";
import type { Piece } from "#core/project";
import type { CopyChange, Lost } from "#core/system";
import { useSession } from "../../session/context";
import { Pick } from "../../ui/fields/Pick";
import { BeforeAfter } from "../BeforeAfter";
import type { Region } from "../BeforeAfter";
import { Sentences } from "../Differences";
import type { Group } from "../grouped";
import { sceneOf } from "../scenes";
import { WeightBadge } from "../WeightBadge";
import { editionsWords } from "../words";
import type { Mappings } from "./mappings";
import type { Outcome } from "./useReport";

/** Pictures of copies in place are this high, px. */
const HIGH = 240;

/** The copies that are of a component, of all that change. */
export const copiesOf = ({ report }: Outcome, component: Id | null): readonly CopyChange[] =>
  report.copies.filter(({ copy }) => copy.components.some((id) => innerId(id) === component));

interface InPlaceProps {
  readonly outcome: Outcome;
  readonly copies: readonly CopyChange[];
}

interface Seen {
  readonly copy: CopyChange;
  readonly piece: Piece;
  readonly name: string;
}

/** The copies that look otherwise, each on the piece it lies on. */
const seenOf = ({ before }: Outcome, copies: readonly CopyChange[]): readonly Seen[] =>
  copies.flatMap((copy): Seen[] => {
    const piece = before.pieces[copy.copy.piece];
    if (!piece || (copy.looks.length === 0 && !copy.size)) return [];
    const layer = piece.layers[copy.copy.layer]?.name ?? "";
    return [{ copy, piece, name: editionsWords.layerOn(layer, piece.name) }];
  });

/** How much is seen around a copy, px. */
const AROUND = 28;

/** A copy with what lies around it, as it is before and after. */
const regionOf = (
  scenes: readonly [LayoutBox | null, LayoutBox | null],
  layer: Id,
): Region | undefined => {
  const boxes = scenes.flatMap((scene) => (scene ? (findBox(scene, layer) ?? []) : []));
  if (boxes.length === 0) return undefined;
  const left = Math.min(...boxes.map((b) => b.x)) - AROUND;
  const top = Math.min(...boxes.map((b) => b.y)) - AROUND;
  const right = Math.max(...boxes.map((b) => b.x + b.placed.width)) + AROUND;
  const bottom = Math.max(...boxes.map((b) => b.y + b.placed.height)) + AROUND;
  return { x: left, y: top, width: right - left, height: bottom - top };
};

/** A copy before and after, where it lies. */
const InPlace = ({ outcome, copies }: InPlaceProps) => {
  const [picked, setPicked] = useState(0);
  const seen = useMemo(() => seenOf(outcome, copies), [outcome, copies]);
  const one = seen[picked] ?? seen[0];
  const { env, before, after } = outcome;
  const scenes = useMemo(() => {
    const shown = one?.copy.looks[0] ?? one?.copy.size?.at;
    if (!one || !shown) return null;
    const at = { piece: one.piece.id, ...shown };
    return [
      sceneOf(env, { project: before, ...at }),
      sceneOf(env, { project: after, ...at }),
    ] as const;
  }, [env, before, after, one]);
  if (!one || !scenes)
    return <p className="quiet small-text">{editionsWords.noneLooksDifferent}</p>;
  return (
    <>
      <BeforeAfter
        before={scenes[0]}
        after={scenes[1]}
        high={HIGH}
        region={regionOf(scenes, one.copy.copy.layer)}
        label={editionsWords.beforeAfterPlace(one.name)}
      />
      {seen.length > 1 && (
        <Pick
          search
          label={editionsWords.changedCopy}
          value={String(picked)}
          options={seen.map(({ name }, i) => ({ value: String(i), words: name }))}
          onPick={(at) => setPicked(Number(at))}
        />
      )}
    </>
  );
};

interface LostProps {
  readonly outcome: Outcome;
  readonly copies: readonly CopyChange[];
  readonly mappings: Mappings;
  readonly onMappings: (mappings: Mappings) => void;
}

/** What copies said that is not there any more, and what may be said instead. */
const LostThings = ({ outcome, copies, mappings, onMappings }: LostProps) => {
  const session = useSession();
  const all = copies.flatMap(({ copy, lost }) => lost.map((one) => ({ copy, one })));
  const choices = ({ offers }: Lost) => [
    { value: "", words: editionsWords.leaveAsIs },
    ...offers.map(({ id, name }) => ({ value: id, words: name })),
  ];
  return (
    <ul className="lost-list">
      {all.map(({ copy, one }, i) => {
        const piece = outcome.before.pieces[copy.piece];
        const name = piece?.layers[copy.layer]?.name ?? "";
        return (
          <li key={i}>
            <Link to={`/projects/${session.id}/pieces/${copy.piece}`}>
              {editionsWords.layerOn(name, piece?.name ?? "")}
            </Link>
            {": "}
            {one.text}{" "}
            {one.kind === "component" ? (
              <span className="quiet">{editionsWords.staysBefore}</span>
            ) : (
              one.offers.length > 0 && (
                <>
                  {editionsWords.sayInstead}{" "}
                  <Pick
                    label={editionsWords.insteadOf(one.name, name)}
                    value={mappings.of(copy, one)}
                    options={choices(one)}
                    onPick={(to) => onMappings(mappings.with(copy, one, to))}
                  />
                </>
              )
            )}
          </li>
        );
      })}
    </ul>
  );
};

/** What those who look at a project feel of a component's change. */
const Felt = ({ outcome, copies }: InPlaceProps) => {
  const pieces = [...new Set(copies.map(({ copy }) => copy.piece))];
  const places = pieces.flatMap((id) => outcome.before.pieces[id]?.name ?? []);
  if (copies.length === 0) return <p className="quiet">{editionsWords.affectsNothing}</p>;
  return (
    <ul className="difference-list">
      <li>{editionsWords.copiesOn(copies.length, places)}</li>
      {copies.map(({ copy, does }) => {
        if (does === null) return null;
        const name = outcome.before.pieces[copy.piece]?.layers[copy.layer]?.name ?? "";
        const key = JSON.stringify([copy.piece, copy.layer]);
        return (
          <li key={key} className="felt-size">
            {editionsWords.doesOtherwise(name, does)}
          </li>
        );
      })}
      {copies.map(({ copy, size, pushed }) => {
        if (!size) return null;
        const piece = outcome.before.pieces[copy.piece];
        const names = pushed.flatMap((id) => piece?.layers[id]?.name ?? []);
        return (
          <li key={`${copy.piece} ${copy.layer}`} className="felt-size">
            {editionsWords.resized(piece?.layers[copy.layer]?.name ?? "", size.before, size.after)}
            {names.length > 0 && ` ${editionsWords.pushes(names)}`}
          </li>
        );
      })}
    </ul>
  );
};

/** Own pieces that look otherwise by the values of the system alone. */
const ByValues = ({ outcome }: { readonly outcome: Outcome }) => {
  const session = useSession();
  const withCopies = new Set(outcome.report.copies.map(({ copy }) => copy.piece));
  const others = outcome.report.pieces.filter(({ piece }) => !withCopies.has(piece));
  if (others.length === 0) return <p className="quiet">{editionsWords.affectsNothing}</p>;
  return (
    <ul className="difference-list">
      {others.map(({ piece }) => (
        <li key={piece}>
          <Link to={`/projects/${session.id}/pieces/${piece}`}>
            {outcome.before.pieces[piece]?.name}
          </Link>{" "}
          {editionsWords.looksDifferent}
        </li>
      ))}
    </ul>
  );
};

interface Props {
  readonly outcome: Outcome;
  readonly group: Group;
  readonly isTaken: boolean;
  readonly onTaken: (isTaken: boolean) => void;
  readonly mappings: Mappings;
  readonly onMappings: (mappings: Mappings) => void;
}

/** One component: what changed about it, how that looks here, and what it does. */
export const ReportRow = (props: Props) => {
  const { outcome, group, isTaken, onTaken, mappings, onMappings } = props;
  const copies = useMemo(() => copiesOf(outcome, group.component), [outcome, group]);
  const name = group.component === null ? editionsWords.ofValues : group.name;
  return (
    <li className={isTaken ? "report-row" : "report-row left"}>
      <Form.Check
        checked={isTaken}
        aria-label={editionsWords.takeOverOf(name)}
        onChange={(e) => onTaken(e.target.checked)}
      />
      <div>
        <h2>
          {name} <WeightBadge weight={group.weight} />
        </h2>
        <Sentences differences={group.differences} />
        <LostThings outcome={outcome} copies={copies} mappings={mappings} onMappings={onMappings} />
      </div>
      <div>{group.component !== null && <InPlace outcome={outcome} copies={copies} />}</div>
      <div>
        {group.component === null ? (
          <ByValues outcome={outcome} />
        ) : (
          <Felt outcome={outcome} copies={copies} />
        )}
      </div>
    </li>
  );
};
