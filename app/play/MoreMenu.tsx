import { Dropdown } from "react-bootstrap";
import { Menu } from "../ui/floating/Menu";
import { useWatched } from "../ui/watched";
import type { PlayRun } from "./run";
import { playWords } from "./words";

const rates = [1, 0.5, 0.25, 0.1] as const;

interface Props {
  readonly run: PlayRun;
  /** whether something here sends forms */
  readonly sends: boolean;
}

/** What a presenter can ask of the prototype; no key of the page does any of it. */
export const MoreMenu = ({ run: made, sends }: Props) => {
  const run = useWatched(made);
  return (
    <Dropdown align="end">
      <Dropdown.Toggle variant="tool" className="framed">
        {playWords.more}
      </Dropdown.Toggle>
      <Menu>
        <Dropdown.Item as="button" onClick={() => run.restart()}>
          {playWords.restart}
        </Dropdown.Item>
        <Dropdown.Item as="button" onClick={() => run.back()}>
          {playWords.back}
        </Dropdown.Item>
        <Dropdown.Divider />
        <Dropdown.Header>{playWords.speed}</Dropdown.Header>
        {rates.map((rate) => (
          <Dropdown.Item
            key={rate}
            as="button"
            role="menuitemradio"
            aria-checked={run.rate === rate}
            active={run.rate === rate}
            onClick={() => run.setRate(rate)}
          >
            {playWords.percent(rate)}
          </Dropdown.Item>
        ))}
        <Dropdown.Divider />
        <Dropdown.Item
          as="button"
          role="menuitemcheckbox"
          aria-checked={run.calm}
          active={run.calm}
          onClick={() => run.setCalm(!run.calm)}
        >
          {playWords.reducedMotion}
        </Dropdown.Item>
        {sends && (
          <>
            <Dropdown.Divider />
            <Dropdown.Header>{playWords.forms}</Dropdown.Header>
            {[true, false].map((well) => (
              <Dropdown.Item
                key={String(well)}
                as="button"
                role="menuitemradio"
                aria-checked={run.well === well}
                active={run.well === well}
                onClick={() => run.answer(well)}
              >
                {well ? playWords.succeed : playWords.fail}
              </Dropdown.Item>
            ))}
          </>
        )}
      </Menu>
    </Dropdown>
  );
};
