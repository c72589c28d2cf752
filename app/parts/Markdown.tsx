import ReactMarkdown from "react-markdown";

/** Pictures would be fetched from elsewhere, headings belong to the page. */
const left = ["img", "h1", "h2", "h3", "h4", "h5", "h6"];

/** Text in Markdown (CommonMark); markup in it stays text, and links lead nowhere but to pages. */
export const Markdown = ({ text }: { readonly text: string }) => (
  <div className="markdown">
    <ReactMarkdown skipHtml disallowedElements={left} unwrapDisallowed>
      {text}
    </ReactMarkdown>
  </div>
);
