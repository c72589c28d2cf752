import type { Id } from "#core/basics";
import { inOrder } from "#core/project";
import type { TokenType } from "#core/project";
import { useDisplayedProject } from "../session/displayed";
import { Pick } from "../ui/fields/Pick";
import { partsWords } from "./words";

const own = "";

interface Props {
  /** what of, as its own field is called */
  readonly label: string;
  readonly types: readonly TokenType[];
  readonly followed: Id | undefined;
  /** null: none any more */
  readonly onPick: (token: Id | null) => void;
}

/** Which token something follows; nothing where there is none to follow. */
export const TokenPick = ({ label, types, followed, onPick }: Props) => {
  const tokens = useDisplayedProject((p) => p.tokens);
  const offered = inOrder(tokens).filter((t) => types.includes(t.type));
  if (offered.length === 0 && followed === undefined) return null;
  return (
    <Pick
      label={partsWords.tokenFor(label)}
      value={followed ?? own}
      slim={followed === undefined}
      broken={followed !== undefined && !offered.some((t) => t.id === followed)}
      options={[
        { value: own, words: partsWords.custom },
        ...offered.map((t) => ({ value: t.id, words: t.name })),
      ]}
      onPick={(id) => onPick(id === own ? null : id)}
    />
  );
};
