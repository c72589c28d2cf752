import "react-router";

declare module "react-router" {
  interface AppLoadContext {
    /**
     * the number of this answer by which the page's own scripts are known; none while one works on
     * Nubble
     */
    readonly nonce: string | undefined;
  }
}
