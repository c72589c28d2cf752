import { Fragment, useRef } from "react";
import { Button } from "react-bootstrap";
import type { Moment, Told } from "#server";
import { useNear } from "../parts/shown/useNear";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { Icon } from "../ui/Icon";
import { clockText, dayText, spanText } from "./days";
import { historyPageWords } from "./words";

interface RowProps {
  readonly sitting: Told;
  readonly isChosen: boolean;
  readonly onChoose: (seq: number) => void;
}

/** What a sitting changed most, as it looked afterwards; fetched when near. */
const Picture = ({ sitting }: { readonly sitting: Told }) => {
  const session = useSession();
  const place = useRef<HTMLSpanElement>(null);
  const isNear = useNear(place);
  const piece = sitting.pieces[0]?.of;
  const { generation } = session;
  const at = `/projects/${session.id}/at/${sitting.last}/picture/${piece}?of=${generation}`;
  return (
    <span ref={place} className="sitting-picture">
      {piece !== undefined && isNear && <img src={at} alt="" decoding="async" />}
    </span>
  );
};

/** A sitting: what was changed in it, by which window, when. */
const Row = ({ sitting, isChosen, onChoose }: RowProps) => {
  const session = useSession();
  const pieces = useDisplayedProject((p) => p.pieces);
  const names = sitting.pieces.flatMap(({ of }) => pieces[of]?.name ?? []);
  const [first, second, ...more] = names;
  const title =
    first === undefined
      ? historyPageWords.noPiece
      : [first, second].filter(Boolean).join(", ") +
        (more.length > 0 ? historyPageWords.andMore(more.length) : "");
  const who =
    sitting.clientId === session.clientId
      ? historyPageWords.thisWindow
      : (sitting.browser ?? historyPageWords.unknownBrowser);
  const done = sitting.labels.map(({ of, times }) => historyPageWords.times(of, times)).join(" · ");
  return (
    <li>
      <Button
        variant="sitting"
        aria-current={isChosen ? "true" : undefined}
        onClick={() => onChoose(sitting.last)}
      >
        <Picture sitting={sitting} />
        <span className="sitting-words">
          <span className="strong">{title}</span>
          <span className="quiet small-text">
            {spanText(sitting.from, sitting.to)} · {who} ·{" "}
            {historyPageWords.changes(sitting.changes)}
          </span>
          <span className="small-text sitting-done">{done}</span>
        </span>
      </Button>
    </li>
  );
};

/** What stands in the strip: a sitting, or a moment with a name. */
type Item =
  | { readonly kind: "sitting"; readonly seq: number; readonly at: number; readonly sitting: Told }
  | { readonly kind: "named"; readonly seq: number; readonly at: number; readonly name: string };

const itemsOf = (sittings: readonly Told[], named: readonly Moment[]): readonly Item[] => {
  const oldest = sittings.reduce((least, { first }) => Math.min(least, first), Infinity);
  // a name stands above the sitting in which its moment was
  const timeOf = (seq: number): number =>
    sittings.find(({ first, last }) => seq >= first && seq <= last)?.to ??
    sittings.find(({ last }) => last < seq)?.to ??
    0;
  const items: Item[] = sittings.map((sitting) => ({
    kind: "sitting",
    seq: sitting.last,
    at: sitting.to,
    sitting,
  }));
  for (const { seq, name } of named)
    if (seq >= oldest) items.push({ kind: "named", seq, at: timeOf(seq), name });
  return items.sort((a, b) => b.seq - a.seq || (a.kind === "named" ? -1 : 1));
};

interface Props {
  readonly sittings: readonly Told[];
  readonly named: readonly Moment[];
  /** when the project was made, where the strip reaches back so far; ms since 1970 */
  readonly createdAt: number | null;
  readonly chosen: number | null;
  readonly onChoose: (seq: number) => void;
}

/** Sittings and named moments by day, the newest first. */
export const Strip = ({ sittings, named, createdAt, chosen, onChoose }: Props) => {
  const items = itemsOf(sittings, named);
  const lastItem = items.at(-1);
  const lastDay = lastItem && dayText(lastItem.at);
  const beginning = named.find(({ seq }) => seq === 0)?.name;
  return (
    <ol className="strip" aria-label={historyPageWords.sittings}>
      {items.map((item, i) => {
        const before = items[i - 1];
        const isNewDay = !before || dayText(before.at) !== dayText(item.at);
        return (
          <Fragment key={`${item.kind} ${item.seq}`}>
            {isNewDay && <li className="strip-day">{dayText(item.at)}</li>}
            {item.kind === "sitting" ? (
              <Row sitting={item.sitting} isChosen={chosen === item.seq} onChoose={onChoose} />
            ) : (
              <li>
                <Button
                  variant="sitting"
                  className="named"
                  aria-current={chosen === item.seq ? "true" : undefined}
                  onClick={() => onChoose(item.seq)}
                >
                  <Icon name="flag" />
                  <span className="strong">{item.name}</span>
                </Button>
              </li>
            )}
          </Fragment>
        );
      })}
      {createdAt !== null && (
        <>
          {lastDay !== dayText(createdAt) && <li className="strip-day">{dayText(createdAt)}</li>}
          <li>
            <Button
              variant="sitting"
              aria-current={chosen === 0 ? "true" : undefined}
              onClick={() => onChoose(0)}
            >
              <span className="sitting-words">
                <span className="strong">{beginning ?? historyPageWords.beginning}</span>
                <span className="quiet small-text">{clockText(createdAt)}</span>
              </span>
            </Button>
          </li>
        </>
      )}
    </ol>
  );
};
