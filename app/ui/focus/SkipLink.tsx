import { uiWords } from "../words";

/** The first stop of the Tab key on every page: past its head, to what the page is about. */
export const SkipLink = () => (
  <a className="skip-link" href="#content">
    {uiWords.skipContent}
  </a>
);
