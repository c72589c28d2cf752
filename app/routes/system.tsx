import { Link, Outlet, useParams } from "react-router";
import { Places } from "../library/Places";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { ProjectBar } from "../session/parts/ProjectBar";
import { ProjectPlaces } from "../session/parts/ProjectPlaces";
import { ThemePicks } from "../session/parts/ThemePicks";
import "../editions/editions.scss";
import "../library/library.scss";
import "../parts/parts.scss";
import "../system/system.scss";
import { routesWords } from "./words";

/** The project's design system: its library, its tokens, its motions. */
export default function System() {
  const session = useSession();
  const { componentId } = useParams();
  const name = useDisplayedProject((p) => p.name);
  const component = useDisplayedProject((p) => p.pieces[componentId ?? ""]?.name);
  const home = `/projects/${session.id}`;
  const system =
    component === undefined ? (
      routesWords.system
    ) : (
      <Link key="system" to={`${home}/system`}>
        {routesWords.system}
      </Link>
    );
  const crumbs = [
    <Link key="project" to={home}>
      {name}
    </Link>,
    system,
    ...(component === undefined ? [] : [component]),
  ];
  return (
    <>
      <ProjectBar crumbs={crumbs}>
        <ThemePicks />
        <ProjectPlaces here="system" />
      </ProjectBar>
      <main className="page system" id="content">
        <Places />
        <Outlet />
      </main>
    </>
  );
}
