import type { Request, RequestHandler } from "express";
import { rateLimit } from "express-rate-limit";
import { LARGEST_FILE } from "#core/formats/project";
import { httpWords } from "./words";

/** The largest bodies that are read at all, bytes; each action has its own, smaller one. */
const LARGEST_BODY = 9_000_000;
/** What stands around a project file in what is sent, bytes. */
const ENVELOPE = 10_000;

const largestOf = (path: string): number =>
  /^\/import(\.data)?$/.test(path) ? LARGEST_FILE + ENVELOPE : LARGEST_BODY;

const many = (count: number, seconds: number, applies: (req: Request) => boolean): RequestHandler =>
  rateLimit({
    windowMs: seconds * 1000,
    limit: count,
    standardHeaders: "draft-8",
    legacyHeaders: false,
    skip: (req) => !applies(req),
    // the same form as other answers to a save, so that the window waits and tries again
    handler: (_req, res) => {
      res.status(429).json({ kind: "away", reason: httpWords.tooManyRequestsOnce });
    },
  });

const isPost = (req: Request): boolean => req.method !== "GET" && req.method !== "HEAD";

/**
 * How much one client may ask for. People at work stay far below; what runs wild is slowed down.
 */
export const rateLimits: RequestHandler[] = [
  many(20_000, 10, () => true),
  many(6000, 10, isPost),
  many(600, 60, (req) => isPost(req) && req.path.endsWith("/assets")),
  many(120, 60, (req) => isPost(req) && !/\/(assets|changes)$/.test(req.path)),
];

/** Turns away bodies that say they are too large before they are sent. */
export const bodyLimit: RequestHandler = (req, res, next) => {
  const largest = largestOf(req.path);
  if (Number(req.headers["content-length"] ?? 0) <= largest) {
    next();
    return;
  }
  res.setHeader(httpWords.connection, "close");
  res
    .status(413)
    .json({ kind: "refused", reason: httpWords.requestCanBeUp(Math.floor(largest / 1e6)) });
};
