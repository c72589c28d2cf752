import type { ReactNode } from "react";
import { Container } from "react-bootstrap";
import { uiWords } from "./words";

/** A page that only says something, with what one can do about it. */
export const Plain = ({ title, children }: { title: string; children: ReactNode }) => (
  <Container as="main" id="content" className="plain-page">
    <title>{uiWords.title(title)}</title>
    <h1 tabIndex={-1}>{title}</h1>
    {children}
  </Container>
);
