import { afterAll, beforeAll, expect, test } from "vitest";
import type { NewCase } from "../../core/cases/case.ts";
import { collectCase, deleteCase, findCase, restoreCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { listFormer } from "../cases/formerStore.ts";
import { listCases } from "../cases/listStore.ts";
import { removeCheck, saveCheck } from "../judge/checks.ts";
import { decideClass, markFaultyLines } from "../judge/decisions.ts";
import { judgeVersion } from "../judge/judge.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { goBackTo } from "./goBack.ts";
import { tryFix } from "./tryFix.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const program = "low = 2\nhigh = [3, 4\nprint(low)\nif low <= 2\n    print(hihg)\nprint('deck', low + 1)\n";
const steps = [
  program.replace("[3, 4\n", "[3, 4]\n"),
  program.replace("[3, 4\n", "[3, 4]\n").replace("<= 2\n", "<= 2:\n"),
  program.replace("[3, 4\n", "[3, 4]\n").replace("<= 2\n", "<= 2:\n").replace("hihg", "high"),
  program
    .replace("[3, 4\n", "[3, 4]\n")
    .replace("<= 2\n", "<= 2:\n")
    .replace("hihg", "high")
    .replace("low + 1", "low + 2"),
];

async function collect(given: Partial<NewCase> = {}): Promise<string> {
  return collectCase(services.database, {
    language: "python",
    course: null,
    student: null,
    title: "Deck",
    intent: "",
    changedLast: "",
    files: [{ name: "deck.py", bytes: Buffer.from(program, "utf8") }],
    input: "",
    expected: "2\n[3, 4]\ndeck 4\n",
    symptom: null,
    ...given,
  });
}
async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  return found;
}
async function mend(key: string, text: string, force = false) {
  const found = await whole(key);
  return tryFix(services, found, byTeacher(found), text, force);
}

test("what was handed in is kept to the byte, tabs, blanks at line ends, line ends and encoding", async () => {
  const bytes = Buffer.from("\tx = 1  \r\ny = 'fähre'", "latin1");
  const [version] = (await whole(await collect({ files: [{ name: "a.py", bytes }] }))).loaded;
  expect(Buffer.from(version?.files[0]?.bytes ?? []).equals(bytes)).toBe(true);
  expect(version?.files[0]).toMatchObject({ encoding: "latin-1", text: "\tx = 1  \r\ny = 'fähre'" });
});

test("four faults show one after another, each with its own verdict, line and fix, until all checks pass", async () => {
  const key = await collect();
  const results: unknown[] = [];
  for (const text of steps) results.push((await mend(key, text)) as unknown);
  expect(results.map((result) => (result as { result: string }).result)).toEqual([
    "next fault",
    "next fault",
    "next fault",
    "verified",
  ]);
  const found = await whole(key);
  expect(found.verified_at).not.toBeNull();
  expect(
    found.layers.map((layer) => [
      layer.verdict.class,
      layer.verdict.reportedLine,
      layer.fix?.map((hunk) => hunk.start),
    ]),
  ).toEqual([
    ["syntax", 2, [2]],
    ["syntax", 4, [4]],
    ["runtime", 5, [5]],
    ["logic", null, [6]],
  ]);
  expect(found.layers.every((layer) => layer.first_fix?.length === 1)).toBe(true);
});

test("a try that does not mend is kept as a version, and the layer stays open; the teacher may keep it all the same", async () => {
  const key = await collect({
    files: [{ name: "a.py", bytes: Buffer.from("print(1)\nprint(2)\n") }],
    expected: "3\n4\n",
  });
  expect(await mend(key, "print(3)\nprint(2)\n")).toMatchObject({ ok: true, result: "not mended" });
  expect((await whole(key)).versions).toHaveLength(2);
  expect(await mend(key, "print(3)\nprint(2)\n", true)).toMatchObject({ result: "next fault" });
  expect(await mend(key, "print(3)\nprint(4)\n")).toMatchObject({ result: "verified" });
  expect((await whole(key)).layers).toHaveLength(2);
});

test("a version that shows no fault has nothing to mend: no layer is made up", async () => {
  const key = await collect();
  for (const text of steps) await mend(key, text);
  expect(await mend(key, `${steps.at(-1)}print("more")\n`)).toMatchObject({
    ok: true,
    result: "nothing to mend",
    version: null,
  });
  expect((await whole(key)).layers).toHaveLength(4);
  expect((await whole(key)).verified_at).not.toBeNull();
});

test("going back to an earlier version opens its layer again; later layers are kept as former values", async () => {
  const key = await collect();
  for (const text of steps) await mend(key, text);
  const found = await whole(key);
  const second = found.versions[1];
  const last = found.layers.at(-1);
  expect(await goBackTo(services, found, byTeacher(found), second?.key ?? "")).toEqual({ ok: true, checks: 0 });
  const back = await whole(key);
  expect([back.current_version, back.verified_at]).toEqual([second?.key, null]);
  expect(back.layers.map((layer) => layer.version_after !== null)).toEqual([true, false]);
  expect(await listFormer(services.database.query, "layer", last?.key ?? "")).toHaveLength(1);
  expect(back.versions).toHaveLength(5);
  expect(await mend(key, steps[1] ?? "")).toMatchObject({ result: "next fault" });
});

test("a verdict is confirmed, overruled only with a reason, and the former one is kept", async () => {
  const key = await collect();
  let found = await whole(key);
  expect(await decideClass(services, found, byTeacher(found), { class: "syntax", kind: "form", reason: "" })).toEqual({
    ok: true,
  });
  found = await whole(key);
  expect(
    await decideClass(services, found, byTeacher(found), { class: "logic", kind: null, reason: "" }),
  ).toMatchObject({
    ok: false,
  });
  expect(
    await decideClass(services, found, byTeacher(found), { class: "runtime", kind: null, reason: "we call it so" }),
  ).toEqual({ ok: true });
  const [layer] = (await whole(key)).layers;
  expect(layer?.decided).toMatchObject({ class: "runtime", suggested: "syntax", reason: "we call it so" });
  expect(await listFormer(services.database.query, "layer", layer?.key ?? "")).toHaveLength(1);
});

test("a page that is out of date changes nothing and is told so", async () => {
  const key = await collect();
  const [one, other] = [await whole(key), await whole(key)];
  expect(await markFaultyLines(services, one, byTeacher(one), [{ line: 2 }])).toEqual({ ok: true });
  expect(await markFaultyLines(services, other, byTeacher(other), [{ line: 5 }])).toMatchObject({
    ok: false,
  });
  expect(await tryFix(services, other, byTeacher(other), steps[0] ?? "", false)).toMatchObject({ ok: false });
  expect((await whole(key)).layers[0]?.faulty_lines).toEqual([{ line: 2 }]);
});

test("a new check takes 'verified' away until it passes; the class of another check is named beside the case's own", async () => {
  const text = "n = int(input())\nprint(12 // n)\n";
  const key = await collect({ files: [{ name: "a.py", bytes: Buffer.from(text) }], input: "5\n", expected: "3\n" });
  const found = await whole(key);
  await saveCheck(services, found, byTeacher(found), null, {
    input: "0\n",
    expected: "none\n",
    kind: "erroneous",
  });
  const withCheck = await whole(key);
  const judged = await judgeVersion(services, withCheck, versionOf(withCheck, withCheck.current_version));
  expect([judged.deciding.judgement.class, judged.otherClasses]).toEqual(["logic", ["runtime"]]);
  await mend(key, "n = int(input())\nprint(12 // n + 1)\n");
  expect((await whole(key)).verified_at).toBeNull();
  await mend(key, "n = int(input())\nprint(12 // n + 1 if n else 'none')\n");
  const done = await whole(key);
  expect(done.verified_at).not.toBeNull();
  await saveCheck(services, done, byTeacher(done), done.checks[1]?.key ?? "", {
    input: "0\n",
    expected: "nothing\n",
    kind: "erroneous",
  });
  expect((await whole(key)).verified_at).toBeNull();
  const again = await whole(key);
  await removeCheck(services, again, byTeacher(again), done.checks[1]?.key ?? "");
  expect((await whole(key)).verified_at).not.toBeNull();
});

test("a case that is put away leaves the lists and can be taken back", async () => {
  const key = await collect({ title: "To be put away" });
  const titles = async () =>
    (await listCases(services.database, { judged: null, page: 0 })).rows.map((row) => row.title);
  await deleteCase(services.database, key);
  expect(await titles()).not.toContain("To be put away");
  await restoreCase(services.database, key);
  expect(await titles()).toContain("To be put away");
});

test("text with null bytes and broken surrogates is kept", async () => {
  const key = await collect({ intent: "a\0b\ud800", errorOutput: "x\0" });
  expect(await whole(key)).toMatchObject({ intent: "a\0b\ufffd", outputs: [{ content: "x\0" }] });
});
