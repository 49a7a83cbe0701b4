import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { type AppLoadContext, createMemoryRouter, type data, RouterProvider } from "react-router";
import { firstTeacher } from "../server/people/teacherStore.ts";
import type { Services } from "../server/services.ts";
import type { Reply } from "./actions.ts";
import Root from "./root.tsx";

let held: Services | null = null;

/** Sets what the routes that are called next get as the server's services. */
export function provideServices(services: Services): void {
  held = services;
}

function contextFor(address: string): AppLoadContext {
  if (!held) throw new Error("provideServices was not called");
  const studentOrigin = "http://192.168.7.20:4200";
  return { nonce: "", address, studentOrigin, services: held, who: { role: "teacher", teacher: firstTeacher } };
}

/**
 * What a route's loader or action is given, for tests that call it as the router would. `address`: the network address
 * that asks.
 */
export type Asked<Params> = { params: Params; request: Request; context: AppLoadContext; pattern: string; url: URL };

type Ask = {
  form?: Record<string, string | readonly string[]>;
  json?: unknown;
  cookie?: string;
  address?: string;
  path?: string;
};

/** A request for a route with its parameters: a form or JSON is posted, without either it is read. */
export function asked<Params>(
  params: Params,
  { form, json, cookie, address = "10.0.0.1", path = "/" }: Ask = {},
): Asked<Params> {
  const url = new URL(path, "http://127.0.0.1:4200");
  const headers = new Headers(cookie ? { Cookie: cookie } : {});
  if (json !== undefined) headers.set("Content-Type", "application/json");
  const pairs = Object.entries(form ?? {}).flatMap(([name, given]) =>
    (typeof given === "string" ? [given] : given).map((value): [string, string] => [name, value]),
  );
  const body = form ? new URLSearchParams(pairs) : json === undefined ? undefined : JSON.stringify(json);
  const request = new Request(url, { headers, ...(body === undefined ? {} : { method: "POST", body }) });
  return { params, request, context: contextFor(address), pattern: "", url };
}

/** What an action said, with its status: words, or the address that it leads to and the headers that go with it. */
export type Answered = Partial<Reply> & { status: number; location?: string; cookie?: string };

/** The answer of an action that goes through app/actions.ts. */
export async function answered(given: Promise<Response | ReturnType<typeof data<Reply>>>): Promise<Answered> {
  const answer = await given;
  if (!(answer instanceof Response)) return { ...answer.data, status: answer.init?.status ?? 200 };
  return {
    status: answer.status,
    location: answer.headers.get("location") ?? "",
    cookie: (answer.headers.get("set-cookie") ?? "").split(";")[0] ?? "",
  };
}

/**
 * What a page shows within the product's frame, as markup: its component with what its loader gave, and where it looks
 * at the address, that address.
 */
export function markupOf(component: unknown, loaderData: unknown, path = "/"): string {
  const page = {
    path: new URL(path, "http://127.0.0.1").pathname,
    id: "page",
    element: createElement(component as never, { loaderData } as never),
    loader: () => null,
  };
  const router = createMemoryRouter([{ id: "root", Component: Root, children: [page] }], {
    initialEntries: [path],
    hydrationData: { loaderData: { page: loaderData } },
  });
  return renderToStaticMarkup(createElement(RouterProvider, { router }));
}

/** The same as text, with one blank where markup or blanks are. */
export function textOfPage(component: unknown, loaderData: unknown, path = "/"): string {
  return markupOf(component, loaderData, path)
    .replace(/<[^>]+>/g, " ")
    .replace(/\s+/g, " ");
}
