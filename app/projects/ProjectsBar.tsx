import { Link } from "react-router";
import { SkipLink } from "../ui/focus/SkipLink";
import { projectsWords } from "./words";

/** The bar above pages that belong to no project. */
export const ProjectsBar = () => (
  <header className="bar">
    <SkipLink />
    <Link to="/" className="brand">
      {projectsWords.brand}
    </Link>
  </header>
);
