import { useEffect } from "react";
import { readRules } from "#core/edit";
import { childrenOf } from "#core/looks";
import { ROOT, cutText } from "#core/project";
import { isTyping } from "../ui/typing";
import { useSession } from "../session/context";
import { useArranging } from "./state/arranging";
import { useEdits } from "./state/edits";
import { fresh, maxSvg, useInserter } from "./tools/inserting";
import { useBenchStore } from "./state/state";

/** The key that inserts each kind of layer. */
const kinds = Object.fromEntries(
  Object.entries(fresh).map(([kind, f]) => [f.key.toLowerCase(), kind as keyof typeof fresh]),
);

const arrows: Readonly<Record<string, readonly [number, number]>> = {
  arrowleft: [-1, 0],
  arrowright: [1, 0],
  arrowup: [0, -1],
  arrowdown: [0, 1],
};

/** Keys that work anywhere on the bench unless one is typing. */
export const useKeys = (onHelp: () => void): void => {
  const session = useSession();
  const store = useBenchStore();
  const edits = useEdits();
  const arranging = useArranging();
  const insert = useInserter();
  useEffect(() => {
    const chooseAll = () => {
      const state = store.getState();
      const piece = session.project.pieces[state.pieceId];
      const lead = piece?.layers[state.chosen[0] ?? ""];
      state.choose(
        (piece &&
          childrenOf(piece)
            .get(lead?.parent ?? ROOT)
            ?.filter((l) => !l.locked)
            .map((l) => l.id)) ??
          [],
      );
    };
    const held: Readonly<Record<string, (shift: boolean) => void>> = {
      a: chooseAll,
      d: () => {
        edits.duplicate(store.getState().chosen);
      },
      g: (shift) => {
        if (shift) arranging.unwrap();
        else arranging.wrap("group");
      },
      f: () => store.getState().put({ dialog: { kind: "replace" } }),
    };
    const escape = () => {
      const state = store.getState();
      if (state.tool !== "choose") state.put({ tool: "choose" });
      else if (state.shaping !== null) state.put({ shaping: null });
      else if (state.chosen.length === 0 && state.also.length) state.look(state.variant);
      else state.choose([]);
    };
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e.target) || e.defaultPrevented) return;
      const state = store.getState();
      const key = e.key.toLowerCase();
      const arrow = arrows[key];
      if (e.ctrlKey || e.metaKey) {
        const act = held[key];
        if (!act || e.altKey) return;
        act(e.shiftKey);
      } else if (e.altKey) return;
      else if (arrow && state.chosen.length)
        edits.nudge(
          state.chosen,
          arrow[0] * (e.shiftKey ? 10 : 1),
          arrow[1] * (e.shiftKey ? 10 : 1),
        );
      else if (key === "delete" || key === "backspace") edits.remove(state.chosen);
      else if (key === "escape") escape();
      else if (
        key === "enter" &&
        state.chosen.length === 1 &&
        session.project.pieces[state.pieceId]?.layers[state.chosen[0] ?? ""]?.kind === "path" &&
        !(e.target instanceof HTMLButtonElement)
      )
        state.put({ shaping: state.chosen[0] ?? null });
      else if (key === "f2" && state.chosen[0]) state.put({ renaming: state.chosen[0] });
      else if (key === "r") state.restart();
      else if (key === "p") state.put({ tool: state.tool === "pen" ? "choose" : "pen" });
      else if (key === "m") state.put({ tool: state.tool === "ruler" ? "choose" : "ruler" });
      else if (key === "q" && session.project.pieces[state.pieceId]?.reference)
        state.put({ tool: state.tool === "dropper" ? "choose" : "dropper" });
      else if (key === "n") arranging.extract();
      else if (key === "u") arranging.wrap("compound");
      else if (key === "k")
        arranging.lock(
          !session.project.pieces[state.pieceId]?.layers[state.chosen[0] ?? ""]?.locked,
        );
      else if (key === "f" && e.shiftKey) state.put({ zoom: "fit", only: null });
      else if (kinds[key]) insert.simple(kinds[key]);
      else if (key === "i") document.querySelector<HTMLElement>("[data-insert=icon]")?.click();
      else if (key === "?") onHelp();
      else return;
      e.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [session, store, edits, arranging, insert, onHelp]);

  useEffect(() => {
    let shift = false;
    const onShift = (e: KeyboardEvent) => {
      shift = e.shiftKey;
    };
    const take = (cut: boolean) => (e: ClipboardEvent) => {
      if (isTyping(e.target) || e.defaultPrevented || window.getSelection()?.toString()) return;
      const text = cut ? arranging.cut() : arranging.copy();
      if (text === null) return;
      e.clipboardData?.setData("text/plain", text);
      e.preventDefault();
    };
    const copy = take(false);
    const cut = take(true);
    const paste = (e: ClipboardEvent) => {
      if (isTyping(e.target) || e.defaultPrevented || !e.clipboardData) return;
      e.preventDefault();
      const files = [...e.clipboardData.files];
      const text = e.clipboardData.getData("text/plain");
      if (files.length) {
        void insert.files(files).then((note) => {
          if (note !== null) edits.note(note);
        });
        return;
      }
      const rules = readRules(text);
      if (rules) {
        edits.pasteRules(rules);
        return;
      }
      if (text === "" || arranging.paste(text, shift)) return;
      if (/^\s*(<\?xml[\s\S]*?\?>\s*)?(<!--[\s\S]*?-->\s*)*<svg[\s>]/i.test(text)) {
        if (text.length > maxSvg)
          edits.note(`The drawing was not taken: it is larger than ${maxSvg / 1e6} MB.`);
        else
          void insert.svg(text, "Drawing").then((note) => {
            if (note !== null) edits.note(note);
          });
      } else insert.layer("text", { text: cutText(text, 5000), size: 16 }, [60, 20]);
    };
    window.addEventListener("keydown", onShift);
    window.addEventListener("keyup", onShift);
    window.addEventListener("copy", copy);
    window.addEventListener("cut", cut);
    window.addEventListener("paste", paste);
    return () => {
      window.removeEventListener("keydown", onShift);
      window.removeEventListener("keyup", onShift);
      window.removeEventListener("copy", copy);
      window.removeEventListener("cut", cut);
      window.removeEventListener("paste", paste);
    };
  }, [arranging, insert, edits]);
};

