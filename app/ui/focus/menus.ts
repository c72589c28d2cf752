/** What one can go to in an open menu. */
const ITEMS = "a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled)";

/**
 * Goes into a menu that was opened by a key, to its first item (WAI-ARIA practices, menu button).
 * Answers how to stop.
 */
export const enterMenus = (): (() => void) => {
  const onClick = (e: MouseEvent) => {
    const byKey = e.detail === 0;
    const toggle = e.target instanceof Element ? e.target.closest(".dropdown-toggle") : null;
    if (!byKey || !toggle) return;
    requestAnimationFrame(() => {
      const menu = toggle.parentElement?.querySelector(".dropdown-menu.show");
      if (menu?.contains(document.activeElement)) return;
      menu?.querySelector<HTMLElement>(ITEMS)?.focus();
    });
  };
  document.addEventListener("click", onClick);
  return () => document.removeEventListener("click", onClick);
};
