import type { RequestHandler } from "express";

/** Names under which a server on loopback is reached: RFC 6761 §6.3 keeps `localhost` for it. */
const LOOPBACK = ["localhost", "127.0.0.1", "[::1]"];

/** Which hosts are answered: loopback with our port, and what the start command allows (`name` or `name:port`). */
export const allowedHosts = (port: number, more: readonly string[]): ReadonlySet<string> =>
  new Set([...LOOPBACK.map((name) => `${name}:${port}`), ...more.map((host) => host.toLowerCase())]);

const isChange = (method: string): boolean => !["GET", "HEAD", "OPTIONS"].includes(method);

const hostOf = (origin: string): string | null => {
  try {
    const { host, protocol, port } = new URL(origin);
    const usual = protocol === "https:" ? "443" : "80";
    return port ? host : `${host}:${usual}`;
  } catch {
    return null;
  }
};

/** A host as a browser leaves out its usual port. */
const spellings = (hosts: ReadonlySet<string>): ReadonlySet<string> =>
  new Set([...hosts].flatMap((host) => [host, host.replace(/:(80|443)$/, "")]));

/**
 * Answers only requests that were meant for us. Without the check of `Host` a page of another site could have its name
 * resolve to this machine and read everything (DNS rebinding); without those of `Origin` and `Sec-Fetch-Site` (Fetch
 * Metadata) it could send forms and load files from here. What follows a link from elsewhere is let in.
 */
export const guardOrigin = (hosts: ReadonlySet<string>): RequestHandler => {
  const known = spellings(hosts);
  return (req, res, next) => {
    const host = req.headers.host?.toLowerCase() ?? "";
    if (!known.has(host)) {
      res.status(421).type("text/plain").send("Nubble is not reached under this name. Start it with --allow-host to let it be.");
      return;
    }
    const { origin } = req.headers;
    const site = req.headers["sec-fetch-site"];
    const sameSite = site === undefined || site === "same-origin" || site === "none";
    const sameOrigin = origin === undefined || (known.has(hostOf(origin) ?? "") && hostOf(origin)?.replace(/:(80|443)$/, "") === host.replace(/:(80|443)$/, ""));
    const followsLink = req.method === "GET" && req.headers["sec-fetch-mode"] === "navigate" && req.headers["sec-fetch-dest"] === "document";
    const allowed = isChange(req.method) ? sameSite && sameOrigin : sameSite || followsLink;
    if (!allowed) {
      res.status(403).type("text/plain").send("Pages of other sites cannot use Nubble.");
      return;
    }
    next();
  };
};

/** Turns away addresses that no page can have, before anything tries to read them. */
export const guardAddress: RequestHandler = (req, res, next) => {
  try {
    const { pathname } = new URL(req.url, "http://localhost");
    if (/%00/.test(pathname) || decodeURIComponent(pathname).includes("\0")) throw new URIError("NUL");
    next();
  } catch {
    res.status(400).type("text/plain").send("This address cannot be read.");
  }
};
