import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { expect, test } from "vitest";
import { demoLoaded } from "./wait-for-demo.mjs";

/** A server whose page says each of these in turn, and the last of them from then on. */
async function serving(pages: readonly string[], use: (address: string, asked: () => number) => Promise<void>) {
  let asked = 0;
  const server = createServer((_request, response) => {
    response.end(`<p>${pages[Math.min(asked++, pages.length - 1)]}</p>`);
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const { port } = server.address() as AddressInfo;
  try {
    await use(`http://127.0.0.1:${port}/`, () => asked);
  } finally {
    server.close();
    server.closeAllConnections();
  }
}
const loaded = (done: number) => `The demo is being loaded: <!-- -->${done}<!-- --> of <!-- -->66<!-- --> parts.`;

test("a demo that goes on is waited for, however long it takes in all", async () => {
  const pages = [...Array.from({ length: 30 }, (_, done) => loaded(done)), "Tray"];
  await serving(pages, async (address, asked) => {
    await demoLoaded(address, 2_000, 1);
    expect(asked()).toBe(31);
  });
});

test("one that stands still, or broke off, is an error in words", async () => {
  await serving([loaded(3)], (address) => expect(demoLoaded(address, 20, 5)).rejects.toThrow("it does not go on"));
  await serving([loaded(3), "Loading broke off: no room"], (address) =>
    expect(demoLoaded(address, 2_000, 1)).rejects.toThrow("broke off"),
  );
});
