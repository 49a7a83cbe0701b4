import { createElement } from "react";
import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase } from "../../server/cases/caseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import { NarrowLeaf } from "./NarrowLeaf.tsx";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let key = "";
const text = 'names = "gull,auk,tern"\nat = names.find(",")\nnames = names[2:]\nprint(names[at])\n';
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  key = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Names", intent: "", changedLast: "" },
    files: [{ name: "names.py", bytes: Buffer.from(text) }],
    ...{ input: "", expected: ",\n", symptom: null },
  });
});
afterAll(() => services.close());

const Leaf = ({ loaderData }: { loaderData: Parameters<typeof NarrowLeaf>[0] }) =>
  createElement(NarrowLeaf, loaderData);
const view = (leaf: string) => page.loader(asked({ caseKey: key }, { path: `/?leaf=${leaf}` }));
const act = async (form: Record<string, string>) =>
  answered(
    page.action(asked({ caseKey: key }, { form: { revision: String((await view("checks")).revision), ...form } })),
  );

test("a line that is pressed shows where its values changed last, and a position that went stale", async () => {
  const narrowed = await view("narrow");
  expect(narrowed.narrow?.names.find((each) => each.line === 4)?.names).toEqual(["names", "at"]);
  const shown = markupOf(
    Leaf,
    { view: narrowed, narrowing: { line: 4, probes: [] }, onChange: () => undefined },
    "/",
  ).replace(/<[^>]+>/g, "");
  expect(shown).toMatch(/names was .*ll,auk,tern.*last changed in line 3 when this line ran last/);
  expect(shown).toContain(
    "Stale in line 4: it was worked out in line 2 as a position in names, which line 3 has changed since",
  );
  expect((await view("checks")).narrow).toBeNull();
});

test("tries are kept in the log with what was believed, the program and its revision stay, and a try can be taken out", async () => {
  const before = await view("checks");
  const probes = JSON.stringify([
    { kind: "print", line: 2, expression: "at" },
    { kind: "set", line: 2, name: "at", value: "at - 2" },
  ]);
  expect(await act({ intent: "narrow", check: "", probes, belief: "the position is too large" })).toMatchObject({
    ok: true,
  });
  expect(await act({ intent: "narrow", check: "", probes: '[{"kind":"off"}]', belief: "" })).toMatchObject({
    ok: false,
  });
  expect(await act({ intent: "narrow", check: "", probes: '[{"kind":"off","line":99}]', belief: "" })).toMatchObject({
    ok: false,
    message: "There is no line 99.",
  });
  const after = await view("narrow");
  expect(after.revision).toBe(before.revision);
  expect(after.text).toBe(text);
  const [tried] = after.narrow?.tries ?? [];
  expect(tried).toMatchObject({
    passes: true,
    belief: "the position is too large",
    words: ["print at at line 2", "at set to at - 2 at line 2"],
  });
  expect(await textOfPage(page.default, after, `/cases/${key}?leaf=narrow`)).toContain("the result is as intended");
  expect(await act({ intent: "drop try", key: tried?.key ?? "" })).toMatchObject({ ok: true });
  expect((await view("narrow")).narrow?.tries).toEqual([]);
});

test("the copy by structure stands beside the program", async () => {
  const structured = await view("structure");
  expect(structured.relaid?.lines.map((line) => line.line)).toEqual([1, 2, 3, 4]);
  expect(await textOfPage(page.default, structured, `/cases/${key}?leaf=structure`)).toContain(
    "Every statement belongs to the block that it is indented under",
  );
});

test("the copy by structure is run beside the program: it does the same, or where it does not is said", async () => {
  expect(await act({ intent: "run relaid" })).toMatchObject({
    ok: true,
    message: "Both do the same with the one input of the checks.",
  });
  const collected = (language: string, name: string, program: string) =>
    collectCase(services.database, {
      ...{ language, course: null, student: null, title: "Layout", intent: "", changedLast: "" },
      files: [{ name, bytes: Buffer.from(program) }],
      ...{ input: "", expected: "4\n", symptom: null },
    });
  const run = async (caseKey: string) => {
    const { revision } = await page.loader(asked({ caseKey }, { path: "/?leaf=structure" }));
    return answered(page.action(asked({ caseKey }, { form: { intent: "run relaid", revision: String(revision) } })));
  };
  const inC =
    '#include <stdio.h>\nint main(void) {\nint deck = 4;\nif (deck > 9)\n  deck = 1;\n  printf("%d\\n", deck); return 0; }\n';
  expect(await run(await collected("c", "deck.c", inC))).toMatchObject({ ok: true });
  const torn = await collected("python", "deck.py", "deck = (4\nprint(deck\n");
  expect(await run(torn)).toMatchObject({ ok: false, message: "There is no copy of this program that could be run." });
  // What asks for its own line says another number once a line is two.
  const own = "import inspect\nx = 1; y = 2\nprint(inspect.currentframe().f_lineno)\n";
  expect((await run(await collected("python", "own.py", own))).message).toMatch(
    /^They differ without input\. The program: “3”\. The copy: “4”\.$/,
  );
});

test("a plan has the program's parts, each tested by a check of its own before those that use it", async () => {
  const planned = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Fares", intent: "", changedLast: "" },
    files: [
      {
        name: "fares.py",
        bytes: Buffer.from(
          "def sail(cars):\n    return load(cars) + 1\ndef load(cars):\n    return cars * 3\nprint(sail(int(input())))\n",
        ),
      },
    ],
    ...{ input: "4\n", expected: "9\n", symptom: null },
  });
  const look = () => page.loader(asked({ caseKey: planned }, { path: "/?leaf=narrow" }));
  const ask = async (form: Record<string, string>) =>
    answered(
      page.action(asked({ caseKey: planned }, { form: { revision: String((await look()).revision), ...form } })),
    );
  expect((await look()).narrow?.plan.map((part) => part.name)).toEqual(["load", "sail"]);
  expect(await ask({ intent: "add part", part: "load", expression: "load(4)", expected: "8" })).toMatchObject({
    ok: true,
  });
  expect(await ask({ intent: "add part", part: "sail", expression: "sail('a')", expected: "9" })).toMatchObject({
    ok: true,
  });
  expect(await ask({ intent: "add part", part: "sail", expression: " ", expected: "9" })).toMatchObject({ ok: false });
  const [load, sail] = (await look()).narrow?.plan ?? [];
  expect(load?.checks[0]?.result).toMatchObject({ value: "12", passes: false, version: 1 });
  expect(sail?.checks[0]?.result).toMatchObject({
    value: null,
    passes: false,
    ended: expect.stringContaining("concatenate"),
  });
  expect(await textOfPage(page.default, await look(), `/cases/${planned}?leaf=narrow`)).toContain("0 of 2 checks pass");
  const text = (await look()).text.replace("* 3", "* 2");
  await ask({ intent: "mend", text });
  expect(await ask({ intent: "try parts" })).toMatchObject({ ok: true });
  const again = (await look()).narrow?.plan[0]?.checks[0];
  expect(again?.result).toMatchObject({ value: "8", passes: true, version: 2 });
  expect(await ask({ intent: "drop part", key: again?.key ?? "" })).toMatchObject({ ok: true });
  expect((await look()).narrow?.plan[0]?.checks).toEqual([]);
});
