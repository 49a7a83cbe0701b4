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

test("a student goes through the own program in the browser: watches, guesses, asks what if, and tells it", async ({
  browser,
}) => {
  const page = await room.student(browser, 2);
  const asked: string[] = [];
  page.on("request", (request) => request.url().endsWith("/record") && asked.push(request.url()));
  await writeProgram(
    page,
    "Program to be mended",
    "load = 4\nfor car in range(2):\n    load = load + 3\nprint(load)\n",
  );
  await page.getByRole("button", { name: "Go through it line by line" }).click();
  await expect(page.getByText("Line 1 is next.")).toBeVisible();
  await noBarriers(page);
  const runLine = page.getByRole("button", { name: "Run this line" });
  await page.getByLabel("Your guess for name 1").fill("4");
  await runLine.click();
  await expect(page.getByText("Right: load is 4. Line 2 is next.")).toBeVisible();
  await runLine.click();
  await page.getByLabel("Your guess for name 1").fill("8");
  await page.getByLabel("Your guess for name 1").press("Enter");
  await expect(page.getByText("Not so: load is 7. Line 2 is next.")).toBeVisible();
  await page.getByText("1 of 2 guesses right").click();
  await expect(page.getByRole("row", { name: "3 load 8 7 not so" })).toBeVisible();

  await page.getByText("What if …").click();
  await page.getByLabel("were", { exact: true }).fill("20");
  await page.getByRole("button", { name: "Go on from there" }).click();
  await expect(page.getByText("What if load were 20 before line 2")).toBeVisible();
  await page.getByRole("button", { name: "To the end" }).click();
  await expect(page.getByLabel("Console so far")).toContainText("23");
  await page.getByRole("button", { name: "Back to the real run" }).click();
  await page.getByRole("button", { name: "To the end" }).click();
  await expect(page.getByLabel("Console so far")).toContainText("10");

  await page.getByText("Tell it to somebody").first().click();
  await page.getByRole("textbox", { name: "Tell it to somebody" }).fill("Each car should add 2, and it adds 3.");
  await expect(page.getByText("All answers are saved. The last one at")).toBeVisible();
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Tell it to somebody" })).toHaveValue(/adds 3/);
  await expect(page.getByText("1 of 2 guesses right")).toBeVisible();
  // All of it was recorded in the browser.
  expect(asked).toEqual([]);
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
