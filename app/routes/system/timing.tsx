import { useDisplayedProject } from "../../session/displayed";
import { TimingSheet } from "../../system/TimingSheet";
import { routesWords } from "../words";

/** All motions of a project beside one another. */
export default function Timing() {
  const name = useDisplayedProject((p) => p.name);
  return (
    <>
      <h1 tabIndex={-1} id="timing-sheet">
        {routesWords.timingSheet(name)}
      </h1>
      <TimingSheet />
    </>
  );
}
