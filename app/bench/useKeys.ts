import { useEffect, useMemo } from "react";
import { readRules } from "#core/edit";
import { cutText } from "#core/project";
import { useSettings } from "../services/settings";
import { runKey } from "../ui/keys";
import type { KeyEntry } from "../ui/keys";
import { hasOwnUse, isTyping } from "../ui/typing";
import { useArranging } from "./commands/arranging";
import { benchKeys } from "./commands/benchKeys";
import type { BenchHands } from "./commands/benchKeys";
import { useEdits } from "./commands/edits";
import { maxSvg, useInserter } from "./commands/inserting";
import { useWorkpiece } from "./state/context";
import { partKeys } from "./partKeys";
import { benchWords } from "./words";

const table: readonly KeyEntry<BenchHands>[] = Object.values(benchKeys);
const svgText = /^\s*(<\?xml[\s\S]*?\?>\s*)?(<!--[\s\S]*?-->\s*)*<svg[\s>]/i;

const useHands = (): BenchHands => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const arranging = useArranging();
  const insert = useInserter();
  return useMemo(
    () => ({ workpiece, edits, arranging, insert }),
    [workpiece, edits, arranging, insert],
  );
};

/** Pastes whatever it is: layers, rules, a drawing, or plain text as a text layer. */
const pasteText = ({ arranging, edits, insert }: BenchHands, text: string, inPlace: boolean) => {
  const rules = readRules(text);
  if (rules) {
    edits.pasteRules(rules);
    return;
  }
  if (text === "" || arranging.paste(text, inPlace)) return;
  if (!svgText.test(text))
    insert.layer("text", { text: cutText(text, 5000), size: 16 }, { width: 60, height: 20 });
  else if (text.length > maxSvg) edits.note(benchWords.drawingWasNotAdded(maxSvg / 1e6));
  else
    void insert.svg(text, benchWords.drawingInUseKeys).then((note) => {
      if (note !== null) edits.note(note);
    });
};

/** Layers through the clipboard; with Shift they are pasted in place. */
const useClipboard = (hands: BenchHands) => {
  useEffect(() => {
    const { arranging, edits, insert } = hands;
    let shift = false;
    const onShift = (e: KeyboardEvent) => {
      shift = e.shiftKey;
    };
    const mine = (e: ClipboardEvent) => !isTyping(e.target) && !e.defaultPrevented;
    const take = (e: ClipboardEvent) => {
      if (!mine(e) || window.getSelection()?.toString()) return;
      const text = e.type === "cut" ? arranging.cut() : arranging.copy();
      if (text === null) return;
      e.clipboardData?.setData("text/plain", text);
      e.preventDefault();
    };
    const paste = (e: ClipboardEvent) => {
      if (!mine(e) || !e.clipboardData) return;
      e.preventDefault();
      const files = [...e.clipboardData.files];
      if (files.length === 0) pasteText(hands, e.clipboardData.getData("text/plain"), shift);
      else
        void insert.files(files).then((note) => {
          if (note !== null) edits.note(note);
        });
    };
    const stop = new AbortController();
    const { signal } = stop;
    window.addEventListener("keydown", onShift, { signal });
    window.addEventListener("keyup", onShift, { signal });
    window.addEventListener("copy", take, { signal });
    window.addEventListener("cut", take, { signal });
    window.addEventListener("paste", paste, { signal });
    return () => stop.abort();
  }, [hands]);
};

/** Keys that lead from part to part, also out of fields that keep their keys to themselves. */
const usePartKeys = () => {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const inWindow = e.target instanceof Element && e.target.closest(".modal") !== null;
      if (!inWindow && runKey(partKeys, undefined, e)) e.preventDefault();
    };
    window.addEventListener("keydown", onKey, { capture: true });
    return () => window.removeEventListener("keydown", onKey, { capture: true });
  }, []);
};

/** Keys that work anywhere on the bench unless one is typing. */
export const useKeys = (): void => {
  const hands = useHands();
  const letters = useSettings((s) => s.letters);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e.target) || e.defaultPrevented || hasOwnUse(e)) return;
      if (runKey(table, hands, e, letters)) e.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [hands, letters]);
  usePartKeys();
  useClipboard(hands);
};
