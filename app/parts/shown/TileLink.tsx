import type { AnchorHTMLAttributes, MouseEvent } from "react";

interface Props extends Omit<AnchorHTMLAttributes<HTMLAnchorElement>, "href" | "onClick"> {
  readonly to: string;
  /** goes to a place of the app; always the same function */
  readonly onOpen: (to: string) => void;
}

/** A press that opens nothing beside this window. */
const isPlain = (e: MouseEvent): boolean =>
  e.button === 0 && !(e.metaKey || e.ctrlKey || e.shiftKey || e.altKey);

/**
 * A link that does not ask the router where it is: what does renders with every step, and a thousand
 * of that are felt.
 */
export const TileLink = ({ to, onOpen, children, ...more }: Props) => {
  const follow = (e: MouseEvent) => {
    if (!isPlain(e)) return;
    e.preventDefault();
    onOpen(to);
  };
  return (
    <a {...more} href={to} onClick={follow}>
      {children}
    </a>
  );
};
