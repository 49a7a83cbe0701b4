import { readdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import { openTestServices } from "../server/testServices.ts";
import { buildTestWorld } from "../server/testWorld.ts";
import { isLongRun } from "../tools/share.ts";
import { answered, asked, markupOf, provideServices } from "./askRoute.ts";
import * as lessons from "./lessons/page.tsx";
import routes from "./routes.ts";
import * as sheets from "./sheets/page.tsx";
import * as sit from "./sitting/page.tsx";

/** Generated requests a page: few in each run, the same ones each time; many and others in the long run. */
const asking = isLongRun ? { numRuns: 400 } : { numRuns: 4, seed: 4200 };

let services: Awaited<ReturnType<typeof openTestServices>>;
let world: Record<string, string> = {};
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const built = await buildTestWorld(services);
  const { code = "", label = "", personalCode = "", courseKey = "", sheetKey = "" } = built;
  const enter = { intent: "enter", label, personalCode };
  const { cookie = "" } = await answered(sit.action(asked({ code }, { form: enter })));
  const begin = { intent: "begin", title: "Loads", course: courseKey, sheet: sheetKey };
  const begun = await answered(lessons.action(asked({}, { form: begin })) as never);
  world = { ...built, cookie, lessonKey: begun.location?.split("/").at(-1) ?? "" };
});
afterAll(async () => {
  await services.queue.settled();
  await services.close();
});

type Module = {
  loader?: (given: unknown) => unknown;
  action?: (given: unknown) => unknown;
  default?: unknown;
};
type Routed = { path: string; file: string };
const routed: Routed[] = routes.flatMap((each) =>
  (each.children ?? [each]).map(({ path = "", file }) => ({ path: `/${path}`, file })),
);
const moduleOf = (file: string): Promise<Module> => import(/* @vite-ignore */ join(import.meta.dirname, file));

