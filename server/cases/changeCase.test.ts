import { afterAll, beforeAll, expect, test } from "vitest";
import { removeCheck, saveCheck } from "../judge/checks.ts";
import { decideClass, markFaultyLines, sayIntention } from "../judge/decisions.ts";
import { goBackTo } from "../mend/goBack.ts";
import { switchPart } from "../mend/switchPart.ts";
import { tryFix } from "../mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { collectCase, findCase, type WholeCase } from "./caseStore.ts";
import { type Changed, staleWords } from "./changeCase.ts";
import { addOutput, describeCase, sayOfWarning, sayWorked } from "./describe.ts";
import { listFormer } from "./formerStore.ts";
import { listWarningDecisions } from "./warningStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
beforeAll(async () => {
  services = await openTestServices();
  course = await addCourse(services.database, "Kittiwake Crossing", "python");
  await addStudents(services.database, course, ["S-01"]);
});
afterAll(() => services.close());

const program = "low = 2\nprint(low * hihg)\nprint('deck', low + 1)\n# print(low)\n";
const named = program.replace("hihg", "4");
const mended = named.replace("+ 1", "+ 2");

async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error("no case");
  return found;
}
async function collect(): Promise<WholeCase> {
  const key = await collectCase(services.database, {
    ...{ language: "python", course, student: null, title: "Deck", intent: "counts", changedLast: "" },
    files: [{ name: "deck.py", bytes: Buffer.from(program) }],
    ...{ input: "", expected: "8\ndeck 4\n", symptom: null },
  });
  return whole(key);
}
const database = () => services.database;
/** A case with all that is kept beside it. */
const state = async (key: string) => ({
  ...(await whole(key)),
  warnings: await listWarningDecisions(services.database.query, key),
});

/** Everything by which a person changes a case, each as a window does it that had read `found`. */
const writers: Record<string, (found: WholeCase) => Promise<Changed | { ok: boolean }>> = {
  decide: (found) => decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "" }),
  "mark lines": (found) => markFaultyLines(services, found, byTeacher(found), [{ line: 2 }]),
  "try a fix": (found) => tryFix(services, found, byTeacher(found), named, false),
  "go back": (found) => goBackTo(services, found, byTeacher(found), found.current_version),
  "switch a part on": (found) => switchPart(services, found, byTeacher(found), 4, 4),
  "add a check": (found) =>
    saveCheck(services, found, byTeacher(found), null, { input: "1\n", expected: null, kind: "boundary" }),
  "change a check": (found) =>
    saveCheck(services, found, byTeacher(found), found.checks[0]?.key ?? "", {
      ...{ input: "9\n", expected: "9\n", kind: "normal" },
    }),
  "say it worked": (found) => sayWorked(database(), found, byTeacher(found), found.current_version, true),
  note: (found) => describeCase(database(), found, byTeacher(found), { note: "ask again" }),
  title: (found) => describeCase(database(), found, byTeacher(found), { title: "Deck load" }),
  purpose: (found) => describeCase(database(), found, byTeacher(found), { intent: "adds the loads" }),
  student: async (found) => {
    const [student] = await listStudents(database(), course);
    return describeCase(database(), found, byTeacher(found), { student: student?.key });
  },
  language: (found) => describeCase(database(), found, byTeacher(found), { language: "octave" }),
  warning: (found) =>
    sayOfWarning(database(), found, byTeacher(found), { about: "deck.py | x", decision: "hide", note: "" }),
  output: (found) => addOutput(database(), found, byTeacher(found), { origin: "another tool", text: "NameError" }),
};

test.each(Object.keys(writers))(
  "%s: a window that is out of date changes nothing, and one that is not does",
  async (name) => {
    const found = await collect();
    const write = writers[name];
    if (!write) throw new Error(name);
    const note = { note: "by the other window" };
    expect(await describeCase(database(), found, byTeacher(found), note)).toEqual({ ok: true });
    const before = await state(found.key);
    expect(await write(found)).toMatchObject({ ok: false, stale: true });
    expect(await state(found.key)).toEqual(before);
    expect(await write(before)).toMatchObject({ ok: true });
    const after = await state(found.key);
    expect(after.revision).toBeGreaterThan(before.revision);
    // Going back to the version that is worked on leaves all else as it is.
    const same = { ...before, revision: after.revision };
    if (name === "go back") expect(after).toEqual(same);
    else expect(after).not.toEqual(same);
  },
);

