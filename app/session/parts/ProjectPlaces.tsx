import { startScreen } from "#core/edit";
import { LinkButton } from "../../ui/LinkButton";
import { useSession } from "../context";
import { useDisplayedProject } from "../displayed";
import { sessionWords } from "../words";

const places = [
  { here: "pieces", to: "", words: sessionWords.pieces },
  { here: "system", to: "/system", words: sessionWords.system },
  { here: "history", to: "/history", words: sessionWords.history },
] as const;

interface Props {
  readonly here: (typeof places)[number]["here"];
}

/** The places of a project that exist, and Play where there is something to play. */
export const ProjectPlaces = ({ here }: Props) => {
  const session = useSession();
  const isPlayable = useDisplayedProject((p) => startScreen(p) !== null);
  const { home, moment } = session;
  // of an earlier moment there are its pieces alone
  const there = places.filter(({ here: at }) => moment === null || at === "pieces");
  return (
    <>
      {there.map((place) => (
        <LinkButton
          key={place.here}
          variant="tool"
          to={home + place.to}
          aria-current={place.here === here ? "page" : undefined}
        >
          {place.words}
        </LinkButton>
      ))}
      {isPlayable && (
        <LinkButton size="sm" to={`${home}/play`}>
          {sessionWords.play}
        </LinkButton>
      )}
    </>
  );
};
