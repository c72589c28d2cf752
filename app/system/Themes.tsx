import { ownRecords } from "#core/world";
import { useMemo, useState } from "react";
import { Button, Dropdown } from "react-bootstrap";
import {
  addTheme,
  addThemeValue,
  removeTheme,
  removeThemeValue,
  renameTheme,
  renameThemeValue,
  setThemeRest,
} from "#core/edit";
import { restOf, valuesOf } from "#core/looks";
import { inOrder } from "#core/project";
import type { Change, Project, Theme } from "#core/project";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { EditableName } from "../ui/fields/EditableName";
import { Menu } from "../ui/floating/Menu";
import { systemWords } from "./words";

/** What a theme as it is at that moment is changed by; null when it is gone. */
const changing =
  (id: string, change: (theme: Theme, project: Project) => Change | null) =>
  (now: Project): Change | null => {
    const theme = now.themes[id];
    return theme ? change(theme, now) : null;
  };

interface ValueProps {
  readonly theme: Theme;
  readonly value: Theme["values"][string];
  /** it was just made, and gets its name now */
  readonly isFresh: boolean;
  readonly onNote: (text: string) => void;
}

const ThemeValue = ({ theme, value, isFresh, onNote }: ValueProps) => {
  const session = useSession();
  const isUsual = restOf(theme) === value.id;
  const run = (change: (now: Theme, project: Project) => Change | null) =>
    session.run(changing(theme.id, change));
  const isOnly = valuesOf(theme).length === 1;
  return (
    <li className="theme-value">
      <EditableName
        name={value.name}
        label={systemWords.themeValueName}
        begins={isFresh}
        onName={(name) => run(() => renameThemeValue(theme.id, value.id, name))}
      />
      {isUsual && <span className="quiet small-text">{systemWords.usual}</span>}
      <Dropdown>
        <Dropdown.Toggle variant="tool" size="sm" aria-label={systemWords.actions(value.name)}>
          …
        </Dropdown.Toggle>
        <Menu>
          {!isUsual && (
            <Dropdown.Item
              as="button"
              type="button"
              onClick={() => run((now) => setThemeRest(now, value.id))}
            >
              {systemWords.setAsDefault}
            </Dropdown.Item>
          )}
          <Dropdown.Item
            as="button"
            type="button"
            disabled={isOnly}
            onClick={() => {
              if (run((now, project) => removeThemeValue(project, now, value.id)))
                onNote(systemWords.deletedThemeValue(value.name));
            }}
          >
            {systemWords.delete}
          </Dropdown.Item>
        </Menu>
      </Dropdown>
    </li>
  );
};

/** What themes are often made for. */
const usualThemes = [
  { name: systemWords.theme, values: [systemWords.day, systemWords.night] },
  { name: systemWords.density, values: [systemWords.calm, systemWords.compact] },
  { name: systemWords.contrast, values: [systemWords.normal, systemWords.high] },
];

/** Offers themes that are often wanted, with their values. */
const NewTheme = () => {
  const session = useSession();
  return (
    <Dropdown align="end">
      <Dropdown.Toggle variant="outline-primary" size="sm">
        {systemWords.newTheme}
      </Dropdown.Toggle>
      <Menu>
        {usualThemes.map(({ name, values }) => (
          <Dropdown.Item
            key={name}
            as="button"
            type="button"
            onClick={() => session.run((now) => addTheme(now, name, values).change)}
          >
            {systemWords.themeOf(name, values.join(", "))}
          </Dropdown.Item>
        ))}
      </Menu>
    </Dropdown>
  );
};

/** The project's themes and their values. */
export const Themes = ({ onNote }: { onNote: (text: string) => void }) => {
  const session = useSession();
  const all = useDisplayedProject((p) => p.themes);
  const themes = useMemo(() => ownRecords(all), [all]);
  const [fresh, setFresh] = useState<string | null>(null);
  const list = inOrder(themes);
  return (
    <>
      <div className="page-head">
        <h2 id="themes">{systemWords.themes}</h2>
        <NewTheme />
      </div>
      {list.length === 0 && <p className="quiet small-text">{systemWords.noThemes}</p>}
      <ul className="theme-list">
        {list.map((theme) => (
          <li key={theme.id} className="theme-row">
            <EditableName
              name={theme.name}
              label={systemWords.themeName}
              className="strong"
              onName={(name) => session.run(() => renameTheme(theme.id, name))}
            />
            <ul className="theme-values" aria-label={systemWords.valuesOf(theme.name)}>
              {valuesOf(theme).map((value) => (
                <ThemeValue
                  key={value.id}
                  theme={theme}
                  value={value}
                  isFresh={fresh === value.id}
                  onNote={onNote}
                />
              ))}
            </ul>
            <Button
              variant="link"
              size="sm"
              onClick={() => {
                const made = session.make((now) => {
                  const present = now.themes[theme.id];
                  return present ? addThemeValue(present, systemWords.value) : null;
                });
                if (made) setFresh(made.id);
              }}
            >
              {systemWords.addValue}
            </Button>
            <Button
              variant="link"
              size="sm"
              onClick={() => {
                if (session.run(changing(theme.id, (now, project) => removeTheme(project, now))))
                  onNote(systemWords.deletedTheme(theme.name));
              }}
            >
              {systemWords.deleteTheme}
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
};
