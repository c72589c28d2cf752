import { Button } from "react-bootstrap";
import type { ButtonProps } from "react-bootstrap";
import { useHref, useLinkClickHandler } from "react-router";

interface Props extends Omit<ButtonProps, "href" | "onClick"> {
  readonly to: string;
}

/** A link to another page of Nubble that looks like a button. */
export const LinkButton = ({ to, ...rest }: Props) => {
  const href = useHref(to);
  const follow = useLinkClickHandler<HTMLButtonElement>(to);
  // the library would call it a button: it is a link all the same
  return <Button {...rest} role={undefined} href={href} onClick={follow} />;
};
