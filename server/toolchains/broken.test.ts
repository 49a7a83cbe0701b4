import { readdirSync, readFileSync } from "node:fs";
import { setTimeout } from "node:timers/promises";
import { afterAll, beforeAll, expect, test } from "vitest";
import { limitsSchema, type Outcome, unknownBecause } from "../../core/outcome/outcome.ts";
import { collectCase, findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { decideClass, markFaultyLines } from "../judge/decisions.ts";
import { judgeVersion } from "../judge/judge.ts";
import { tryFix } from "../mend/tryFix.ts";
import { byTeacher, openTestServices } from "../testServices.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

/** Kills every sandbox of this process from outside, as a system short of memory might. */
function killSandboxes(): void {
  for (const name of readdirSync("/proc").filter((each) => /^\d+$/.test(each))) {
    try {
      const parent = Number(readFileSync(`/proc/${name}/stat`, "utf8").split(") ")[1]?.split(" ")[1]);
      if (parent === process.pid && readFileSync(`/proc/${name}/cmdline`, "utf8").includes("bwrap"))
        process.kill(Number(name), "SIGKILL");
    } catch {
      // It has gone by itself.
    }
  }
}

/** What comes of some work while the sandboxes are killed again and again. */
async function whileKilling<T>(work: Promise<T>): Promise<T> {
  let over = false;
  void work.finally(() => {
    over = true;
  });
  while (!over) {
    killSandboxes();
    await setTimeout(40);
  }
  return work;
}

const sleeps = "import time\ntime.sleep(2)\nprint('deck')\n";

test.each(["check", "run", "trace"] as const)(
  "%s: a sandbox that breaks off again and again gives an outcome with words, never an exception",
  async (mode) => {
    const python = services.toolchains.find("python");
    if (!python) throw new Error("no Python");
    const request = {
      files: [{ name: "deck.py", bytes: Buffer.from(sleeps) }],
      input: "",
      limits: limitsSchema.parse({}),
    };
    const asked: Promise<Outcome> =
      mode === "trace" ? python.trace(request).then((trace) => trace.outcome) : python[mode](request);
    const outcome = await whileKilling(asked);
    expect(outcome).toMatchObject({
      stoppedBy: "broken",
      started: null,
      finished: false,
      console: [],
      diagnostics: [],
    });
    expect(unknownBecause(outcome)).toContain("that says nothing about the program");
    // The next one is served as ever.
    expect(
      await python.run({ ...request, files: [{ name: "deck.py", bytes: Buffer.from("print('deck')\n") }] }),
    ).toMatchObject({
      stoppedBy: "none",
      finished: true,
    });
  },
);

test("a case whose run breaks off opens with words, nothing is kept of the run, and no decision rests on it", async () => {
  const key = await collectCase(services.database, {
    language: "python",
    course: null,
    student: null,
    title: "Deck load",
    intent: "",
    changedLast: "",
    files: [{ name: "deck.py", bytes: Buffer.from(sleeps) }],
    input: "",
    expected: "load\n",
    symptom: null,
  });
  const whole = async (): Promise<WholeCase> => {
    const found = await findCase(services.database, key);
    if (!found) throw new Error("no case");
    return found;
  };
  const found = await whole();
  const judged = await whileKilling(judgeVersion(services, found, versionOf(found, found.current_version)));
  expect(judged).toMatchObject({
    allPass: false,
    unknown: expect.stringContaining("Try again"),
    notRun: expect.stringContaining("broke off"),
  });
  expect(judged.deciding.judgement.class).toBeNull();
  expect(await services.database.query("select key from run")).toEqual([]);
  const decided = await whileKilling(
    decideClass(services, found, byTeacher(found), { class: "logic", kind: null, reason: "seen" }),
  );
  const marked = await whileKilling(markFaultyLines(services, found, byTeacher(found), [{ line: 3 }]));
  const tried = await whileKilling(tryFix(services, found, byTeacher(found), sleeps.replace("deck", "load"), false));
  for (const each of [decided, marked, tried])
    expect(each).toMatchObject({ ok: false, message: expect.stringContaining("Try again") });
  expect((await whole()).layers).toEqual([]);
  // As soon as it runs, all of it works.
  const again = await tryFix(services, await whole(), byTeacher(await whole()), sleeps.replace("deck", "load"), false);
  expect(again).toMatchObject({ ok: true, result: "verified" });
});
