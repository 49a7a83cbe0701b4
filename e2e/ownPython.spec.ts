import { once } from "node:events";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { expect, type Page, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { writeProgram } from "./editor.ts";
import { openRoomServer, roomArguments } from "./roomServer.ts";

test.use({
  launchOptions: { executablePath: process.env.BENT_NAIL_CHROMIUM ?? "/usr/bin/chromium", args: roomArguments },
});

let room: Awaited<ReturnType<typeof openRoomServer>>;
test.beforeAll(async () => {
  room = await openRoomServer(4319);
});
test.afterAll(() => room.close());

const shown = (page: Page) => page.getByLabel("Console of your run");

/** Runs a program on a student's page and waits for its end. */
async function tryIt(page: Page, program: string, typed = ""): Promise<void> {
  await writeProgram(page, "Program to be mended", program);
  await page.getByLabel("Type in, a line for each question").fill(typed);
  await page.getByRole("button", { name: "Try it" }).click();
  await expect(page.getByRole("button", { name: "Try it" })).toBeEnabled();
}

/** Bytes of the interpreter that came over the network for a page, each time that it was wanted. */
async function fetchedBytes(page: Page): Promise<number[]> {
  const watched = await page.context().newCDPSession(page);
  const bytes: number[] = [];
  const packs = new Set<string>();
  await watched.send("Network.enable");
  watched.on("Network.requestWillBeSent", ({ requestId, request }) => {
    if (request.url.endsWith("/python.pack")) packs.add(requestId);
  });
  watched.on("Network.loadingFinished", ({ requestId, encodedDataLength }) => {
    if (packs.has(requestId)) bytes.push(encodedDataLength);
  });
  return bytes;
}

test("a student's own browser runs Python over plain HTTP: fetched once, stopped by hand, offline, and seen by the teacher", async ({
  browser,
}) => {
  const page = await room.student(browser, 0);
  expect(await page.evaluate(() => isSecureContext)).toBe(false);
  const fetched = await fetchedBytes(page);
  await tryIt(page, "tide = int(input('Tide? '))\nprint('Height', tide + 2)\nprint(dek)\n", "4\n");
  await expect(shown(page)).toContainText("Tide? 4");
  await expect(shown(page)).toContainText("Height 6");
  await expect(shown(page)).toContainText("NameError: name 'dek' is not defined");
  await expect(page.getByText("It was stopped by an error. It ran in this browser.")).toBeVisible();
  await noBarriers(page);
  expect(fetched).toHaveLength(1);
  expect(fetched[0]).toBeLessThan(4_700_000);

  // The teacher sees what ran there.
  const teacher = await room.teacher(browser);
  await teacher.goto(`/sheets/${room.data.sheet}/room`);
  await teacher.getByRole("row", { name: /S-01/ }).getByRole("link", { name: "the last" }).click();
  await expect(teacher.getByLabel("Console of S-01")).toContainText("NameError: name 'dek' is not defined");
  await expect(teacher.getByText("(It ran in the student’s browser.)")).toBeVisible();

  // Without an end: the page stays as quick as it was, and one press ends it.
  await writeProgram(page, "Program to be mended", "print('away')\nwhile True:\n    pass\n");
  await page.getByRole("button", { name: "Try it" }).click();
  await page.getByRole("button", { name: "Stop it" }).click();
  await expect(page.getByText("You stopped it. It ran in this browser.")).toBeVisible();
  await expect(shown(page)).toContainText("away");

  // What was tried once is tried again without a connection.
  await page.context().setOffline(true);
  await tryIt(page, "print('offline', 6 * 7)\n");
  await expect(shown(page)).toContainText("offline 42");
  await page.context().setOffline(false);

  // Opened anew, nothing is fetched again.
  await page.reload();
  await tryIt(page, "print('again')\n");
  await expect(shown(page)).toContainText("again");
  expect(fetched.slice(1)).toEqual([0]);
});

test("a hostile program in a browser reaches neither the page, nor the network, nor what is kept", async ({
  browser,
}) => {
  const page = await room.student(browser, 1);
  // Whoever is reached by a program of a student's notes it.
  const asked: string[] = [];
  const listener = createServer((request, response) => {
    asked.push(request.url ?? "");
    response.setHeader("Access-Control-Allow-Origin", "*").end("reached");
  }).listen(0, "127.0.0.1");
  await once(listener, "listening");
  const away = `http://room.test:${(listener.address() as AddressInfo).port}`;
  expect(await (await fetch(away.replace("room.test", "127.0.0.1"))).text()).toBe("reached");
  asked.length = 0;
  const ways = [
    ["fetch", "js.fetch('/s/x')"],
    ["its own fetch", `js.WorkerGlobalScope.prototype.fetch.call(js.globalThis, '${away}')`],
    ["a request that waits", `r = js.XMLHttpRequest.new(); r.open('GET', '${away}', False); r.send()`],
    ["a script", `js.importScripts('${away}/script.js')`],
    ["a socket of the web", `js.WebSocket.new('${away.replace("http", "ws")}'); print('no a socket of the web')`],
    ["an event source", `js.EventSource.new('${away}'); print('no an event source')`],
    ["a database", "js.indexedDB.open('bent-nail')"],
    ["the page", "js.document.title"],
    ["sockets of its own", "import socket; socket.create_connection(('127.0.0.1', 4319))"],
    ["another process", "import subprocess; subprocess.run(['ls'])"],
  ] as const;
  const program = ways
    .map(
      ([name, way]) =>
        `try:\n    import js; ${way}\n    print('REACHED ${name}')\nexcept BaseException as problem:\n    print('no ${name}')\n`,
    )
    .join("");
  await tryIt(page, program);
  for (const [name] of ways.filter(([name]) => !name.includes("fetch")))
    await expect(shown(page)).toContainText(`no ${name}`);
  expect(asked).toEqual([]);
  listener.close();

  await tryIt(page, "while True:\n    print('x' * 1000)\n");
  await expect(page.getByText("It was stopped: it printed too much. It ran in this browser.")).toBeVisible();
  await tryIt(page, "import os\nprint('last words')\nos._exit(3)\n");
  await expect(shown(page)).toContainText("last words");
  await tryIt(page, "import js\njs.postMessage('nonsense')\njs.close()\nprint('closed')\n");
  await tryIt(page, "print('as before')\n");
  await expect(shown(page)).toContainText("as before");
});
