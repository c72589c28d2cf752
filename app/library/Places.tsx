import { Nav } from "react-bootstrap";
import { NavLink, useParams } from "react-router";
import { useSession } from "../session/context";
import { libraryWords } from "./words";

/** The places of a design system, one of which is here. */
export const Places = () => {
  const { componentId } = useParams();
  const session = useSession();
  const system = `/projects/${session.id}/system`;
  const places = [
    { to: system, words: libraryWords.library, end: componentId === undefined },
    { to: `${system}/tokens`, words: libraryWords.tokens, end: false },
    { to: `${system}/timing`, words: libraryWords.timing, end: false },
    { to: `${system}/editions`, words: libraryWords.editions, end: false },
    { to: `${system}/adopted`, words: libraryWords.adopted, end: false },
  ];
  return (
    <Nav as="nav" variant="underline" className="tabs places" aria-label={libraryWords.places}>
      {places.map(({ to, words, end }) => (
        <Nav.Link key={to} as={NavLink} to={to} end={end}>
          {words}
        </Nav.Link>
      ))}
    </Nav>
  );
};
