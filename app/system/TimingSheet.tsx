import { ownPieces } from "#core/world";
import { useState } from "react";
import { Button, Form, Table } from "react-bootstrap";
import { Link } from "react-router";
import { easingText, effectText, motionText, ruleText } from "#core/describe";
import { followMotion, motionGroups, motionsIn } from "#core/edit";
import type { MotionGroup } from "#core/edit";
import { curveOf, lengthOf } from "#core/motion";
import { inOrder } from "#core/project";
import type { MotionValue } from "#core/project";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { systemWords } from "./words";

/**
 * Less unlike than this nobody sees the difference; more than that it is meant to be another
 * motion.
 */
const ALIKE = 0.02;
const NEAR = 0.14;

const FINE = 40;

/** The curve over its own time, on a ruler all rows share. */
const Trace = ({ value, longest }: { value: MotionValue; longest: number }) => {
  const width = 150;
  const length = lengthOf(value);
  const curve = curveOf(value.easing);
  const x = (length / longest) * (width - 2);
  const d = Array.from(
    { length: FINE + 1 },
    (_, i) =>
      `${i === 0 ? "M" : "L"}${(1 + (x * i) / FINE).toFixed(1)} ${(24 - curve(i / FINE) * 17).toFixed(1)}`,
  ).join("");
  return (
    <svg width={width} height={30} viewBox={`0 0 ${width} 30`} aria-hidden="true">
      <path d={`M0 24H${width}M0 7H${width}`} stroke="#e9e3d5" />
      <path d={d} fill="none" stroke="#1f6f5c" strokeWidth="1.8" />
      <path d={`M${1 + x} 5V26`} stroke="#b9c4bd" />
    </svg>
  );
};

/** What a group of motions has to do with the project's tokens. */
const Follows = ({ group: { token, nearest } }: { group: MotionGroup }) => {
  if (token) return <span className="follows">{token.name}</span>;
  if (!nearest) return <span className="quiet">{systemWords.noMotionTokensYet}</span>;
  const { name } = nearest.token;
  if (nearest.off < ALIKE) {
    return <span className="trouble">{systemWords.equalNotLinked(name)}</span>;
  }
  if (nearest.off < NEAR) return <span className="trouble">{systemWords.close(name)}</span>;
  return <span className="quiet">{systemWords.custom}</span>;
};

const Row = ({
  group,
  longest,
  picked,
  onPick,
}: {
  group: MotionGroup;
  longest: number;
  picked: boolean;
  onPick: () => void;
}) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [open, setOpen] = useState(false);
  const { value, token, uses, nearest } = group;
  const off = nearest?.off ?? 1;
  const outlier = !token && nearest !== null && off < NEAR;
  const pieces = [...new Set(uses.map((u) => project.pieces[u.piece]?.name ?? ""))];
  return (
    <>
      <tr className={outlier ? "outlier" : ""}>
        <td>
          {!token && (
            <Form.Check.Input
              aria-label={systemWords.selectMs(lengthOf(value), easingText(value.easing))}
              checked={picked}
              onChange={onPick}
            />
          )}
        </td>
        <td className="mono number">{systemWords.ms(lengthOf(value))}</td>
        <td>
          <Trace value={value} longest={longest} />
        </td>
        <td>{easingText(value.easing)}</td>
        <td>
          <Button variant="link" size="sm" aria-expanded={open} onClick={() => setOpen(!open)}>
            {systemWords.in(uses.length)}{" "}
            {pieces.length === 1 ? pieces[0] : systemWords.pieces(pieces.length)}
          </Button>
        </td>
        <td>
          <Follows group={group} />
        </td>
      </tr>
      {open && (
        <tr className="where">
          <td />
          <td colSpan={5}>
            <ul>
              {uses.map((u) => {
                const p = project.pieces[u.piece];
                const r = p?.rules[u.rule];
                const own = typeof u.effect === "number" ? r?.effects[u.effect] : undefined;
                return (
                  p &&
                  r && (
                    <li key={`${u.piece} ${u.rule} ${u.effect}`}>
                      <Link to={`/projects/${session.id}/pieces/${p.id}`}>{p.name}</Link>
                      {systemWords.rule(ruleText(project, p, r))}
                      {own && systemWords.effect(effectText(project, p, own), motionText(u.motion))}
                      {u.effect === "back" &&
                        systemWords.effect(systemWords.return, motionText(u.motion))}
                    </li>
                  )
                );
              })}
            </ul>
          </td>
        </tr>
      )}
    </>
  );
};

