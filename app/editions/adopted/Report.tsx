import { useMemo, useState } from "react";
import { Button } from "react-bootstrap";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { Id } from "#core/basics";
import type { Adoption } from "#core/project";
import { decline, takeOver } from "#core/system";
import type { Extent } from "#core/system";
import type { EditionAbout } from "#server";
import { useSession } from "../../session/context";
import { useDisplayedProject } from "../../session/displayed";
import { Choices } from "../../ui/fields/Choices";
import { countsOf, groupsOf } from "../grouped";
import type { Group } from "../grouped";
import { lackText } from "../lack";
import { Progress } from "../Progress";
import { Reason } from "../Reason";
import { editionsWords } from "../words";
import { ByScreen } from "./ByScreen";
import { Mappings } from "./mappings";
import { copiesOf, ReportRow } from "./ReportRow";
import { newerThan, offerOf } from "./systems";
import type { System } from "./systems";
import { useReport } from "./useReport";
import type { Outcome } from "./useReport";

const views = ["here", "breaking", "feature", "patch", "screens"] as const;
type View = (typeof views)[number];

/** Whether a component's change does anything to the project. */
const affects = (outcome: Outcome, { component }: Group): boolean =>
  component === null ? outcome.report.pieces.length > 0 : copiesOf(outcome, component).length > 0;

const BrokenOnes = ({ outcome }: { readonly outcome: Outcome }) => {
  const session = useSession();
  const { broken } = outcome.report;
  if (broken.length === 0) return null;
  return (
    <section className="broken" aria-label={editionsWords.brokenRehearsals}>
      <h2>{editionsWords.brokenCount(broken.length)}</h2>
      <ul className="difference-list">
        {broken.map(({ piece: id, rehearsal, failure }) => {
          const piece = outcome.before.pieces[id];
          const name = piece?.rehearsals[rehearsal]?.name ?? "";
          return (
            <li key={`${id} ${rehearsal}`}>
              <Link to={`/projects/${session.id}/pieces/${id}`}>
                {editionsWords.rehearsalOn(name, piece?.name ?? "")}
              </Link>{" "}
              {editionsWords.failsAt(failure.step + 1, failure.why)}
            </li>
          );
        })}
      </ul>
    </section>
  );
};

interface ShownProps {
  readonly adoption: Adoption;
  readonly to: EditionAbout;
  readonly outcome: Outcome;
}

