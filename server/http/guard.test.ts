import { type ChildProcess, spawn } from "node:child_process";
import { mkdtemp, rm } from "node:fs/promises";
import { networkInterfaces, tmpdir } from "node:os";
import { join } from "node:path";
import type { RouteConfigEntry } from "@react-router/dev/routes";
import { afterAll, beforeAll, expect, test } from "vitest";
import routes from "../../app/routes.ts";
import { productFolder } from "../productFolder.ts";
import { isOpenPath } from "./guard.ts";
import { teacherPassword } from "./password.ts";

let folder = "";
let server: ChildProcess;
const port = 4388;
/** An address of this machine other than its own loopback one, if it has one. */
const address =
  Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .find((each) => !each.internal && each.family === "IPv4")?.address ?? "127.0.0.1";
const base = `http://${address}:${port}`;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  server = spawn(join(productFolder, "bin/bent-nail"), ["serve", "--host", "0.0.0.0", "--port", String(port)], {
    env: { ...process.env, BENT_NAIL_DATA: folder, BENT_NAIL_PASSWORD: "the tide is high", BENT_NAIL_LOG: "silent" },
  });
  await new Promise<void>((resolve, reject) => {
    server.stdout?.on("data", (part) => String(part).includes("Bent Nail is at") && resolve());
    server.once("exit", () => reject(new Error("the server ended")));
  });
});
afterAll(async () => {
  server.kill("SIGKILL");
  await rm(folder, { recursive: true, force: true });
});

/** Every address of the route table with made-up keys in it, and the ids of its routes. */
function addresses(entries: readonly RouteConfigEntry[], above = ""): Array<{ path: string; id: string }> {
  return entries.flatMap((entry) => {
    const path = entry.path === undefined ? above : `${above}/${entry.path.replace(/:\w+/g, "some-key")}`;
    const own = entry.children ? [] : [{ path: path || "/", id: entry.file.replace(/\.tsx?$/, "") }];
    return [...own, ...addresses(entry.children ?? [], path)];
  });
}
/** Students' pages, the call that hands in and its description; everything else is the teacher's. */
const open = /^\/s(?:\/|$)|^\/api\/hand-in\/|^\/api\/(?:openapi|assignment\.schema|bundle\.schema)\.json$/;
const teachers = addresses(routes as RouteConfigEntry[]).filter((each) => !open.test(each.path));

test("the route table holds teachers' addresses and students' ones", () => {
  expect(teachers.length).toBeGreaterThan(12);
});

test.each(teachers)(
  "$path refuses without the password: as page, data, single route and action",
  async ({ path, id }) => {
    const data = path === "/" ? "/_root.data" : `${path}.data`;
    const asked = [
      fetch(`${base}${path}`, { redirect: "manual" }),
      fetch(`${base}${path}`, { redirect: "manual", headers: { Accept: "text/html" } }),
      fetch(`${base}${data}`, { redirect: "manual" }),
      fetch(`${base}${data}?_routes=${encodeURIComponent(id)}`, { redirect: "manual" }),
      fetch(`${base}${path}`, { method: "POST", redirect: "manual", body: new URLSearchParams({ intent: "delete" }) }),
      fetch(`${base}${data}`, { method: "POST", redirect: "manual", body: new URLSearchParams({ intent: "delete" }) }),
    ];
    const statuses = (await Promise.all(asked)).map((response) => response.status);
    expect(statuses).toEqual([401, 302, 401, 401, 401, 401]);
  },
);

test.each(["/s/../cases/x", "/s/%2e%2e/cases/x", "/s/..%2fcases", "//casebook", "/%63asebook", "/S", "/sheets"])(
  "%s is no way round",
  async (path) => {
    const { request } = await import("node:http");
    const status = await new Promise((resolve, reject) => {
      request({ host: address, port, path }, (response) => {
        response.resume();
        resolve(response.statusCode);
      })
        .on("error", reject)
        .end();
    });
    expect([401, 404]).toContain(status);
  },
);

test("students' addresses are open, and a wrong code says so", async () => {
  expect((await fetch(`${base}/s`)).status).toBe(200);
  expect((await fetch(`${base}/s/NONE-0000`)).status).toBe(404);
});

test("the password opens the pages; a wrong one does not, and guessing is slowed down", async () => {
  const give = (password: string) =>
    fetch(`${base}/teacher`, { method: "POST", redirect: "manual", body: new URLSearchParams({ password }) });
  expect((await give("the tide is low")).status).toBe(403);
  const right = await give("the tide is high");
  expect(right.status).toBe(302);
  const cookie = right.headers.get("set-cookie") ?? "";
  expect(cookie).toMatch(/HttpOnly; SameSite=Lax/);
  expect((await fetch(`${base}/casebook`, { headers: { Cookie: cookie.split(";")[0] ?? "" } })).status).toBe(200);
  expect(
    (await fetch(`${base}/casebook`, { headers: { Cookie: `bent-nail-teacher=${Date.now()}.AAAA` } })).status,
  ).toBe(401);
  const statuses: number[] = [];
  for (let tries = 0; tries < 9; tries++) statuses.push((await give("guess")).status);
  expect(statuses.at(-1)).toBe(429);
  // Behind the same address, but in a browser that the teacher has used before: not slowed down by whoever guesses.
  const device = right.headers.getSetCookie().find((each) => each.startsWith("bent-nail-device=")) ?? "";
  const known = await fetch(`${base}/teacher`, {
    method: "POST",
    redirect: "manual",
    body: new URLSearchParams({ password: "the tide is high" }),
    headers: { Cookie: device.split(";")[0] ?? "" },
  });
  expect(known.status).toBe(302);
  const forged = await fetch(`${base}/teacher`, {
    method: "POST",
    body: new URLSearchParams({ password: "the tide is high" }),
    headers: { Cookie: "bent-nail-device=abc.def" },
  });
  expect(forged.status).toBe(429);
});

test("a signed cookie is genuine for a while, with this secret only", () => {
  const own = teacherPassword(folder);
  const value = own.sign(1_000_000);
  expect(own.isGenuine(value, 1_000_000 + 1000)).toBe(true);
  expect(own.isGenuine(value, 1_000_000 + 13 * 3600 * 1000)).toBe(false);
  expect(own.isGenuine(value.replace(/^./, "9"), 1_000_000)).toBe(false);
  expect(own.set("short")).toContain("at least 10");
});

test("what is open is a short list", () => {
  expect(["/s", "/s/ABCD-EFGH", "/s/ABCD-EFGH/save", "/assets/x.js"].every(isOpenPath)).toBe(true);
  expect(["/api/hand-in/ABCD-EFGH", "/api/openapi.json"].every(isOpenPath)).toBe(true);
  expect(
    ["/", "/sheets", "/s2", "/_root.data", "/cases/x.data", "/api", "/api/other", "/collect-take"].some(isOpenPath),
  ).toBe(false);
});
