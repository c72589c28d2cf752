import { useCallback, useEffect, useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import { Dropdown } from "react-bootstrap";
import { Floating } from "./Floating";
import { keyStep } from "../keys";

interface Command {
  readonly label: string;
  readonly keys?: string;
  readonly disabled?: boolean;
  readonly onPick: () => void;
}
interface Submenu {
  readonly label: string;
  readonly items: readonly Command[];
}
export type MenuItem = Command | Submenu | "line";
export interface MenuAt {
  /** px of the window */
  readonly x: number;
  readonly y: number;
  readonly items: readonly MenuItem[];
}

const Item = ({ item, onPicked }: { item: Command; onPicked: (item: Command) => void }) => (
  <Dropdown.Item
    as="button"
    type="button"
    role="menuitem"
    disabled={item.disabled ?? false}
    onClick={() => onPicked(item)}
  >
    <span>{item.label}</span>
    {item.keys && <span className="keys-hint">{item.keys}</span>}
  </Dropdown.Item>
);

interface UnfoldingProps {
  readonly item: Submenu;
  readonly onPicked: (item: Command) => void;
  readonly onGrow: () => void;
}

/** An item that unfolds further ones beneath itself. */
const Unfolding = ({ item, onPicked, onGrow }: UnfoldingProps) => {
  const [open, setOpen] = useState(false);
  return (
    <div>
      <Dropdown.Item
        as="button"
        type="button"
        role="menuitem"
        aria-haspopup="menu"
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
          requestAnimationFrame(onGrow);
        }}
      >
        <span>{item.label} …</span>
      </Dropdown.Item>
      {open && (
        <div role="group" aria-label={item.label} className="menu-inner">
          {item.items.map((inner) => (
            <Item key={inner.label} item={inner} onPicked={onPicked} />
          ))}
        </div>
      )}
    </div>
  );
};

const itemsIn = (list: HTMLElement | null): HTMLElement[] => [
  ...(list?.querySelectorAll<HTMLElement>("[role=menuitem]:not(:disabled, .disabled)") ?? []),
];

/** Goes to another item: the next, the one before, the first, the last. */
const goIn = (list: HTMLElement | null, key: string): boolean => {
  const items = itemsIn(list);
  const now = items.indexOf(document.activeElement as HTMLElement);
  const step = keyStep(key, "ArrowUp", "ArrowDown");
  if (step !== 0) items[(now + step + items.length) % items.length]?.focus();
  else if (key === "Home") items[0]?.focus();
  else if (key === "End") items.at(-1)?.focus();
  else return false;
  return true;
};

/**
 * A menu where the pointer is (WAI-ARIA menu): arrows move, Enter picks, Esc or a press elsewhere
 * closes it.
 */
export const ContextMenu = ({ menu, onClose }: { menu: MenuAt; onClose: () => void }) => {
  const list = useRef<HTMLDivElement>(null);
  const before = useRef(document.activeElement);
  const takeList = useCallback((element: HTMLDivElement | null) => {
    list.current = element;
    itemsIn(element)[0]?.focus({ preventScroll: true });
  }, []);
  useEffect(() => {
    window.addEventListener("blur", onClose);
    return () => window.removeEventListener("blur", onClose);
  }, [onClose]);
  const back = () => {
    onClose();
    if (before.current instanceof HTMLElement) before.current.focus();
  };
  const pick = (item: Command) => {
    back();
    item.onPick();
  };
  const onKeyDown = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === "Escape" || e.key === "Tab") back();
    else if (!goIn(list.current, e.key)) return;
    e.preventDefault();
  };
  return (
    <Floating anchor={menu} apart={false} onAway={onClose}>
      {({ ref, style, onGrow }) => (
        <div
          ref={ref}
          className="context-menu"
          style={style}
          onContextMenu={(e) => e.preventDefault()}
          onKeyDown={onKeyDown}
        >
          <Dropdown.Menu show ref={takeList} role="menu">
            {menu.items.map((item, i) => {
              if (item === "line") return <Dropdown.Divider key={i} />;
              return "items" in item ? (
                <Unfolding key={i} item={item} onPicked={pick} onGrow={onGrow} />
              ) : (
                <Item key={i} item={item} onPicked={pick} />
              );
            })}
          </Dropdown.Menu>
        </div>
      )}
    </Floating>
  );
};
