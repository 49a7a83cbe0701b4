import type { AppLoadContext } from "react-router";

/** What a route's loader or action is given, for tests that call it as the router would. `address`: the network address that asks. */
export type Asked<Params> = { params: Params; request: Request; context: AppLoadContext; pattern: string; url: URL };

type Ask = { form?: Record<string, string>; json?: unknown; cookie?: string; address?: string; path?: string };

/** A request for a route with its parameters: a form or JSON is posted, without either it is read. */
export function asked<Params>(params: Params, { form, json, cookie, address = "10.0.0.1", path = "/" }: Ask = {}): Asked<Params> {
  const url = new URL(path, "http://127.0.0.1:4200");
  const headers = new Headers(cookie ? { Cookie: cookie } : {});
  if (json !== undefined) headers.set("Content-Type", "application/json");
  const body = form ? new URLSearchParams(form) : json === undefined ? undefined : JSON.stringify(json);
  const request = new Request(url, { headers, ...(body === undefined ? {} : { method: "POST", body }) });
  return { params, request, context: { nonce: "", address }, pattern: "", url };
}
