import { setTokenAbout, setTokenDeprecated } from "#core/edit";
import { limits } from "#core/project";
import type { Token } from "#core/project";
import { useSession } from "../session/context";
import { Check } from "../ui/fields/Check";
import { DraftField } from "../ui/fields/DraftField";
import { changingToken } from "./changes";
import { systemWords } from "./words";

/** What a token is for, and whether it may still be used; both go along in token files. */
export const TokenAbout = ({ token }: { readonly token: Token }) => {
  const session = useSession();
  const { id, about = "", deprecated = false } = token;
  const describe = (text: string) =>
    session.run(changingToken(id, (now) => setTokenAbout(now, text)));
  const deprecate = (value: boolean | string) =>
    session.run(changingToken(id, (now) => setTokenDeprecated(now, value)));
  return (
    <div className="token-about">
      <DraftField
        label={systemWords.description}
        placeholder={systemWords.descriptionHint}
        value={about}
        maxLength={limits.text}
        rows={2}
        onChange={describe}
      />
      <Check
        words={systemWords.deprecated}
        checked={deprecated !== false}
        onSwitch={(isOn) => deprecate(isOn)}
      />
      {deprecated !== false && (
        <DraftField
          label={systemWords.deprecatedReason}
          placeholder={systemWords.deprecatedHint}
          value={deprecated === true ? "" : deprecated}
          maxLength={limits.text}
          onChange={(text) => deprecate(text.trim() === "" ? true : text.trim())}
        />
      )}
    </div>
  );
};
