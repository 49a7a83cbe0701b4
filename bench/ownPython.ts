import { createServer } from "node:http";
import { join } from "node:path";
import { chromium } from "@playwright/test";
import { buildSync } from "esbuild";
import express from "express";
import { makeOwnPython } from "../server/ownPython/make.ts";
import { ownPythonAddress, ownPythonFiles, serveOwnPython } from "../server/ownPython/ownPython.ts";
import { productFolder } from "../server/productFolder.ts";
import type { Measure } from "./measure.ts";
import { percentile } from "./yardsticks.ts";

const rounds = 5;
const program = 'tide = int(input("Tide? "))\nprint("Height", tide + 2)\n';

/** A page that loads the package as it comes, in a worker, and prints one line. */
const bareWorker = `importScripts("/bare/pyodide.js");
loadPyodide({ indexURL: "/bare/", stdout: (text) => postMessage(text) }).then((python) => python.runPython("print(4 + 2)"));`;
const barePage = `<!doctype html><body><script>window.go = () => new Promise((done) => {
  const began = performance.now();
  new Worker("/bare-worker.js").onmessage = () => done(performance.now() - began);
});</script></body>`;

/**
 * From nothing to the first result of the browser's own Python, against the bare loading of the same package in the same
 * browser; and the same in a page that is opened again, which asks for nothing.
 */
export async function benchOwnPython(): Promise<Measure[]> {
  const own = await makeOwnPython();
  const client = buildSync({
    stdin: {
      contents: `import { ownPythonAt } from "./app/ownPython/ownPython.ts"; window.own = ownPythonAt(${JSON.stringify(ownPythonFiles())});`,
      resolveDir: productFolder,
    },
    ...{ bundle: true, write: false, format: "iife" },
  }).outputFiles[0]?.text.replaceAll("</", "<\\/");
  const app = express();
  let asked = 0;
  app.use(ownPythonAddress, (_request, _response, next) => {
    asked += 1;
    next();
  });
  app.use(ownPythonAddress, serveOwnPython(own));
  app.use("/bare", express.static(join(productFolder, "node_modules/pyodide")));
  app.get("/bare-worker.js", (_request, response) => void response.type("js").send(bareWorker));
  app.get("/bare.html", (_request, response) => void response.type("html").send(barePage));
  app.get(
    "/own.html",
    (_request, response) => void response.type("html").send(`<!doctype html><body><script>${client}</script></body>`),
  );
  const server = createServer(app).listen(0, "127.0.0.1");
  await new Promise((resolve) => server.once("listening", resolve));
  const address = server.address();
  const base = `http://127.0.0.1:${typeof address === "object" && address ? address.port : 0}`;
  const browser = await chromium.launch({
    executablePath: process.env.BENT_NAIL_CHROMIUM ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu"],
  });
  const order = {
    ...{ mode: "run", main: "tide.py", files: [["tide.py", program]], input: "4\n" },
    ...{ outputLimit: 1 << 20, stepLimit: 20_000 },
  };
  const timeOf = (page: Awaited<ReturnType<typeof browser.newPage>>): Promise<number> =>
    page.evaluate(async (given) => {
      const began = performance.now();
      const { own } = window as unknown as { own: { run: (order: unknown, seconds: number) => Promise<unknown> } };
      await own.run(given, 10);
      return performance.now() - began;
    }, order);
  const [bare, first, opened, ready]: number[][] = [[], [], [], []];
  let again = 0;
  for (let round = 0; round < rounds; round++) {
    const plain = await browser.newPage();
    await plain.goto(`${base}/bare.html`);
    bare?.push(await plain.evaluate(() => (window as unknown as { go: () => Promise<number> }).go()));
    await plain.context().close();
    const page = await browser.newPage();
    await page.goto(`${base}/own.html`);
    first?.push(await timeOf(page));
    await page.waitForTimeout(4000);
    ready?.push(await timeOf(page));
    asked = 0;
    await page.goto(`${base}/own.html`);
    opened?.push(await timeOf(page));
    again += asked;
    await page.context().close();
  }
  await browser.close();
  server.close();
  const middle = (times: number[] = []) => percentile(times, 0.5);
  console.log(
    `Python in the browser, first result: bare ${Math.round(middle(bare))} ms, ours ${Math.round(middle(first))} ms, opened again ${Math.round(middle(opened))} ms, once it is ready ${Math.round(middle(ready))} ms`,
  );
  return [
    {
      ...{ work: "browser's Python, opening to first result", against: "bare loading of the same package" },
      ...{ value: middle(first) / middle(bare), unit: "x", atMost: 1.3 },
    },
    {
      ...{ work: "browser's Python, requests when opened again", against: "none" },
      ...{ value: again, unit: "rows", atMost: 0 },
    },
  ];
}
