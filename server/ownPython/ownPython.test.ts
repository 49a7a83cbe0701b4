import { createHash } from "node:crypto";
import type { Server } from "node:http";
import type { AddressInfo } from "node:net";
import express from "express";
import { afterAll, beforeAll, expect, test } from "vitest";
import { readPack } from "../../core/formats/pack.ts";
import { makeOwnPython } from "./make.ts";
import { type OwnPython, ownPython, ownPythonAddress, ownPythonFiles, serveOwnPython } from "./ownPython.ts";

let own: OwnPython;
let server: Server;
let address: string;

beforeAll(async () => {
  own = await makeOwnPython();
  const app = express();
  app.use(ownPythonAddress, serveOwnPython(own));
  server = app.listen(0, "127.0.0.1");
  await new Promise((resolve) => server.once("listening", resolve));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => new Promise<void>((resolve) => server.close(() => resolve())));

test("what is made once is found again, under the same name", async () => {
  expect(ownPython()).toEqual(own);
  expect(await makeOwnPython()).toEqual(own);
  expect(ownPythonFiles()).toBe(`/s/own-python/${own.key}`);
});

test("the pack is kept by browsers for good and holds an interpreter, its library and our runner", async () => {
  const response = await fetch(`${address}${ownPythonFiles()}/python.pack`);
  expect(response.headers.get("cache-control")).toBe("public, max-age=31536000, immutable");
  const pack = await response.arrayBuffer();
  expect([...readPack(pack).keys()]).toEqual([
    ...["decoder.wasm", "python.wasm.br", "python.js.br", "library.zip.br", "runner.json.br"],
  ]);
  expect(pack.byteLength).toBeLessThan(4_700_000);
});

test("the frame's page may run its one script and nothing else, wherever it is opened", async () => {
  const response = await fetch(`${address}${ownPythonFiles()}/frame.html`);
  const page = await response.text();
  const script = /<script>([\s\S]*)<\/script>/.exec(page)?.[1] ?? "";
  const hash = createHash("sha256").update(script).digest("base64");
  const policy = response.headers.get("content-security-policy") ?? "";
  expect(policy.split("; ")).toEqual([
    "default-src 'none'",
    `script-src 'sha256-${hash}' blob: 'wasm-unsafe-eval'`,
    "worker-src blob:",
    "frame-ancestors 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "sandbox allow-scripts",
  ]);
});

test.each(["", "/none/python.pack", `/../ownPython.ts`, "/current.json"])("nothing else is there: %s", async (path) => {
  expect((await fetch(`${address}${ownPythonAddress}${path}`)).status).toBe(404);
});
