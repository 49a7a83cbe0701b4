import type { ReactNode } from "react";
import { isRouteErrorResponse, Links, Meta, Outlet, Scripts, ScrollRestoration, useMatches } from "react-router";
import { findWording } from "../core/wording/wordings.ts";
import type { Route } from "./+types/root.ts";
import "./app.css";
import { BentNail, WordingContext } from "./components/marks.tsx";
import { useNonce } from "./nonce.ts";

export const links: Route.LinksFunction = () => [{ rel: "icon", href: "/nail.svg", type: "image/svg+xml" }];

/** The frame of every page; it knows nothing about teachers or students. */
export function Layout({ children }: { children: ReactNode }) {
  const nonce = useNonce();
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <script src="/bench.js" />
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
}

/** The wording that a page's loader names: that of the course that it belongs to. */
function wordingOf(loaded: unknown): string | null {
  return typeof loaded === "object" && loaded !== null && "wording" in loaded && typeof loaded.wording === "string"
    ? loaded.wording
    : null;
}

export default function App() {
  const named = useMatches().map((match) => wordingOf(match.loaderData));
  return (
    <WordingContext value={findWording(named.findLast((each) => each !== null))}>
      <Outlet />
    </WordingContext>
  );
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const known = isRouteErrorResponse(error);
  const words = known
    ? typeof error.data === "string" && error.data
      ? error.data
      : error.statusText
    : "Something went wrong on our side. What was saved is safe.";
  return (
    <main className="mx-auto max-w-xl p-8">
      <p className="mb-4 flex items-center gap-2 font-bold">
        <BentNail /> Bent Nail
      </p>
      <h1>{known && error.status === 404 ? "There is nothing at this address" : "This did not work"}</h1>
      <p className="my-3">{words}</p>
      <a className="link" href="/">
        Go to the first page
      </a>
    </main>
  );
}
