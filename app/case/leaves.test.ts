import { afterAll, beforeAll, expect, test } from "vitest";
import { listCases } from "../../server/cases/listStore.ts";
import { addCourse, addStudents, listStudents } from "../../server/people/courseStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import * as casebook from "../casebook/page.tsx";
import * as tray from "../tray/page.tsx";
import * as page from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let course = "";
/** Labels as people may have them, with signs of markup, patterns and both directions. */
const awkward = ["O’Mara-Ó Sé", "</script><b>Tern</b>", "100%_x", "\u202eegdirB", "S. “J” Quay"];
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  course = await addCourse(services.database, "Kittiwake <Crossing> & Co", "python");
  await addStudents(services.database, course, awkward);
});
afterAll(() => services.close());

/** Collects by the form of the Tray, and returns the key of the new case. */
async function collect(form: Record<string, string>): Promise<string> {
  const said = await answered(tray.action(asked({}, { form: { intent: "collect", ...form } })));
  const key = /\/cases\/(\w+)/.exec(said.location ?? "")?.[1];
  if (!key) throw new Error(JSON.stringify(said));
  return key;
}
const leaf = async (caseKey: string, name: string) => {
  const path = `/cases/${caseKey}?leaf=${name}`;
  return { path, data: await page.loader(asked({ caseKey }, { path })) };
};
const text = async (caseKey: string, name: string) => {
  const { path, data } = await leaf(caseKey, name);
  return textOfPage(page.default, data, path);
};
const act = async (caseKey: string, form: Record<string, string>) => {
  const { revision } = (await leaf(caseKey, "checks")).data;
  return answered(page.action(asked({ caseKey }, { form: { revision: String(revision), ...form } })));
};

test("what the Tray's form asks for is missing, wrong or taken, each in words", async () => {
  const form = { intent: "collect", program: "print(4)\n" };
  const said = (more: Record<string, string>) => answered(tray.action(asked({}, { form: { ...form, ...more } })));
  expect((await said({})).problems?.result).toContain("say what should come out and what came out instead");
  expect((await said({ expected: "5", actual: "  " })).problems).toHaveProperty("result");
  expect((await said({ program: "", symptom: "never ends" })).problems).toHaveProperty("program");
  expect((await said({ program: "\0\0\u0001\u0002", symptom: "never ends" })).problems?.program).toContain(
    "no program",
  );
  expect(
    (
      await said({
        program:
          "public class Deck {\n  public static void main(String[] args) {\n    System.out.println(4);\n  }\n}\n",
        language: "python",
        symptom: "never ends",
      })
    ).problems,
  ).toHaveProperty("language");
  expect(await said({ expected: "5", actual: "4", firstLine: "minus one" })).toMatchObject({ status: 400 });
  expect(await said({ expected: "5", actual: "4" })).toMatchObject({
    location: expect.stringMatching(/^\/cases\/\w+\?collected$/),
  });
});

test("every leaf of a case shows what belongs to it; names of people are text, whatever they hold", async () => {
  const students = await listStudents(services.database, course);
  for (const student of students) {
    const key = await collect({
      ...{
        program: "deck = [4, 9]\nprint(deck[2])\n",
        title: `Deck of ${student.label}`,
        purpose: "Says the last load.",
      },
      ...{ student: `${course}/${student.key}`, expected: "9\n", actual: "nothing", source: "<i>a paper</i>" },
    });
    const { data, path } = await leaf(key, "checks");
    expect(data.studentLabel).toBe(student.label);
    const markup = markupOf(page.default, data, path);
    expect(markup).not.toContain("<b>Tern</b>");
    expect(markup).not.toContain("<i>a paper</i>");
    expect(markup).toContain("IndexError");
  }
  const [first] = (await listCases(services.database, { judged: false, page: 0, course })).rows;
  const key = first?.key ?? "";
  expect(await text(key, "messages")).toContain("a position outside the list, text or array");
  expect(await text(key, "mend")).toContain("Edit a copy");
  expect(await text(key, "trace")).toContain("Trace table of the recorded run");
  expect(await text(key, "versions")).toContain("What this version printed");
  expect(await text(key, "no such leaf")).toContain("Add a check");
  expect(await text(key, "checks")).toContain(
    "Look here first: line 2. This is where it was noticed. The tool names it: IndexError",
  );
});