/** The keys of the bench and what they do. */
export const keys: readonly (readonly [string, string])[] = [
  ["B, E, L, G, T, I", "insert a box, an ellipse, a line, a triangle, a text, an icon"],
  ["P, M", "draw a path with the pen, measure"],
  ["Q", "pick a colour from the reference picture"],
  ["Arrows", "move the chosen layers by 1, with Shift by 10"],
  ["Delete", "remove them"],
  ["Ctrl+A", "choose all beside the chosen one"],
  ["Ctrl+D", "duplicate them; once more, by the same way"],
  ["Ctrl+X, C, V", "cut, copy, paste layers; with Shift in place"],
  ["Ctrl+G, +Shift", "group, ungroup"],
  ["U", "combine shapes"],
  ["N", "make a component"],
  ["Ctrl+F", "find and replace a value"],
  ["K", "lock, unlock"],
  ["Alt + drag", "drag a copy"],
  ["Shift + drag", "keep to one direction; on handles, the proportions"],
  ["Alt on handles", "about the middle; on a corner knob, that corner"],
  ["Ctrl + drag", "let nothing catch"],
  ["Alt + pointing", "show distances"],
  ["Ctrl + click", "choose the innermost layer"],
  ["Double click", "go further in; on a text, type; on a path, its points"],
  ["Enter", "edit the points of a path"],
  ["F2", "rename"],
  ["Alt+Up, Alt+Down", "in the tree: forward, back"],
  ["Shift+F", "fit all cards"],
  ["Esc", "back out, choose nothing"],
  ["R", "restart Try"],
  ["Ctrl+Z, Ctrl+Shift+Z", "undo, redo"],
  ["Enter, Delete", "in the sheet: edit a cell, inherit again"],
  ["Space, Home, End", "in Timing: play, to the beginning, to the end"],
  ["Arrows on a lane", "delay it; with Alt lengthen it, with Shift by 50 ms"],
  ["Ctrl + wheel", "in Timing: zoom; with Shift go along the time"],
];
