import { themeOf, themesOf, traitsOf, valuesOf } from "#core/looks";
import { useSettings } from "../../services/settings";
import { Pick } from "../../ui/fields/Pick";
import { useSession } from "../context";
import { useDisplayedProject } from "../displayed";

/** Which theme the project is shown in, here and on every other page; nothing where it has none. */
export const ThemePicks = () => {
  const session = useSession();
  const themes = useDisplayedProject((p) => p.themes);
  const shown = useDisplayedProject(themeOf);
  const setTheme = useSettings((s) => s.setTheme);
  const list = traitsOf(themesOf({ themes }));
  return list.map((theme) => (
    <label key={theme.id} className="theme-pick small-text">
      <span>{theme.name}</span>
      <Pick
        label={theme.name}
        value={shown[theme.id] ?? ""}
        options={valuesOf(theme).map((v) => ({ value: v.id, words: v.name }))}
        onPick={(value) => setTheme(session.id, { ...shown, [theme.id]: value })}
      />
    </label>
  ));
};
