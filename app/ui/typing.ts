const fields =
  "input:not([type=checkbox], [type=radio], [type=range]), textarea, select, [contenteditable], [role=menu], .modal";

/** Whether keys pressed at a target belong to it: to a field, a menu or a dialog. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(fields) !== null;