test("a text that is refused stands beside the one that is there now", async () => {
  const found = await collect();
  await describeCase(database(), found, byTeacher(found), { note: "the first window's note" });
  const text = { yours: "the second window's note", theirs: (now: WholeCase) => now.note };
  expect(await describeCase(database(), found, { ...byTeacher(found), text }, { note: text.yours })).toEqual({
    ...{ ok: false, stale: true, message: staleWords },
    both: { yours: "the second window's note", theirs: "the first window's note" },
  });
  // What both windows wrote alike needs no second look.
  const same = { yours: "the first window's note", theirs: (now: WholeCase) => now.note };
  const again = await describeCase(database(), found, { ...byTeacher(found), text: same }, { note: same.yours });
  expect(again).not.toHaveProperty("both");
});

test("a fix that is being tried does not overwrite going back that another window confirmed meanwhile", async () => {
  const first = await collect();
  await tryFix(services, first, byTeacher(first), named, false);
  const before = await whole(first.key);
  const python = services.toolchains.find("python");
  if (!python) throw new Error("no Python");
  const { run } = python;
  let wentBack: Changed | null = null;
  // The other window goes back to the first version while the mended text is running.
  python.run = async (request) => {
    if (wentBack === null && Buffer.from(request.files[0]?.bytes ?? []).toString() === mended) {
      const now = await whole(first.key);
      wentBack = await goBackTo(services, now, byTeacher(now), now.versions[0]?.key ?? "");
    }
    return run(request);
  };
  try {
    expect(await tryFix(services, before, byTeacher(before), mended, false)).toMatchObject({
      ok: false,
      message: expect.stringContaining("while your fix was tried"),
    });
  } finally {
    python.run = run;
  }
  expect(wentBack).toEqual({ ok: true, checks: 0 });
  const after = await whole(first.key);
  expect([after.current_version, after.layers.map((layer) => layer.version_after)]).toEqual([
    after.versions[0]?.key,
    [null],
  ]);
  // The try itself is kept.
  expect(after.loaded.at(-1)?.files[0]?.text).toBe(mended);
});

test("an intention is written to a layer of its own case only, and the former one is kept", async () => {
  const [one, other] = [await collect(), await collect()];
  for (const found of [one, other]) await tryFix(services, found, byTeacher(found), named, false);
  const [own, strange] = [await whole(one.key), await whole(other.key)];
  const layer = strange.layers[0]?.key ?? "";
  expect(await sayIntention(services, own, byTeacher(own), layer, "four boats")).toMatchObject({
    ok: false,
    message: expect.stringContaining("not one of this case"),
  });
  expect((await whole(other.key)).layers[0]?.intention).toBeNull();
  for (const words of ["four boats", "five boats"]) {
    const now = await whole(other.key);
    expect(await sayIntention(services, now, byTeacher(now), layer, words)).toEqual({ ok: true });
  }
  const former = await listFormer(database().query, "layer", layer);
  expect(former.map(({ who, name, former: value }) => [who, name, value])).toEqual([
    ["teacher", "Teacher", { intention: "four boats" }],
    ["teacher", "Teacher", { intention: null }],
  ]);
});

test("what cannot be said of a case is refused with words: title, student, language, check, version", async () => {
  const found = await collect();
  const refused = async (change: Promise<Changed>) => {
    expect(await change).toMatchObject({ ok: false, message: expect.any(String) });
    expect(await whole(found.key)).toEqual(found);
  };
  await refused(describeCase(database(), found, byTeacher(found), { title: " " }));
  await refused(describeCase(database(), found, byTeacher(found), { title: "x".repeat(201) }));
  await refused(describeCase(database(), found, byTeacher(found), { student: "nobody" }));
  await refused(describeCase(database(), found, byTeacher(found), { language: "latin" }));
  await refused(sayWorked(database(), found, byTeacher(found), "nothing", true));
  await refused(goBackTo(services, found, byTeacher(found), "nothing"));
  await refused(removeCheck(services, found, byTeacher(found), "nothing"));
  await refused(removeCheck(services, found, byTeacher(found), found.checks[0]?.key ?? ""));
  const check = { input: "", expected: null, kind: "normal" as const };
  await refused(saveCheck(services, found, byTeacher(found), "nothing", check));
  await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "" });
  const decided = await whole(found.key);
  expect(await describeCase(database(), decided, byTeacher(decided), { language: "c" })).toMatchObject({
    message: expect.stringContaining("A fault is recorded already"),
  });
});
