import type { Server } from "node:http";
import { request } from "node:http";
import express from "express";
import { afterAll, beforeAll, expect, test } from "vitest";
import {
  isLoopback,
  refuseFloods,
  refuseForgery,
  refuseManyHandIns,
  refuseNonsense,
  setSafeHeaders,
  takeTheRest,
} from "./safety.ts";

let server: Server;
let port = 0;
beforeAll(async () => {
  const app = express();
  app.use(setSafeHeaders, refuseNonsense, refuseForgery("127.0.0.1"), refuseFloods, refuseManyHandIns(3), takeTheRest);
  // As pages do: it begins to read, and answers before it has seen the end.
  app.post("/half", (request, response) => {
    request.once("data", () => {
      request.pause();
      response.send("enough");
    });
  });
  app.all("*path", (_request, response) => void response.send("in"));
  server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, "127.0.0.1", () => resolve(listening));
  });
  const address = server.address();
  port = typeof address === "object" && address ? address.port : 0;
});
afterAll(() => server.close());

/** Asks with headers exactly as given, which a browser's fetch would not send. */
function ask(
  method: string,
  headers: Record<string, string>,
  body = "",
  path = "/",
): Promise<{ status: number; headers: Record<string, unknown> }> {
  return new Promise((resolve, reject) => {
    const asked = request(
      { host: "127.0.0.1", port, path, method, headers: { Host: `127.0.0.1:${port}`, ...headers } },
      (response) => {
        response.resume();
        resolve({ status: response.statusCode ?? 0, headers: response.headers });
      },
    );
    asked.on("error", reject);
    asked.end(body);
  });
}

test("every answer carries a policy with a number used once", async () => {
  const [one, other] = [await ask("GET", {}), await ask("GET", {})];
  const policy = String(one.headers["content-security-policy"]);
  expect(policy).toMatch(/script-src 'self' 'nonce-[A-Za-z0-9+/=]{20,}'/);
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).not.toBe(String(other.headers["content-security-policy"]));
  expect(one.headers["x-content-type-options"]).toBe("nosniff");
});

test.each([
  ["from this server's own page", { Origin: "own", "Content-Length": "0" }, 200],
  ["from a program without an origin", { "Content-Length": "0" }, 200],
  ["from another site", { Origin: "http://elsewhere.test", "Content-Length": "0" }, 403],
  ["from a page without an origin of its own", { Origin: "null", "Content-Length": "0" }, 403],
  ["said by the browser to come from another site", { "Sec-Fetch-Site": "cross-site", "Content-Length": "0" }, 403],
  ["with an origin that is none", { Origin: "not a site", "Content-Length": "0" }, 400],
  ["with an origin that is cut off", { Origin: "http://", "Content-Length": "0" }, 400],
  ["under a foreign host name", { Host: "elsewhere.test", "Content-Length": "0" }, 403],
  ["larger than is ever needed", { "Content-Length": String(50 * 1024 * 1024) }, 413],
] as Array<[string, Record<string, string>, number]>)("a change %s", async (_, headers, status) => {
  const own = headers.Origin === "own" ? { ...headers, Origin: `http://127.0.0.1:${port}` } : headers;
  // A body that is announced and refused is cut off: the answer comes, or the connection ends.
  expect([status, ...(status === 413 ? ["cut off"] : [])]).toContain(
    (await ask("POST", own).catch(() => ({ status: "cut off" }))).status,
  );
});

test.each(["/%", "/%zz", "/s/%00", "/s/a%00b", "/?q=%00", "/%c3%28", "/s/%E0%A4"])(
  "the address %s is refused with 400",
  async (path) => {
    expect((await ask("GET", {}, "", path)).status).toBe(400);
  },
);

test.each(["TRACE", "PUT", "DELETE", "PROPFIND"])("%s is refused with 405", async (method) => {
  expect((await ask(method, {})).status).toBe(405);
});

test("after a body that was not read to its end the same connection serves the next request", async () => {
  const { Agent } = await import("node:http");
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const send = (path: string, body: string) =>
    new Promise<string>((resolve, reject) => {
      const asked = request(
        { host: "127.0.0.1", port, path, method: "POST", agent, headers: { "Content-Length": String(body.length) } },
        (response) => {
          let said = "";
          response.on("data", (part) => {
            said += String(part);
          });
          response.on("end", () => resolve(said));
        },
      );
      asked.on("error", reject);
      asked.end(body);
    });
  for (let times = 0; times < 3; times += 1)
    expect([await send("/half", "x".repeat(3_000_000)), await send("/other", "y")]).toEqual(["enough", "in"]);
  agent.destroy();
});

test("more hand-ins from one address than a class makes are refused before they are read; other requests are not counted", async () => {
  const handIn = () =>
    ask("POST", { "Content-Length": "1" }, "x", "/api/hand-in/K7QM-2RWD").then((answer) => answer.status);
  expect([await handIn(), await handIn(), await handIn(), await handIn()]).toEqual([200, 200, 200, 429]);
  expect((await ask("POST", { "Content-Length": "1" }, "x", "/s/K7QM-2RWD/save")).status).toBe(200);
});

test("a target that names a whole address is refused", async () => {
  expect((await ask("GET", {}, "", "http://elsewhere.test/cases")).status).toBe(400);
  expect((await ask("GET", {}, "", "/s/K7QM-2RWD?name=50%25&text=gr%C3%BC%C3%9F")).status).toBe(200);
});

test("a body of a length that is not said is refused", async () => {
  const body = new ReadableStream({
    start: (controller) => {
      controller.enqueue(new TextEncoder().encode("x"));
      controller.close();
    },
  });
  const response = await fetch(`http://127.0.0.1:${port}/`, { method: "POST", body, duplex: "half" } as RequestInit);
  expect(response.status).toBe(411);
});

test("reading under a foreign host name is refused too", async () => {
  expect((await ask("GET", { Host: "elsewhere.test" })).status).toBe(403);
  expect((await ask("GET", { Host: "localhost:1" })).status).toBe(200);
});

test("what only this machine can reach", () => {
  expect(["127.0.0.1", "localhost", "::1", "0.0.0.0", "192.168.1.4"].map(isLoopback)).toEqual([
    true,
    true,
    true,
    false,
    false,
  ]);
});
