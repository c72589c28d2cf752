import { createContext } from "react";

/**
 * The number of this answer by which its own scripts are known; undefined in the browser, which
 * hides it.
 */
export const NonceContext = createContext<string | undefined>(undefined);

/** For parts that add style elements in the browser: the nonce the page's own scripts came with. */
export const pageNonce = (): string | undefined =>
  typeof document === "undefined"
    ? undefined
    : document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce || undefined;
