import type { ReactNode } from "react";
import { Breadcrumb } from "react-bootstrap";
import { Link } from "react-router";
import { SkipLink } from "../../ui/focus/SkipLink";
import { useSession } from "../context";
import { Announcer } from "./Announcer";
import { MomentMark } from "./MomentMark";
import { SaveMark } from "./SaveMark";
import { UndoButtons } from "./UndoButtons";
import { sessionWords } from "../words";

interface Props {
  /** where one is, outermost first; the last of them is here */
  readonly crumbs: readonly ReactNode[];
  /** what else the head of the page holds */
  readonly children?: ReactNode;
}

/** How the project is kept; of an earlier moment, which that is. */
const Kept = () => {
  const { moment } = useSession();
  if (moment !== null) return <MomentMark at={moment} />;
  return (
    <>
      <UndoButtons />
      <SaveMark />
    </>
  );
};

/** The head of every page of a project: where one is, undo, and saving. */
export const ProjectBar = ({ crumbs, children }: Props) => (
  <header className="bar">
    <SkipLink />
    <Announcer />
    <Link to="/" className="brand">
      {sessionWords.nubble}
    </Link>
    <Breadcrumb className="crumbs" label={sessionWords.breadcrumb}>
      {crumbs.map((crumb, i) => (
        <Breadcrumb.Item key={i} linkAs="span" active={i === crumbs.length - 1}>
          {crumb}
        </Breadcrumb.Item>
      ))}
    </Breadcrumb>
    <Kept />
    <span className="push" />
    {children}
  </header>
);
