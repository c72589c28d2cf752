import type { ReactNode } from "react";
import ReactMarkdown from "react-markdown";

/** Headings belong to the page: those of a text are lines of their own. */
const Heading = ({ children }: { readonly children?: ReactNode }) => (
  <p className="markdown-head">
    <strong>{children}</strong>
  </p>
);
const components = {
  h1: Heading,
  h2: Heading,
  h3: Heading,
  h4: Heading,
  h5: Heading,
  h6: Heading,
};

/**
 * Text in Markdown (CommonMark); markup in it stays text, links lead nowhere but to pages, and
 * pictures would be fetched from elsewhere.
 */
export const Markdown = ({ text }: { readonly text: string }) => (
  <div className="markdown">
    <ReactMarkdown skipHtml disallowedElements={["img"]} unwrapDisallowed components={components}>
      {text}
    </ReactMarkdown>
  </div>
);
