import "../workers/zod";
import {
  isRouteErrorResponse,
  Link,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteError,
} from "react-router";
import { use } from "react";
import type { ReactNode } from "react";
import { BenchMemoryProvider } from "./bench/state/memory";
import { NonceContext } from "./ui/nonce";
import "../generated/fonts.css";
import "./theme/theme.scss";
import regular from "@fontsource/hanken-grotesk/files/hanken-grotesk-latin-400-normal.woff2?url";
import semibold from "@fontsource/hanken-grotesk/files/hanken-grotesk-latin-600-normal.woff2?url";

export const links = () => [
  { rel: "icon", href: "/icon.svg", type: "image/svg+xml" },
  ...[regular, semibold].map((href) => ({
    rel: "preload",
    href,
    as: "font",
    type: "font/woff2",
    crossOrigin: "anonymous" as const,
  })),
];

export const Layout = ({ children }: { children: ReactNode }) => {
  const nonce = use(NonceContext);
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
};

export default function Root() {
  return (
    <BenchMemoryProvider>
      <Outlet />
    </BenchMemoryProvider>
  );
}

const titles: Readonly<Record<number, string>> = {
  404: "There is nothing here",
  503: "The database cannot be reached",
};

/** What went wrong, in words for the person who sees it. */
const explain = (error: unknown): { title: string; text: string } => {
  if (isRouteErrorResponse(error)) {
    const text =
      typeof error.data === "string" && error.data ? error.data : "The page could not be shown.";
    return {
      title: titles[error.status] ?? "That did not work",
      text,
    };
  }
  return {
    title: "Something broke",
    text: "Nubble ran into a fault of its own. What was saved is safe; what was not yet saved is kept in this browser and will be saved when the page is opened again.",
  };
};

export function ErrorBoundary() {
  const { title, text } = explain(useRouteError());
  return (
    <main className="container py-5" style={{ maxWidth: 620 }}>
      <p className="mb-4">
        <Link to="/" className="brand fw-bold fs-5">
          Nubble
        </Link>
      </p>
      <h1 className="h3">{title}</h1>
      <p className="lead fs-6">{text}</p>
      <p className="d-flex gap-2">
        <Link to="/" className="btn btn-primary">
          All projects
        </Link>
        <button
          type="button"
          className="btn btn-outline-primary"
          onClick={() => window.location.reload()}
        >
          Try again
        </button>
      </p>
    </main>
  );
}
