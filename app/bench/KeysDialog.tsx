import { Modal } from "react-bootstrap";
import { undoKeys } from "../session/parts/undoKeys";
import { useSettings } from "../services/settings";
import { Check } from "../ui/Check";
import { keyText } from "../ui/keys";
import { benchKeys } from "./commands/benchKeys";
import { sheetKeys } from "./sheet/keys";
import { useBench } from "./state/context";
import { timingKeys } from "./timing/keys";
import { treeKeys } from "./tree/keys";

/** Keys and what they do; keys as they are written on a keyboard. */
type Line = readonly [keys: string, words: string];

const linesOf = (
  table: readonly { readonly keys: readonly string[]; readonly words: string }[],
): Line[] => table.map(({ keys, words }) => [keys.map(keyText).join(", "), words]);

/** What is no key of a table: the clipboard's, and keys held while one uses the pointer. */
const clipboard: readonly Line[] = [
  ["Ctrl+X, Ctrl+C, Ctrl+V", "Cut, copy, paste layers, rules, cells"],
  ["Ctrl+Shift+V", "Paste layers in place"],
];
const pointer: readonly Line[] = [
  ["Alt + drag", "Drag a copy"],
  ["Shift + drag", "Keep to one direction; on handles, the proportions"],
  ["Alt on handles", "About the middle; on a corner knob, that corner"],
  ["Ctrl + drag", "Let nothing catch"],
  ["Alt + pointing", "Show distances"],
  ["Ctrl + click", "Choose the innermost layer"],
  ["Double click", "Go further in; on a text, type; on a path, its points"],
];
const lanes: readonly Line[] = [
  ["Home, End", "On the playhead: to the beginning, to the end"],
  ["Left, Right", "On a bar: delay it; with Alt lengthen it, with Shift by 50 ms"],
  ["Ctrl + wheel", "Zoom; with Shift go along the time"],
];

const sections: readonly { readonly title: string; readonly lines: readonly Line[] }[] = [
  {
    title: "On the bench",
    lines: [...linesOf(Object.values(benchKeys)), ...linesOf(undoKeys), ...clipboard],
  },
  { title: "With the pointer", lines: pointer },
  { title: "In the tree", lines: linesOf(treeKeys) },
  { title: "In the sheet", lines: linesOf(sheetKeys) },
  { title: "In Timing", lines: [...linesOf(timingKeys), ...lanes] },
];

/** All keys, by where they act. */
export const KeysDialog = () => {
  const close = useBench((s) => s.closeDialog);
  const { letters, setLetters } = useSettings();
  return (
    <Modal show onHide={close} size="lg" aria-labelledby="keys-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="keys-title">
          Keys
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <Check words="Letters alone are keys, too" checked={letters} onSwitch={setLetters} />
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
