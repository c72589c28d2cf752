import { PassThrough } from "node:stream";
import { createReadableStreamFromReadable } from "@react-router/node";
import { renderToPipeableStream } from "react-dom/server";
import { isRouteErrorResponse, ServerRouter } from "react-router";
import type { AppLoadContext, EntryContext, HandleErrorFunction } from "react-router";
import { logger } from "#server";
import { NonceContext } from "./ui/nonce";

/** How long loaders may take that a page does not wait for, ms. */
export const streamTimeout = 5000;

/**
 * Notes what went wrong here in the log, as all else: by itself the router writes errors out whole.
 * What was refused, or is no longer waited for, is nobody's fault here.
 */
export const handleError: HandleErrorFunction = (error, { request }) => {
  const isRefused = isRouteErrorResponse(error) && error.status < 500;
  if (!isRefused && !request.signal.aborted)
    logger.error({ error }, "a page could not be answered");
};

/** Renders a page; its scripts carry the nonce that the answer's Content-Security-Policy names. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  { nonce }: AppLoadContext,
): Promise<Response> | Response {
  if (request.method === "HEAD") return new Response(null, { status, headers });
  return new Promise((resolve, reject) => {
    let code = status;
    let started = false;
    const page = (
      <NonceContext value={nonce}>
        <ServerRouter context={routerContext} url={request.url} nonce={nonce} />
      </NonceContext>
    );
    const { pipe, abort } = renderToPipeableStream(page, {
      nonce,
      onShellReady: () => {
        started = true;
        const body = new PassThrough();
        body.on("close", () => clearTimeout(patience));
        headers.set("Content-Type", "text/html; charset=utf-8");
        pipe(body);
        resolve(new Response(createReadableStreamFromReadable(body), { headers, status: code }));
      },
      onShellError: reject,
      onError: (error: unknown) => {
        code = 500;
        if (started) logger.error({ error }, "a page could not be made");
      },
    });
    const patience = setTimeout(() => abort(), streamTimeout + 1000);
  });
}