const textsIn = (folder: string) =>
  readdirSync(join(import.meta.dirname, folder), { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !file.includes(".test."))
    .map((file) => readFileSync(join(import.meta.dirname, folder, file), "utf8"))
    .join("\n");
/** What stands at the first group of a pattern in the files of a page's folder, each once. */
const namedIn = (file: string, pattern: RegExp) => [
  ...new Set([...textsIn(dirname(file)).matchAll(pattern)].map((match) => match[1] ?? "")),
];
const intentsOf = (file: string) => namedIn(file, /intent(?:: | === )"([\w -]+)"/g);
const fieldNamesOf = (file: string) => [
  ...namedIn(file, /\b(\w+): (?:field|z)\.\w+\(/g),
  ...namedIn(file, /(?:searchParams|form)\.(?:get|getAll|has)\("([\w-]+)"/g),
];

/** Texts that nobody types, but that arrive. */
const awkward = [
  ...["", " ", "0", "-1", "1e9", "NaN", "99999999999999999999", "0x10", "1.5", "null", "undefined", "true"],
  ...["__proto__", "constructor", "../../etc/passwd", "%00", "'; drop table student; --", "<script>alert(1)</script>"],
  ...[
    "\0",
    "a\0b",
    "\ud800",
    "\u202eabc",
    "🛳",
    "{}",
    "[]",
    '{"key":',
    '[{"key":1}]',
    "a/b",
    "a.b.c",
    "x".repeat(70_000),
  ],
  ...["print(4)\n", "2026-02-30", "2026-W99", "python", "cobol", "1,2,x", "\r\n\r\n"],
];
const value = () => fc.oneof(fc.constantFrom(...awkward), fc.constantFrom(...Object.values(world)), fc.string());
/** Some of the fields that a page may be asked with, each with one value or several. */
const fieldsOf = (file: string) =>
  fc.dictionary(fc.constantFrom("key", ...fieldNamesOf(file)), fc.oneof(value(), fc.array(value(), { maxLength: 3 })), {
    maxKeys: 12,
  });
/** Parameters of an address, each its own one or an awkward one. */
const parametersOf = (path: string) =>
  fc.record(
    Object.fromEntries(
      [...path.matchAll(/:(\w+)/g)].map(([, name = ""]) => [
        name,
        fc.oneof({ weight: 4, arbitrary: fc.constant(world[name] ?? "none") }, { weight: 1, arbitrary: value() }),
      ]),
    ),
  );

/** How many have asked. */
let asker = 0;

/** The status that a thrown or returned answer has; what is thrown and is no answer is thrown on. */
async function statusOf(answer: () => unknown): Promise<{ status: number; given?: unknown }> {
  const statusIn = (given: unknown): number | undefined => {
    if (given instanceof Response) return given.status;
    if (!given || typeof given !== "object" || !("type" in given) || given.type !== "DataWithResponseInit") return;
    const { init } = given as { init?: { status?: number } | null };
    return init?.status ?? 200;
  };
  try {
    const given = await answer();
    return { status: statusIn(given) ?? 200, given };
  } catch (error) {
    const status = statusIn(error);
    if (status === undefined) throw error;
    return { status };
  }
}

const withLoader = routed.filter(({ file }) =>
  /(?:const|function) loader\b/.test(readFileSync(join(import.meta.dirname, file), "utf8")),
);
const withAction = routed.filter(({ file }) =>
  /(?:const|function) action\b/.test(readFileSync(join(import.meta.dirname, file), "utf8")),
);

test("what was deleted meanwhile is said, and nothing is changed", async () => {
  const form = { intent: "begin", title: "Loads", course: "gone" };
  const said = await answered(sheets.action(asked({}, { form })));
  expect([said.status, said.message]).toEqual([422, expect.stringContaining("deleted meanwhile")]);
});

test.each(withLoader)(
  "$path is read with any parameters and any question, and answers in words",
  async ({ path, file }) => {
    const { loader, default: page } = await moduleOf(file);
    await fc.assert(
      fc.asyncProperty(parametersOf(path), fieldsOf(file), fc.boolean(), async (params, question, sits) => {
        const query = new URLSearchParams(
          Object.entries(question).flatMap(([name, all]) => [all].flat().map((each): [string, string] => [name, each])),
        );
        const filled = path.replace(/:(\w+)/g, (_, name: string) =>
          encodeURIComponent(Buffer.from(params[name] ?? "").toString()),
        );
        const address = `${filled}?${query}`;
        const from = `10.2.${asker >> 8}.${asker++ & 255}`;
        const request = asked(params, { path: address, address: from, ...(sits ? { cookie: world.cookie } : {}) });
        const { status, given } = await statusOf(() => loader?.(request));
        expect(status).toBeLessThan(500);
        if (page && given !== undefined && !(given instanceof Response) && status < 300) {
          const shown = typeof given === "object" && given && "type" in given && "data" in given ? given.data : given;
          expect(markupOf(page, shown, address)).not.toBe("");
        }
      }),
      asking,
    );
  },
);

test.each(withAction)("$path is sent any form, and says what it did or why it did nothing", async ({ path, file }) => {
  const { action, loader } = await moduleOf(file);
  // What a page says of itself goes back with its form: without it hardly an action would come further than that.
  const revisionOf = async (params: Record<string, string>) => {
    const { given } = await statusOf(() => loader?.(asked(params, { cookie: world.cookie })));
    return given && typeof given === "object" && "revision" in given ? String(given.revision) : "0";
  };
  await fc.assert(
    fc.asyncProperty(
      parametersOf(path),
      fc.constantFrom("none", ...intentsOf(file)),
      fieldsOf(file),
      fc.boolean(),
      async (params, intent, form, sits) => {
        // Each asks from an address of its own: who asks too often has to wait.
        const from = { address: `10.1.${asker >> 8}.${asker++ & 255}`, ...(sits ? { cookie: world.cookie } : {}) };
        const revision = await revisionOf(params);
        const { status } = await statusOf(() =>
          action?.(asked(params, { form: { ...form, revision, intent }, ...from })),
        );
        expect(status).toBeLessThan(500);
        const { status: ofJson } = await statusOf(() => action?.(asked(params, { json: form, ...from })));
        expect(ofJson).toBeLessThan(500);
      },
    ),
    asking,
  );
});
