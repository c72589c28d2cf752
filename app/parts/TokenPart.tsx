import { plainText } from "#core/basics";
import { tokenValue } from "#core/looks";
import { inOrder } from "#core/project";
import type { Token, TokenType, TokenValue } from "#core/project";
import { gradientText, isBound } from "#core/properties";
import type { Gradient, SpecifiedValue } from "#core/properties";
import { useDisplayedProject } from "../session/displayed";
import { tokenWords } from "./tokens";
import { partsWords } from "./words";

const backgroundOf = (type: TokenType, value: TokenValue | undefined): string | undefined => {
  if (type === "colour" && value !== "none") return plainText(value);
  return type === "gradient" && value !== undefined ? gradientText(value as Gradient) : undefined;
};

/** What a token looks like in a list: its colour or gradient, or its number. */
const TokenMark = ({ token }: { token: Token }) => {
  const { tokens } = useDisplayedProject();
  const value = tokenValue(tokens, token.id);
  if (typeof value === "number")
    return <span className="token-number mono">{plainText(value ?? "?")}</span>;
  const background = backgroundOf(token.type, value);
  return <span className={`chip${background ? "" : " none"}`} style={{ background }} />;
};

/** The project's tokens of the wanted types; a click binds to one. */
export const TokenPart = ({
  wanted,
  said,
  onPick,
}: {
  wanted: readonly TokenType[];
  said: SpecifiedValue | undefined;
  onPick: (said: SpecifiedValue) => void;
}) => {
  const { tokens } = useDisplayedProject();
  const suited = inOrder(tokens).filter((t) => wanted.includes(t.type));
  if (suited.length === 0) return null;
  return (
    <div className="token-part" role="listbox" aria-label={partsWords.tokens}>
      {suited.map((t) => {
        const on = isBound(said) && said.token === t.id;
        return (
          <button
            key={t.id}
            type="button"
            role="option"
            aria-selected={on}
            className={`token-line${on ? " on" : ""}`}
            onClick={() => onPick({ token: t.id })}
          >
            <TokenMark token={t} />
            <span className="token-name">{tokenWords(t)}</span>
            {t.deprecated !== undefined && t.deprecated !== false && (
              <span className="quiet small-text">{partsWords.deprecated}</span>
            )}
          </button>
        );
      })}
    </div>
  );
};