test("a warning is decided, hidden with a note and taken back; the decision outlives its line's number", async () => {
  const program = '#include <stdio.h>\nint main(void) {\n  int n = 4;\n  if (n = 3) puts("deck");\n}\n';
  const key = await collect({ program, fileName: "deck.c", expected: "deck\n", actual: "deck\n" });
  const warningOf = async () => {
    const sources = (await leaf(key, "messages")).data.messages;
    return sources.flatMap((source) => source.messages).find((message) => message.severity === "warning");
  };
  const warning = await warningOf();
  expect([warning?.line, warning?.decision]).toEqual([4, null]);
  const decide = (decision: string, note = "") =>
    act(key, { intent: "warning", about: warning?.about ?? "", decision, note });
  expect(await decide("hide", "it is meant")).toMatchObject({ ok: true });
  expect((await warningOf())?.decision).toMatchObject({ decision: "hide", note: "it is meant" });
  expect(await text(key, "checks")).toContain("warning hidden: it is meant");
  await act(key, { intent: "mend", text: `/* the deck */\n${program}` });
  expect((await warningOf())?.decision).toMatchObject({ decision: "hide" });
  expect(await decide("beautiful")).toMatchObject({ status: 400 });
  expect(await decide("open")).toMatchObject({ ok: true });
  expect((await warningOf())?.decision).toBeNull();
  expect((await leaf(key, "checks")).data.textState).toBe("warnings only");
  const warned = await casebook.loader(asked({}, { path: "/casebook?state=warned" }));
  expect(warned.rows.map((row) => row.key)).toContain(key);
  expect(textOfPage(casebook.default, warned)).toContain("warnings only");
});

test("the Casebook's filters hold signs of patterns, many words and what is none", async () => {
  const key = await collect({
    program: "rate = '100%_x'\nprint(rat)\n",
    symptom: "nothing appears",
    language: "python",
  });
  const found = async (query: string) =>
    (await casebook.loader(asked({}, { path: `/casebook?${query}` }))).rows.map((row) => row.key);
  expect(await found(`text=${encodeURIComponent("100%_x")}`)).toContain(key);
  expect(await found(`text=${encodeURIComponent("100__x")}`)).not.toContain(key);
  expect(await found(`text=${encodeURIComponent("RATE \\ rat")}`)).not.toContain(key);
  expect(await found("text=rate+rat&language=python")).toContain(key);
  expect(await found("language=nothing")).toEqual([]);
  expect(await found("state=no+such+state&class=")).toContain(key);
  expect(await found("page=minus")).toContain(key);
  expect(await found(`course=${course}&student=nobody`)).toEqual([]);
});

test("pseudocode is drawn, and written otherwise; a chart in words is taken in as the program that it stands for", async () => {
  const result = { expected: "full\n", actual: "nothing" };
  const drawing = '1: cars ← 5\n2? cars > 4\n3: OUTPUT "full"\nbegin -> 1\n1 -> 2\n2 yes -> 3\n2 no -> end\n3 -> end\n';
  const key = await collect({ program: drawing, purpose: "Says whether the deck is full.", ...result });
  const { data, path } = await leaf(key, "chart");
  expect(data.lines).toEqual(["cars ← 5", "IF cars > 4 THEN", '    OUTPUT "full"', "ENDIF"]);
  expect(data.charts?.charts[0]?.boxes.map((box) => box.text)).toEqual([
    "Begin",
    "cars ← 5",
    "cars > 4",
    'OUTPUT "full"',
    "End",
  ]);
  const markup = markupOf(page.default, data, path);
  expect(markup).toContain("<title");
  expect(textOfPage(page.default, data, path)).toContain("cars &gt; 4 – yes: OUTPUT &quot;full&quot;");
  const asPython = await page.loader(asked({ caseKey: key }, { path: `/cases/${key}?leaf=chart&form=python` }));
  expect(asPython.forms && "text" in asPython.forms ? asPython.forms.text : "").toContain("if cars > 4:");

  const loose = await answered(
    tray.action(asked({}, { form: { intent: "collect", program: drawing.replace("3 -> end\n", ""), ...result } })),
  );
  expect(loose.problems?.program).toContain("Line 3: No arrow leads away from 3.");

  // What cannot be read has no chart, and says so; other languages have none at all.
  const broken = await collect({ program: "IF cars > 4\nOUTPUT 1\nENDIF\n", language: "pseudocode", ...result });
  expect(await text(broken, "chart")).toContain("cannot be read as it stands");
  const python = await collect({ program: "print(4)\n", ...result });
  expect((await leaf(python, "chart")).data.charts).toBeUndefined();
});
