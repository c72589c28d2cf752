import "../workers/zod";
import {
  isRouteErrorResponse,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteError,
} from "react-router";
import { use } from "react";
import type { ReactNode } from "react";
import { Button } from "react-bootstrap";
import { BenchMemoryProvider } from "./bench/state/memory";
import { LinkButton } from "./ui/LinkButton";
import { NonceContext } from "./ui/nonce";
import { Plain } from "./ui/Plain";
import { FocusKeeping } from "./ui/focus/FocusKeeping";
import { RouteFocus } from "./ui/focus/RouteFocus";
import "../generated/fonts.css";
import "./theme/theme.scss";
import regular from "@fontsource/hanken-grotesk/files/hanken-grotesk-latin-400-normal.woff2?url";
import semibold from "@fontsource/hanken-grotesk/files/hanken-grotesk-latin-600-normal.woff2?url";
import { appWords } from "./words";

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
        <meta name="color-scheme" content="light" />
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
      <RouteFocus />
      <FocusKeeping />
      <Outlet />
    </BenchMemoryProvider>
  );
}

const titles: Readonly<Record<number, string>> = {
  404: appWords.pageNotFound,
  503: appWords.databaseNotResponding,
};

/** What went wrong, in words for the person who sees it. */
const explain = (error: unknown): { title: string; text: string } => {
  if (isRouteErrorResponse(error)) {
    const text =
      typeof error.data === "string" && error.data ? error.data : appWords.pageCouldNotBe;
    return {
      title: titles[error.status] ?? appWords.somethingWentWrong,
      text,
    };
  }
  return {
    title: appWords.somethingWentWrongNubble,
    text: appWords.nubbleHitErrorSaved,
  };
};

export function ErrorBoundary() {
  const { title, text } = explain(useRouteError());
  return (
    <Plain title={title}>
      <p>{text}</p>
      <p className="actions">
        <LinkButton to="/">{appWords.allProjects}</LinkButton>
        <Button variant="outline-primary" onClick={() => window.location.reload()}>
          {appWords.tryAgain}
        </Button>
      </p>
    </Plain>
  );
}