/** The report once it is there, and what can be done about it. */
const Shown = ({ adoption, to, outcome }: ShownProps) => {
  const session = useSession();
  const navigate = useNavigate();
  const [view, setView] = useState<View>("here");
  const [left, setLeft] = useState<ReadonlySet<Id | null>>(new Set());
  const [mappings, setMappings] = useState(() => new Mappings());
  const [isDeclining, setDeclining] = useState(false);
  const { differences, before, after, report } = outcome;
  const groups = useMemo(() => groupsOf(differences, null, after), [differences, after]);
  const named = useMemo(
    () => groups.map((g) => nameIn(g, outcome, adoption.id)),
    [groups, outcome, adoption.id],
  );
  const here = named.filter((group) => affects(outcome, group));
  const counts = countsOf(named);
  const taken = named.filter(({ component }) => !left.has(component));
  const back = `/projects/${session.id}/system/adopted`;
  const noted = adoption.declined?.[to.number] ?? "";
  const run = (extent: Extent) => {
    const isDone = session.run((now) =>
      takeOver(now, session.editions.known, adoption.id, {
        offer: offerOf(to),
        extent,
        mappings: mappings.all,
      }),
    );
    if (isDone) void navigate(back);
  };
  const takeThese = () => {
    const components = taken.flatMap(({ component }) => component ?? []);
    run(left.size === 0 ? { of: "all" } : { of: "components", components });
  };
  const number = (v: View): number => {
    if (v === "here") return here.length;
    return v === "screens" ? report.pieces.length : counts[v];
  };
  const shown = view === "here" ? here : named.filter((g) => g.weight === view);
  return (
    <>
      <div className="page-head">
        <h1 tabIndex={-1}>
          {editionsWords.reportTitle(to.systemName, to.number, before.name, adoption.number)}
        </h1>
        <span className="report-actions">
          <Button variant="outline-primary" onClick={() => setDeclining(true)}>
            {editionsWords.noteWhyNot}
          </Button>
          <Button disabled={taken.length === 0} onClick={takeThese}>
            {left.size === 0
              ? editionsWords.takeOverAll
              : editionsWords.takeOverSome(taken.length, named.length)}
          </Button>
        </span>
      </div>
      <p className="quiet">
        {editionsWords.summary(
          named.filter((g) => g.component !== null).length,
          named.some((g) => g.component === null),
          report.pieces.length,
          report.broken.length,
          report.copies.flatMap(({ lost }) => lost).length,
        )}
      </p>
      <BrokenOnes outcome={outcome} />
      <Choices
        variant="chip"
        label={editionsWords.show}
        value={view}
        choices={views.map((v) => ({
          value: v,
          words: editionsWords.view(v, number(v)),
          disabled: number(v) === 0,
        }))}
        onChoose={setView}
      />
      {view === "screens" ? (
        <ByScreen outcome={outcome} onTakeOver={(piece) => run({ of: "piece", piece })} />
      ) : (
        <ul className="difference-rows">
          {shown.map((group) => (
            <ReportRow
              key={group.component ?? "values"}
              outcome={outcome}
              group={group}
              isTaken={!left.has(group.component)}
              onTaken={(isTaken) => {
                const next = new Set(left);
                if (isTaken) next.delete(group.component);
                else next.add(group.component);
                setLeft(next);
              }}
              mappings={mappings}
              onMappings={setMappings}
            />
          ))}
        </ul>
      )}
      {isDeclining && (
        <Reason
          title={editionsWords.declineTitle(to.number)}
          reason={noted}
          confirm={editionsWords.saveNote}
          isAllowed={(why) => why !== noted}
          onClose={() => setDeclining(false)}
          onGive={(why) => {
            session.run((now) => decline(now, adoption.id, to.number, why));
            void navigate(back);
          }}
        />
      )}
    </>
  );
};

/** A group with the name its component has here: the editions know it by another id. */
const nameIn = (group: Group, { before, after }: Outcome, adoption: Id): Group => {
  if (group.component === null) return group;
  const id = `${adoption}.${group.component}`;
  return { ...group, name: (after.pieces[id] ?? before.pieces[id])?.name ?? "" };
};

interface FoundProps {
  readonly adoption: Adoption;
  readonly to: EditionAbout;
}

const Found = ({ adoption, to }: FoundProps) => {
  const { outcome, work, lacking } = useReport(adoption, to);
  const name = useDisplayedProject((p) => p.name);
  if (outcome) return <Shown adoption={adoption} to={to} outcome={outcome} />;
  return (
    <>
      <h1 tabIndex={-1}>
        {editionsWords.reportTitle(to.systemName, to.number, name, adoption.number)}
      </h1>
      {lacking ? <p className="refusal">{lackText(lacking.lack)}</p> : <Progress work={work} />}
    </>
  );
};

interface Props {
  readonly systems: readonly System[];
  readonly adoption: Id;
}

/** What another edition of an adopted system would do to the project, and taking it over. */
export const Report = ({ systems, adoption: id }: Props) => {
  const session = useSession();
  const [search] = useSearchParams();
  const adoption = useDisplayedProject((p) => p.adoptions[id]);
  const system = systems.find((s) => s.id === adoption?.system);
  const wanted = search.get("to");
  const to =
    system?.editions.find(({ number }) => number === wanted) ??
    (adoption && newerThan(adoption, system)[0]);
  if (!adoption || !to || to.hash === adoption.edition)
    return (
      <p className="page-empty">
        {editionsWords.noReport}{" "}
        <Link to={`/projects/${session.id}/system/adopted`}>{editionsWords.toAdopted}</Link>
      </p>
    );
  return <Found key={to.hash} adoption={adoption} to={to} />;
};
