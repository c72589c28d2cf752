import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import type { KeyboardEvent, RefObject } from "react";
import type { Id } from "#core/basics";
import { renameLayer, restack } from "#core/edit";
import { valuesIn } from "#core/looks";
import { ROOT } from "#core/project";
import type { MenuAt } from "../../ui/floating/ContextMenu";
import { runKey } from "../../ui/keys";
import { useArranging } from "../commands/arranging";
import { useEdits } from "../commands/edits";
import { layerMenu } from "../commands/layerMenu";
import { activeOf } from "../state/active";
import { useBench, useChosen, usePieceParts, useWorkpiece } from "../state/context";
import { treeKeys } from "./keys";
import type { TreeHands } from "./keys";
import { lineBeginning, linesOf, treeStep } from "./lines";
import type { LineActions } from "./TreeLine";

/** Letters that follow one another within this time are of one name, ms. */
const TYPING = 700;

/** What is chosen after one more layer was, or was not any more. */
const toggled = (chosen: readonly Id[], id: Id): readonly Id[] =>
  chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id];

/** Which boxes of the tree are folded. */
const useFolds = () => {
  const [closed, setClosed] = useState<ReadonlySet<Id>>(new Set());
  const fold = useCallback((id: Id, shut?: boolean) => {
    setClosed((was) => {
      const next = new Set(was);
      if (shut ?? !was.has(id)) next.add(id);
      else next.delete(id);
      return next;
    });
  }, []);
  return { closed, fold };
};

const lineIn = (tree: RefObject<HTMLElement | null>, id: Id): HTMLElement | null | undefined =>
  tree.current?.querySelector<HTMLElement>(`[data-line="${id}"]`);

/** Gives lines of the tree the focus, once they are there. */
const useLineFocus = (tree: RefObject<HTMLElement | null>, lead: Id) => {
  const [wanted, setWanted] = useState({ id: "", times: 0 });
  const focusLine = useCallback(
    (id: Id) => setWanted(({ times }) => ({ id, times: times + 1 })),
    [],
  );
  useLayoutEffect(() => lineIn(tree, wanted.id)?.focus(), [tree, wanted]);
  useEffect(() => {
    if (lead !== ROOT) lineIn(tree, lead)?.scrollIntoView({ block: "nearest" });
  }, [tree, lead]);
  return focusLine;
};

/** What one does with the lines of the tree. */
const useLineActions = (fold: (id: Id) => void, focusLine: (id: Id) => void) => {
  const workpiece = useWorkpiece();
  const arranging = useArranging();
  const edits = useEdits();
  const [menu, setMenu] = useState<MenuAt | null>(null);
  const closeMenu = useCallback(() => setMenu(null), []);
  const actions = useMemo(
    (): LineActions => ({
      choose: (id, e) => {
        const { state } = workpiece;
        const more = e.shiftKey || e.ctrlKey || e.metaKey;
        state.choose(more ? toggled(state.chosen, id) : [id]);
      },
      rename: (id) => workpiece.state.rename(id),
      named: (id, name) => {
        workpiece.state.rename(null);
        if (name !== null) workpiece.run((_, piece) => renameLayer(piece, id, name));
        focusLine(id);
      },
      twist: (id) => fold(id),
      lock: (id) => {
        const on = !workpiece.piece?.layers[id]?.locked;
        workpiece.state.choose([id]);
        arranging.lock(on);
      },
      hide: (id) => {
        const { piece, project, state } = workpiece;
        const layer = piece?.layers[id];
        if (!piece || !layer) return;
        const { variant } = activeOf(piece, state);
        arranging.show([id], valuesIn(project, piece, variant, layer).visible === false);
      },
      menu: (id, e) => {
        e.preventDefault();
        const { state } = workpiece;
        if (!state.chosen.includes(id)) state.choose([id]);
        const items = layerMenu({ workpiece, arranging, edits });
        setMenu({ x: e.clientX, y: e.clientY, items });
      },
    }),
    [workpiece, arranging, edits, fold, focusLine],
  );
  return { actions, menu, closeMenu };
};

/** The piece's tree of layers: its lines, what one does with them, and its keys. */
export const useTree = (element: RefObject<HTMLElement | null>, find: string) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const piece = usePieceParts("layers");
  const chosen = useChosen();
  const renaming = useBench((s) => s.renaming);
  const lead = chosen[0] ?? ROOT;
  const { closed, fold } = useFolds();
  const lines = useMemo(() => linesOf(piece, closed, find), [piece, closed, find]);
  const focusLine = useLineFocus(element, lead);
  const { actions, menu, closeMenu } = useLineActions(fold, focusLine);
  const typed = useRef({ text: "", at: 0 });
  // whoever pressed a line with the pointer means the bench by letters, as on a card
  const pressed = useRef(false);

  /** Puts the chosen layers one place forward or back. */
  const move = (by: 1 | -1) => {
    for (const id of chosen) workpiece.run((_, now) => restack(now, id, by));
  };
  const go = (id: Id) => {
    workpiece.state.choose([id]);
    focusLine(id);
  };
  /** Goes to the line whose name begins with the letters typed shortly after one another. */
  const type = (letter: string, now: number) => {
    const goesOn = now - typed.current.at < TYPING;
    const text = goesOn ? typed.current.text + letter : letter;
    const found = lineBeginning(lines, lead, text);
    typed.current = { text, at: now };
    if (found !== null) go(found);
  };
  const hands: TreeHands = {
    lead,
    move,
    step: (arrow) => {
      const to = treeStep(lines, lead, closed, arrow);
      if (to && "go" in to) go(to.go);
      else if (to) fold(to.fold, to.shut);
    },
    rename: (id) => workpiece.state.rename(id),
    remove: () => edits.remove(chosen),
  };
  const key = (e: KeyboardEvent): boolean => {
    if (runKey(treeKeys, hands, e.nativeEvent)) return true;
    if (!pressed.current && e.key.length === 1 && e.key !== " " && !e.ctrlKey && !e.metaKey)
      type(e.key, e.timeStamp);
    else return false;
    return true;
  };
  const onKeyDown = (e: KeyboardEvent) => {
    if (renaming !== null || !key(e)) return;
    pressed.current = false;
    e.preventDefault();
    e.stopPropagation();
  };
  return {
    piece,
    chosen,
    lead,
    renaming,
    lines,
    closed,
    actions,
    menu,
    closeMenu,
    move,
    onKeyDown,
    onPointerDown: () => {
      pressed.current = true;
    },
  };
};
