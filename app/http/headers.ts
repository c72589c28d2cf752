import { randomBytes } from "node:crypto";
import type { RequestHandler } from "express";
import helmet from "helmet";
import onHeaders from "on-headers";

/**
 * Gives every answer a number of its own by which the page's own scripts are known (CSP Level 3,
 * §2.3.1).
 */
const giveNonce: RequestHandler = (_req, res, next) => {
  res.locals.nonce = randomBytes(16).toString("base64");
  next();
};

const nonceOf = (_req: unknown, res: unknown): string =>
  `'nonce-${(res as { locals: { nonce: string } }).locals.nonce}'`;

/**
 * What a page of ours may load and run: its own files. Painted layers have style attributes, and
 * outlines are computed by WebAssembly; nothing else is allowed to be inline.
 */
const policy = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'", "'wasm-unsafe-eval'", nonceOf],
      styleSrc: ["'self'", nonceOf],
      styleSrcAttr: ["'unsafe-inline'"],
      imgSrc: ["'self'", "data:", "blob:"],
      fontSrc: ["'self'", "data:"],
      connectSrc: ["'self'", "data:", "blob:"],
      workerSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  // only a server behind TLS may promise it: see docs/security.md
  strictTransportSecurity: false,
  referrerPolicy: { policy: "same-origin" },
  xFrameOptions: { action: "deny" },
});

const unused = [
  "camera",
  "microphone",
  "geolocation",
  "payment",
  "usb",
  "serial",
  "midi",
  "hid",
  "display-capture",
];

const permissions: RequestHandler = (_req, res, next) => {
  res.setHeader("Permissions-Policy", unused.map((feature) => `${feature}=()`).join(", "));
  next();
};

/** Pages and data are asked for anew each time, unless an answer says otherwise itself. */
const fresh: RequestHandler = (_req, res, next) => {
  onHeaders(res, () => {
    if (!res.hasHeader("Cache-Control")) res.setHeader("Cache-Control", "no-store");
  });
  next();
};

/** The headers of every answer. */
export const securityHeaders: RequestHandler[] = [
  giveNonce,
  policy as RequestHandler,
  permissions,
  fresh,
];
