import type { ReactNode } from "react";
import { Dropdown } from "react-bootstrap";

const fixed = { strategy: "fixed" } as const;
const style = { position: "fixed" } as const;

/**
 * A menu that may reach beyond the panel its button is in. It must be fixed from the start, or it
 * is placed as if it were not.
 */
export const Menu = ({ children, className }: { children: ReactNode; className?: string }) => (
  <Dropdown.Menu popperConfig={fixed} style={style} {...(className ? { className } : {})}>
    {children}
  </Dropdown.Menu>
);
