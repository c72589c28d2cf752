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
  return <Button {...rest} href={href} onClick={follow} />;
};
