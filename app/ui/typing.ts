const fields =
  "input:not([type=checkbox], [type=radio], [type=range]), textarea, select, [contenteditable], [role=menu], .modal";

/** Whether keys pressed at a target belong to it: to a field, a menu or a dialog. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(fields) !== null;

const steps = /^(Arrow|Page|Home$|End$)/;

/** Whether a key does something of its own at what has the focus: Enter on a button, arrows on a slider. */
export const hasOwnUse = ({ key, target }: KeyboardEvent): boolean => {
  if (target instanceof HTMLButtonElement) return key === "Enter";
  return target instanceof HTMLInputElement && target.type !== "checkbox" && steps.test(key);
};
