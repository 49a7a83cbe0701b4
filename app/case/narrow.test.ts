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
