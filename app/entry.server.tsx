import { PassThrough } from "node:stream";
import { createReadableStreamFromReadable } from "@react-router/node";
import { isbot } from "isbot";
import { renderToPipeableStream } from "react-dom/server";
import type { AppLoadContext, EntryContext } from "react-router";
import { ServerRouter } from "react-router";
import type { Who } from "../server/people/teacherStore.ts";
import type { Services } from "../server/services.ts";
import { NonceProvider } from "./nonce.ts";

export const streamTimeout = 5_000;

declare module "react-router" {
  interface AppLoadContext {
    nonce: string;
    /** The network address that a request came from. */
    address: string;
    /** Where students reach the server, e.g. "http://192.168.7.20:4200". */
    studentOrigin: string;
    /** What the server holds. */
    services: Services;
    /** Who asks, on the pages of a teacher. */
    who: Who;
  }
}

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  entry: EntryContext,
  context: AppLoadContext,
): Promise<Response> {
  const { nonce } = context;
  return new Promise((resolve, reject) => {
    let rendered = false;
    let code = status;
    const ready = isbot(request.headers.get("user-agent")) ? "onAllReady" : "onShellReady";
    const { pipe, abort } = renderToPipeableStream(
      <NonceProvider value={nonce}>
        <ServerRouter context={entry} url={request.url} nonce={nonce} />
      </NonceProvider>,
      {
        nonce,
        [ready]() {
          rendered = true;
          const body = new PassThrough();
          headers.set("Content-Type", "text/html; charset=utf-8");
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status: code }));
          pipe(body);
        },
        onShellError: reject,
        onError(problem: unknown) {
          code = 500;
          if (rendered) console.error(problem);
        },
      },
    );
    setTimeout(abort, streamTimeout + 1000);
  });
}
