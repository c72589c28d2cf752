import { Modal } from "react-bootstrap";
import { undoKeys } from "../session/parts/undoKeys";
import { useSettings } from "../services/settings";
import { Check } from "../ui/fields/Check";
import { keyText } from "../ui/keys";
import { benchKeys } from "./commands/benchKeys";
import { partKeys } from "./partKeys";
import { sheetKeys } from "./sheet/keys";
import { useBench } from "./state/context";
import { timingKeys } from "./timing/keys";
import { treeKeys } from "./tree/keys";
import { benchWords } from "./words";

/** Keys and what they do; keys as they are written on a keyboard. */
type Line = readonly [keys: string, words: string];

const linesOf = (
  table: readonly { readonly keys: readonly string[]; readonly words: string }[],
): Line[] => table.map(({ keys, words }) => [keys.map(keyText).join(", "), words]);

/** What is no key of a table: the clipboard's, and keys held while one uses the pointer. */
const clipboard: readonly Line[] = [
  [benchWords.ctrlXCtrlC, benchWords.cutCopyPasteLayers],
  ["Ctrl+Shift+V", benchWords.pasteLayersPlace],
];
const pointer: readonly Line[] = [
  [benchWords.altDrag, benchWords.dragDuplicate],
  [benchWords.shiftDrag, benchWords.moveAlongOneAxis],
  [benchWords.altOnHandles, benchWords.resizeFromCentreCorner],
  [benchWords.ctrlDrag, benchWords.turnOffSnapping],
  [benchWords.altHover, benchWords.showDistances],
  [benchWords.ctrlClick, benchWords.selectInnermostLayer],
  [benchWords.doubleClick, benchWords.selectInsideGroupEdit],
];
const lanes: readonly Line[] = [
  [benchWords.homeEnd, benchWords.playheadGoStartGo],
  [benchWords.leftRight, benchWords.barChangeDelayWith],
  [benchWords.ctrlWheel, benchWords.zoomWithShiftScroll],
];

const sections: readonly { readonly title: string; readonly lines: readonly Line[] }[] = [
  {
    title: benchWords.onBench,
    lines: [
      ...linesOf(partKeys),
      ...linesOf(Object.values(benchKeys)),
      ...linesOf(undoKeys),
      ...clipboard,
    ],
  },
  { title: benchWords.pointer, lines: pointer },
  { title: benchWords.tree, lines: linesOf(treeKeys) },
  { title: benchWords.sheetInKeysDialog, lines: linesOf(sheetKeys) },
  { title: benchWords.timingInKeysDialog, lines: [...linesOf(timingKeys), ...lanes] },
];

/** All keys, by where they act. */
export const KeysDialog = () => {
  const close = useBench((s) => s.closeDialog);
  const { letters, setLetters } = useSettings();
  return (
    <Modal show onHide={close} size="lg" aria-labelledby="keys-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="keys-title">
          {benchWords.keyboardShortcuts}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <Check words={benchWords.useSingleLettersAs} checked={letters} onSwitch={setLetters} />
        {sections.map(({ title, lines }) => (
          <section key={title}>
            <h3 className="caption">{title}</h3>
            <dl className="keys">
              {lines.map(([keys, words]) => (
                <div key={keys + words}>
                  <dt className="mono">{keys}</dt>
                  <dd>{words}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </Modal.Body>
    </Modal>
  );
};
