import { matchKeybindingPress, parseKeybinding } from "tinykeys";

/** Keys that do something: from such tables come what keys do, the help, and what menus show. */
export interface KeyEntry<C> {
  /** any of these, as tinykeys reads them: "$mod+d" is Ctrl+D, on Apple's keyboards Command+D */
  readonly keys: readonly string[];
  /** what it does, as the help says it */
  readonly words: string;
  /** whether it does something just now */
  readonly when?: (context: C) => boolean;
  readonly run: (context: C, e: KeyboardEvent) => void;
}

/** Whether keys are a letter or a sign alone (WCAG 2.1.4): those can be switched off. */
const isLetter = (keys: string): boolean => [...keys.replace("[Shift]+", "")].length === 1;

const matches = (e: KeyboardEvent, keys: string): boolean =>
  parseKeybinding(keys).some((press) => matchKeybindingPress(e, press));

/** Does what a table says of a key that was pressed; false when it says nothing of it now. */
export const runKey = <C>(
  table: readonly KeyEntry<C>[],
  context: C,
  e: KeyboardEvent,
  letters = true,
): boolean => {
  const meant = table.find(
    (entry) =>
      entry.keys.some((keys) => (letters || !isLetter(keys)) && matches(e, keys)) &&
      (entry.when?.(context) ?? true),
  );
  meant?.run(context, e);
  return meant !== undefined;
};

const names: Readonly<Record<string, string>> = {
  $mod: "Ctrl",
  ArrowUp: "Up",
  ArrowDown: "Down",
  ArrowLeft: "Left",
  ArrowRight: "Right",
  Escape: "Esc",
  PageUp: "Page up",
  PageDown: "Page down",
};

const nameOf = (key: string): string => names[key] ?? (key.length === 1 ? key.toUpperCase() : key);

/** Keys as they are written on a keyboard: "Ctrl+D". */
export const keyText = (keys: string): string =>
  keys.replace("[Shift]+", "").split("+").map(nameOf).join("+");

/** The first keys of an entry, for menus and tips. */
export const shownKeys = ({ keys }: Pick<KeyEntry<never>, "keys">): string =>
  keyText(keys[0] ?? "");

/** -1 for a key that leads back, 1 for one that leads forth, 0 for any other. */
export const keyStep = (key: string, back: string, forth: string): -1 | 0 | 1 => {
  if (key === forth) return 1;
  return key === back ? -1 : 0;
};
