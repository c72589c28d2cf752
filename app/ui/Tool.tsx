import { Button } from "react-bootstrap";
import type { ButtonProps } from "react-bootstrap";
import { Icon } from "./Icon";

interface Props extends Omit<ButtonProps, "variant" | "active" | "aria-label"> {
  /** what it is called, where it shows no word that says so */
  readonly label?: string;
  readonly icon?: string;
  /** px */
  readonly iconSize?: number;
  /** whether what it switches is on; leave it out where it only does something */
  readonly on?: boolean;
  readonly framed?: boolean;
}

/** A small plain button that carries an icon or a word; what it is called is its tip, too. */
export const Tool = ({
  label,
  icon,
  iconSize,
  on,
  framed = false,
  title = label,
  className = "",
  children,
  ...rest
}: Props) => (
  <Button
    variant="tool"
    active={on ?? false}
    aria-label={label}
    aria-pressed={on}
    title={title}
    className={`${framed ? "framed " : ""}${className}`}
    {...rest}
  >
    {icon !== undefined && (
      <Icon name={icon} {...(iconSize === undefined ? {} : { size: iconSize })} />
    )}
    {children}
  </Button>
);
