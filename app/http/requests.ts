import type { Request, RequestHandler } from "express";
import { pinoHttp } from "pino-http";
import { logger, requests } from "#server";

interface Asked {
  readonly method: string;
  readonly url: string;
  readonly headers: Readonly<Record<string, string | undefined>>;
  readonly raw: Pick<Request, "ip">;
}

/** Letters of a client's own name that are kept. */
const LONGEST_AGENT = 200;

/** One line a request: who asked what, and how it was answered; nothing of what was sent. */
export const logRequests: RequestHandler = pinoHttp({
  logger,
  serializers: {
    req: ({ method, url, headers, raw }: Asked) => ({
      method,
      // whoever knows the key of an address sees the project
      url: url.replace(/^(\/shown\/[^/]+)\/[^/?.]+/, "$1/…"),
      // behind proxies this is who asked them
      client: raw.ip,
      agent: headers["user-agent"]?.slice(0, LONGEST_AGENT),
    }),
    res: ({ statusCode }: Record<string, unknown>) => ({ statusCode }),
  },
  customLogLevel: (_req, res) => (res.statusCode >= 500 ? "error" : "info"),
  customSuccessMessage: () => "answered",
  customErrorMessage: () => "not answered",
});

const kinds: readonly (readonly [what: string, path: RegExp])[] = [
  ["save", /^\/projects\/[^/]+\/changes$/],
  // for as long as it was open
  ["stream", /\/live$/],
  ["file", /^\/assets\//],
  ["project", /^\/projects\//],
  ["shown", /^\/shown\//],
  ["list", /^\/(_root\.data)?$/],
];

/** What a request asks for, as one of few words. */
const whatOf = (path: string): string => kinds.find(([, at]) => at.test(path))?.[0] ?? "other";

/** Notes how long requests take. */
export const measureRequests: RequestHandler = (req, res, next) => {
  const { method, path } = req;
  const stop = requests.startTimer({ method, what: whatOf(path) });
  res.once("finish", () => stop({ status: res.statusCode }));
  next();
};
