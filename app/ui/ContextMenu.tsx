import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { createPortal } from "react-dom";

interface Command {
  readonly label: string;
  readonly keys?: string;
  readonly disabled?: boolean;
  readonly onPick: () => void;
}
export type MenuItem =
  Command | { readonly label: string; readonly items: readonly Command[] } | "line";
export interface MenuAt {
  readonly x: number;
  readonly y: number;
  readonly items: readonly MenuItem[];
}

/**
 * A menu where the pointer is (WAI-ARIA menu): arrows move, Enter picks, Esc or a press elsewhere
 * closes it.
 */
export const ContextMenu = ({ menu, onClose }: { menu: MenuAt; onClose: () => void }) => {
  const list = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState({ left: menu.x, top: menu.y });
  const before = useRef(document.activeElement);
  useLayoutEffect(() => {
    const box = list.current?.getBoundingClientRect();
    if (box)
      setAt({
        left: Math.max(4, Math.min(menu.x, window.innerWidth - box.width - 6)),
        top: Math.max(4, Math.min(menu.y, window.innerHeight - box.height - 6)),
      });
    list.current?.querySelector<HTMLElement>("[role=menuitem]:not(:disabled)")?.focus();
  }, [menu]);
  useEffect(() => {
    const away = (e: PointerEvent) => {
      if (!list.current?.contains(e.target as Node)) onClose();
    };
    window.addEventListener("pointerdown", away, true);
    window.addEventListener("blur", onClose);
    return () => {
      window.removeEventListener("pointerdown", away, true);
      window.removeEventListener("blur", onClose);
    };
  }, [onClose]);
  const back = () => {
    onClose();
    if (before.current instanceof HTMLElement) before.current.focus();
  };
  const [open, setOpen] = useState<number | null>(null);
  const button = (item: Command, key: string | number) => (
    <button
      key={key}
      type="button"
      role="menuitem"
      className="dropdown-item"
      disabled={item.disabled}
      onClick={() => {
        back();
        item.onPick();
      }}
    >
      <span>{item.label}</span>
      {item.keys && <span className="keys-hint">{item.keys}</span>}
    </button>
  );
  const step = (by: 1 | -1) => {
    const items = [
      ...(list.current?.querySelectorAll<HTMLElement>("[role=menuitem]:not(:disabled)") ?? []),
    ];
    const now = items.indexOf(document.activeElement as HTMLElement);
    items[(now + by + items.length) % items.length]?.focus();
  };
  return createPortal(
    <div
      ref={list}
      role="menu"
      className="dropdown-menu show context-menu"
      style={at}
      onContextMenu={(e) => e.preventDefault()}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === "ArrowDown") step(1);
        else if (e.key === "ArrowUp") step(-1);
        else if (e.key === "Escape" || e.key === "Tab") back();
        else return;
        e.preventDefault();
      }}
    >
      {menu.items.map((item, i) => {
        if (item === "line") {
          return <hr key={i} className="dropdown-divider" />;
        }
        return "items" in item ? (
          <div key={i}>
            <button
              type="button"
              role="menuitem"
              aria-haspopup="menu"
              aria-expanded={open === i}
              className="dropdown-item"
              onClick={() => setOpen(open === i ? null : i)}
            >
              <span>{item.label} …</span>
            </button>
            {open === i && (
              <div role="group" aria-label={item.label} className="menu-inner">
                {item.items.map((c) => button(c, c.label))}
              </div>
            )}
          </div>
        ) : (
          button(item, i)
        );
      })}
    </div>,
    document.body,
  );
};
