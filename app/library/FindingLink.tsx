import { Link } from "react-router";
import type { Id } from "#core/basics";
import type { Finding } from "#core/checks";
import { useBenchMemory } from "../bench/state/memory";
import { useSession } from "../session/context";
import { useEnterTheme } from "../session/displayed/enter";

interface Props {
  readonly piece: Id;
  readonly finding: Finding;
}

/** What a finding says; leads to the bench, where it is shown in the theme and variant it is of. */
export const FindingLink = ({ piece, finding }: Props) => {
  const session = useSession();
  const memory = useBenchMemory();
  const enterTheme = useEnterTheme();
  return (
    <Link
      to={`/projects/${session.id}/pieces/${piece}`}
      onClick={() => {
        enterTheme(finding.theme);
        memory.show(piece, finding);
      }}
    >
      {finding.text}
    </Link>
  );
};
