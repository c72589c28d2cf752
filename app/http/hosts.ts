import type { Request, RequestHandler } from "express";
import { httpWords } from "./words";

/** Names under which a server on loopback is reached: RFC 6761 §6.3 keeps `localhost` for it. */
const LOOPBACK = ["localhost", "127.0.0.1", "[::1]"];

/**
 * Which hosts are answered: loopback with our port, and what the start command allows (`name` or
 * `name:port`).
 */
export const allowedHosts = (port: number, more: readonly string[]): ReadonlySet<string> =>
  new Set([
    ...LOOPBACK.map((name) => `${name}:${port}`),
    ...more.map((host) => host.toLowerCase()),
  ]);

const isChange = (method: string): boolean => !["GET", "HEAD", "OPTIONS"].includes(method);

/** A host as browsers write it: in small letters, without the usual port. */
const spelled = (host: string): string => host.toLowerCase().replace(/:(80|443)$/, "");

/** The host of an origin; null for one that has none, as `null`. */
const hostOf = (origin: string): string | null =>
  URL.canParse(origin) ? spelled(new URL(origin).host) : null;

/**
 * Whether a page of ours asks: `none` is what a person typed in. Clients other than browsers do not
 * say.
 */
const isOurPage = (req: Request): boolean => {
  const site = req.headers["sec-fetch-site"];
  return site === undefined || site === "same-origin" || site === "none";
};

/** Whether what changes something comes from a page of the very host it goes to. */
const isOurOrigin = ({ headers: { origin, host } }: Request): boolean =>
  origin === undefined || hostOf(origin) === spelled(host ?? "");

/** Whether a page is opened by a link from elsewhere. */
const followsLink = ({ method, headers }: Request): boolean =>
  method === "GET" &&
  headers["sec-fetch-mode"] === "navigate" &&
  headers["sec-fetch-dest"] === "document";

/**
 * Answers only requests that were meant for us. Without the check of `Host` a page of another site
 * could have its name resolve to this machine and read everything (DNS rebinding); without those of
 * `Origin` and `Sec-Fetch-Site` (Fetch Metadata) it could send forms and load files from here. What
 * follows a link from elsewhere is let in.
 */
export const guardOrigin = (hosts: ReadonlySet<string>): RequestHandler => {
  const known = new Set([...hosts].map(spelled));
  return (req, res, next) => {
    if (!known.has(spelled(req.headers.host ?? ""))) {
      res.status(421).type("text/plain").send(httpWords.nubbleDoesNotAnswer);
      return;
    }
    const allowed = isChange(req.method)
      ? isOurPage(req) && isOurOrigin(req)
      : isOurPage(req) || followsLink(req);
    if (!allowed) {
      res.status(403).type("text/plain").send(httpWords.pagesOtherSitesCannot);
      return;
    }
    next();
  };
};

/** Turns away addresses that no page can have, before anything tries to read them. */
export const guardAddress: RequestHandler = (req, res, next) => {
  try {
    const { pathname } = new URL(req.url, "http://localhost");
    if (/%00/.test(pathname) || decodeURIComponent(pathname).includes("\0"))
      throw new URIError("NUL");
    next();
  } catch {
    res.status(400).type("text/plain").send(httpWords.thisAddressCannotBe);
  }
};
