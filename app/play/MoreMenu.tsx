import { Fragment } from "react";
import { Dropdown } from "react-bootstrap";
import { themeOf, themesOf, traitsOf } from "#core/looks";
import type { Project, Variant } from "#core/project";
import { FormAnswer } from "../parts/FormAnswer";
import { TraitChoice } from "../parts/TraitChoice";
import { partsWords } from "../parts/words";
import { Check } from "../ui/fields/Check";
import { Choices } from "../ui/fields/Choices";
import { Menu } from "../ui/floating/Menu";
import { Tool } from "../ui/Tool";
import { useWatched } from "../ui/watched";
import { addressOf } from "./address";
import { PhoneCode } from "./PhoneCode";
import type { PlayRun } from "./run";
import { playWords } from "./words";

const rates = [1, 0.5, 0.25, 0.1] as const;

interface Props {
  readonly run: PlayRun;
  readonly project: Project;
  /** the address for a phone in the same room, if there is one */
  readonly phone: string | null;
  /** whether something here sends forms */
  readonly sends: boolean;
  /** the values of themes that were asked for */
  readonly theme: Variant;
  readonly onTheme: (theme: Variant) => void;
}

/** Which theme the prototype is shown in; nothing where the project has none. */
const PlayThemes = ({ project, onTheme }: Pick<Props, "project" | "onTheme">) => {
  const shown = themeOf(project);
  return traitsOf(themesOf(project)).map((theme) => (
    <Fragment key={theme.id}>
      <span className="caption">{theme.name}</span>
      <TraitChoice
        label={theme.name}
        trait={theme}
        value={shown[theme.id]}
        onChoose={(value) => onTheme({ ...shown, [theme.id]: value })}
      />
    </Fragment>
  ));
};

/** What a presenter can ask of the prototype; no key of the page does any of it. */
export const MoreMenu = ({ run: made, project, theme, phone, sends, onTheme }: Props) => {
  const run = useWatched(made);
  return (
    <Dropdown align="end" autoClose="outside">
      <Dropdown.Toggle variant="tool" className="framed">
        {playWords.more}
      </Dropdown.Toggle>
      <Menu className="play-more">
        <div className="line">
          <Tool framed onClick={() => run.restart()}>
            {playWords.restart}
          </Tool>
          <Tool framed onClick={() => run.back()}>
            {playWords.back}
          </Tool>
        </div>
        <PlayThemes project={project} onTheme={onTheme} />
        <span className="caption">{playWords.speed}</span>
        <Choices
          label={playWords.speed}
          value={String(run.rate)}
          choices={rates.map((r) => ({ value: String(r), words: playWords.percent(r) }))}
          onChoose={(rate) => run.setRate(Number(rate))}
        />
        <Check
          words={playWords.reducedMotion}
          checked={run.calm}
          onSwitch={(calm) => run.setCalm(calm)}
        />
        {sends && (
          <>
            <span className="caption">{partsWords.submittedForms}</span>
            <FormAnswer well={run.well} onChange={(well) => run.answer(well)} />
          </>
        )}
        <span className="caption">{playWords.onPhone}</span>
        {phone === null ? (
          <p className="quiet small-text">{playWords.startForPhones}</p>
        ) : (
          <PhoneCode address={`${phone}${addressOf(project, run.presented, theme)}`} />
        )}
      </Menu>
    </Dropdown>
  );
};