/**
 * Every motion of the project by duration and curve, what is nearly a token of the system, and many
 * replaced together.
 */
export const TimingSheet = () => {
  const session = useSession();
  const project = useDisplayedProject();
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [of, setOf] = useState<string | null>(null);
  const piece = of !== null && project.pieces[of] ? of : null;
  const groups = motionGroups(project, piece);
  const moving = ownPieces(project).filter((p) => motionsIn([p]).length > 0);
  const tokens = inOrder(project.tokens).filter((t) => t.type === "motion");
  const longest = Math.max(1, ...groups.map((g) => lengthOf(g.value)));
  const chosen = groups.filter((g) => picked.includes(g.key));
  const uses = chosen.flatMap((g) => g.uses);
  const outliers = groups.filter((g) => !g.token && (g.nearest?.off ?? 1) < NEAR);
  const follow = (id: string) => {
    const done = session.run((now) => {
      const token = now.tokens[id];
      return token && followMotion(now, uses, token);
    });
    if (done) setPicked([]);
  };
  if (moving.length === 0)
    return <p className="quiet small-text">{systemWords.noMotionProjectYet}</p>;
  return (
    <>
      <div className="timing-tools">
        <label>
          {systemWords.of}{" "}
          <Form.Select
            className="word"
            aria-label={systemWords.motions}
            value={piece ?? ""}
            onChange={(e) => {
              setOf(e.target.value || null);
              setPicked([]);
            }}
          >
            <option value="">{systemWords.wholeProject}</option>
            {moving.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Form.Select>
        </label>
        {chosen.length > 0 ? (
          <>
            <b>{systemWords.chosenMotions(uses.length)}</b>
            <Form.Select
              className="word"
              aria-label={systemWords.link}
              value=""
              onChange={(e) => follow(e.target.value)}
            >
              <option value="">{systemWords.linkToken}</option>
              {tokens.map((t) => (
                <option key={t.id} value={t.id}>
                  {t.name}
                </option>
              ))}
            </Form.Select>
            <Button variant="link" size="sm" onClick={() => setPicked([])}>
              {systemWords.clearSelection}
            </Button>
          </>
        ) : (
          <span className="quiet small-text">
            {systemWords.motionsLinkedTokens(
              groups.length,
              groups.filter((g) => g.token).length,
              tokens.length,
              outliers.length,
            )}
          </span>
        )}
        {outliers.length > 0 && chosen.length === 0 && (
          <Button variant="link" size="sm" onClick={() => setPicked(outliers.map((g) => g.key))}>
            {systemWords.selectThese}
          </Button>
        )}
      </div>
      <Table responsive className="timing-sheet">
        <thead>
          <tr>
            <th>
              <span className="visually-hidden">{systemWords.selected}</span>
            </th>
            <th>{systemWords.duration}</th>
            <th>{systemWords.progress}</th>
            <th>{systemWords.curve}</th>
            <th>{systemWords.used}</th>
            <th>{systemWords.token}</th>
          </tr>
        </thead>
        <tbody>
          {groups.map((g) => (
            <Row
              key={g.key}
              group={g}
              longest={longest}
              picked={picked.includes(g.key)}
              onPick={() =>
                setPicked(
                  picked.includes(g.key) ? picked.filter((k) => k !== g.key) : [...picked, g.key],
                )
              }
            />
          ))}
        </tbody>
      </Table>
    </>
  );
};
