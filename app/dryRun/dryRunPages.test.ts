import { afterAll, beforeAll, expect, test } from "vitest";
import { packRows, unpackRows } from "../../core/formats/packedTable.ts";
import { findCase } from "../../server/cases/caseStore.ts";
import { tryFix } from "../../server/mend/tryFix.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { keepTableStyle } from "../../server/people/tableStyleStore.ts";
import { byTeacher, openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as tray from "../tray/page.tsx";
import * as beside from "./besidePage.tsx";
import * as expressions from "./expressionsFile.ts";
import * as filesAt from "./filesAtFile.ts";
import * as holds from "./holdsFile.ts";
import * as room from "./page.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(() => services.close());

/** Where the loop of passengers takes one too many. */
const program = `def fare(age):
    if age < 6 or age > 99:
        return 0
    return 7 if age >= 16 else 3

total = 0
for age in [4, 16, 30]:
    total = total + fare(age)
print("Total", total)
`;

async function collect(text: string, expected: string): Promise<string> {
  const form = { intent: "collect", program: text, expected, actual: "something else", language: "python" };
  const said = await answered(tray.action(asked({}, { form })));
  const key = /\/cases\/(\w+)/.exec(said.location ?? "")?.[1];
  if (!key) throw new Error(JSON.stringify(said));
  return key;
}

async function opened(caseKey: string, query = "") {
  const path = `/cases/${caseKey}/run${query}`;
  const data = await room.loader(asked({ caseKey }, { path }));
  return { path, data, rows: unpackRows(data.packed, data.columns) };
}

const taken = async (caseKey: string, version: string, check: string, step: number | string) =>
  expressions.loader(
    asked({ caseKey }, { path: `/cases/${caseKey}/expressions?version=${version}&check=${check}&step=${step}` }),
  );

test("the room has every row with its calls, decisions and passes, and the page is drawn from it", async () => {
  const key = await collect(program, "Total 7");
  const { path, data, rows } = await opened(key);
  expect(rows.filter((row) => row.line === 2).map((row) => row.condition)).toEqual([
    "true; age > 99: not looked at",
    "false",
    "false",
  ]);
  expect(rows.find((row) => row.line === 8)?.pass).toBe("1");
  expect(data.intended).toBe("Total 7");
  expect(unpackRows(packRows({ columns: data.columns, rows }), data.columns)).toEqual(rows);
  const drawn = await textOfPage(room.default, data, path);
  expect(drawn).toContain("about to run: line 6");
  expect(drawn).toContain("To the first wrong output");
  expect(drawn).toContain("No variable has a value yet.");
  // What only defines is folded away until it is asked for.
  const unfolded = await opened(key, "?defining=shown");
  expect([rows[0]?.line, unfolded.rows[0]?.line, unfolded.rows.length - rows.length]).toEqual([6, 1, 1]);
  const byPass = await opened(key, "?rows=pass");
  expect(byPass.rows.length).toBeLessThan(rows.length);
  expect((await opened(key, "?rows=sideways")).data.rows).toBe("line");
});

test("a line is taken apart with the values that it had, calls with what they gave back", async () => {
  const key = await collect(program, "Total 7");
  const { data, rows } = await opened(key);
  const second = rows.filter((row) => row.line === 8 && row.pass === "2")[0];
  const [sum] = await taken(key, data.version, data.check, second?.step ?? -1);
  expect(sum?.use).toBe("assigned");
  expect(sum?.machine.map((line) => line.text)).toEqual(["total + fare(age)", "0 + fare(16)", "0 + 7", "7"]);
  const decision = rows.find((row) => row.line === 2);
  const [asking] = await taken(key, data.version, data.check, decision?.step ?? -1);
  expect(asking?.machine.some((line) => line.skipped.length > 0)).toBe(true);
  expect(asking?.paper.at(-2)?.text).toBe("True or False");
});

test("steps, versions and cases that there are not give nothing, or say so", async () => {
  const key = await collect(program, "Total 7");
  const { data } = await opened(key);
  expect(await taken(key, data.version, data.check, 99_999)).toEqual([]);
  expect(await taken(key, data.version, data.check, "second")).toEqual([]);
  expect(await taken(key, "none", data.check, 1)).toEqual([]);
  await expect(taken("none", data.version, data.check, 1)).rejects.toMatchObject({ init: { status: 404 } });
  await expect(opened("none")).rejects.toMatchObject({ init: { status: 404 } });
});

test("a program that is refused says so, and has no moves", async () => {
  const key = await collect("if 3 > 2\n    print('full')\n", "full");
  const { path, data, rows } = await opened(key);
  expect(rows).toEqual([]);
  const drawn = await textOfPage(room.default, data, path);
  expect(drawn).toContain("It was refused before any line ran");
  expect(drawn).not.toContain("Next line");
});

async function compared(caseKey: string, query = "") {
  const path = `/cases/${caseKey}/beside${query}`;
  const data = await beside.loader(asked({ caseKey }, { path }));
  return { data, drawn: await textOfPage(beside.default, data, path) };
}

test("the version as handed in beside the mended one: where they part is said and marked", async () => {
  const key = await collect(program, "Total 10");
  const found = await findCase(services.database, key);
  if (!found) throw new Error("no case");
  // A try that is none: it leaves the sum out, and so does the record of its run.
  const tried = await tryFix(services, found, byTeacher(found), program.replace("total + fare", "fare"), false);
  expect(tried.ok).toBe(true);
  const newest = (await compared(key)).data.versions.at(-1)?.key;
  const { data, drawn } = await compared(key, `?right=${newest}`);
  expect(data.view?.first).toMatchObject({ column: "total" });
  // Fares are 0, 7 and 7: only with the last one the sums part.
  expect(data.view?.first?.words).toBe("total: 14 on the left (line 8), no change on the right (line 8).");
  expect(drawn).toContain("They part at step");
});

test("the same run twice has no difference; what there is not is said in words", async () => {
  const key = await collect(program, "Total 10");
  const { data, drawn } = await compared(key);
  expect(data.view?.first).toBe(null);
  expect(drawn).toContain("There is no difference for this input");
  expect((await compared(key, "?left=none")).drawn).toContain("There is no such version.");
  expect((await compared(key, "?rightCheck=none")).drawn).toContain("There is no such check.");
  expect((await compared(key, "?right=model")).drawn).toContain("no model program in Python");
});

/** A class, two names of one ferry, a list of cars, a recursion, and a file that is read. */
const islands = `class Ferry:
    def __init__(self, load):
        self.load = load

    def board(self, cars):
        self.load = self.load + cars

def ways(islands):
    if islands == 0:
        return 1
    return ways(islands - 1) + ways(islands - 1)

tern = Ferry(3)
flag = tern
flag.board(2)
deck = [4, 0, 7]
print(ways(2), deck[0] + tern.load)
`;

test("objects go by short names, with what they hold beside them; a list stands part by part where it is asked for", async () => {
  const key = await collect(islands, "4 10");
  const { path, data, rows } = await opened(key);
  expect(rows.find((row) => row.cells.flag)?.cells.flag).toBe("Ferry 1");
  expect(rows.findLast((row) => row.objects)?.objects).toEqual({ "Ferry 1": "Ferry(load=5)" });
  const drawn = await textOfPage(room.default, data, path);
  for (const words of ["new Ferry: self", "deck part by part", "What if", "Console so far"])
    expect(drawn).toContain(words);
  const parted = await opened(key, "?parts=deck&parts=nothing");
  expect(parted.data.columns.map((column) => column.title)).toEqual(
    expect.arrayContaining(["length of deck", "deck[0]", "deck[2]"]),
  );
  expect(await textOfPage(room.default, parted.data, parted.path)).toContain("deck as one column");
});

test("the room goes by the course's style, where its address says nothing else", async () => {
  const { database } = services;
  const course = await addCourse(database, "Year 9", "python");
  const key = await collect(islands, "4 10");
  await database.query("update faulty_case set course = $2 where key = $1", [key, course]);
  await keepTableStyle(database, course, {
    ...{ name: "paper", rows: "change", unchanged: "repeated", texts: "plain", truth: "plain", objects: "whole" },
    ...{ columns: ["depth"], notation: "free" },
  });
  const { data, rows } = await opened(key);
  expect([data.rows, data.style.unchanged]).toEqual(["change", "repeated"]);
  expect(rows.find((row) => row.cells.flag)?.cells.flag).toBe("Ferry(load=3)");
  expect((await opened(key, "?rows=line")).data.rows).toBe("line");
});

const holding = async (caseKey: string, query: string) =>
  holds.loader(asked({ caseKey }, { path: `/cases/${caseKey}/holds?${query}` }));

test("a breakpoint's condition is asked each time that its line is about to run", async () => {
  const key = await collect(islands, "4 10");
  const { data, rows } = await opened(key);
  const run = `version=${data.version}&check=${data.check}`;
  const found = await holding(key, `${run}&line=9&condition=${encodeURIComponent("islands == 0")}`);
  expect([found.ran, found.steps.length, found.why]).toEqual([7, 4, ""]);
  for (const step of found.steps) expect(rows.find((row) => row.step === step)?.condition).toBe("true");
  const wrong = await holding(key, `${run}&line=9&condition=${encodeURIComponent("islands = = 0")}`);
  expect([wrong.steps, wrong.why]).toEqual([[], "“islands = = 0” is no condition of Python."]);
  expect((await holding(key, `${run}&line=9&condition=boats`)).why).toContain("boats has no value here");
  expect(await holding(key, `${run}&line=9&condition=`)).toEqual({ steps: [], ran: 0, why: "There is no condition." });
  expect((await holding(key, `version=none&check=${data.check}&line=9&condition=1`)).steps).toEqual([]);
});

test("an expression that is asked is worked out with the values that there are, and says its type", async () => {
  const key = await collect(islands, "4 10");
  const { data, rows } = await opened(key);
  const print = rows.find((row) => row.line === 17);
  const asking = async (text: string) => {
    const query = `version=${data.version}&check=${data.check}&step=${print?.step}&expression=${encodeURIComponent(text)}`;
    return (await expressions.loader(asked({ caseKey: key }, { path: `/cases/${key}/expressions?${query}` })))[0];
  };
  expect(await asking("flag.load * 2 > len(deck)")).toMatchObject({
    use: "wanted",
    value: "True",
    type: "bool",
    why: "",
  });
  expect(await asking("tern.load / deck[1]")).toMatchObject({ raised: true, why: expect.stringContaining("zero") });
  expect(await asking("deck = = 1")).toMatchObject({ machine: [], why: "“deck = = 1” is no expression of Python." });
});

test("what if: the rest of the run beside the real one, up to where they part", async () => {
  const key = await collect(islands, "4 10");
  const { data, rows } = await opened(key);
  const step = rows.find((row) => row.line === 17)?.step;
  const both = `?left=${data.version}&leftCheck=${data.check}&right=${data.version}&rightCheck=${data.check}`;
  const changed = (query: string) => compared(key, `${both}&${query}`);
  const { data: page, drawn } = await changed(`step=${step}&name=tern.load&value=40`);
  expect(page.view?.first?.words).toBe(
    "tern: no change on the left (line 17), Ferry 1: load=40 on the right (line 17).",
  );
  expect(page.view?.alike).toContain("deck");
  expect(drawn).toContain("The program’s text is the same on both sides.");
  const same = await changed(`step=${step}&file=fares.txt&text=12`);
  expect(same.drawn).toContain("There is no difference for this input");
  for (const [query, words] of [
    [`step=${step}&name=berth&value=`, "Say which value berth is to get."],
    [`step=${step}&name=tern.load&value=a lot of`, "tern.load could not be given"],
    [`step=${step}&file=../fares.txt&text=12`, "does not lie beside the program"],
    [`step=${step}&file=fares.txt&gone=yes`, "fares.txt: No such file"],
    ["step=99999&name=deck&value=1", "There is no such step"],
    [`step=${rows.find((row) => row.call)?.step}&name=deck&value=1`, "where a line begins"],
  ] as const)
    expect((await changed(query)).drawn).toContain(words);
});

test("files beside the program are told as they stand at a step; a step that is none says so", async () => {
  const key = await collect(
    "with open('log.txt', 'w') as log:\n    log.write('trip 1')\nprint(open('log.txt').read())\n",
    "trip 2",
  );
  const { data, rows } = await opened(key);
  const at = (step: number | undefined) => {
    const path = `/cases/${key}/files-at?version=${data.version}&check=${data.check}&step=${step}`;
    return filesAt.loader(asked({ caseKey: key }, { path }));
  };
  const last = rows.find((row) => row.line === 3)?.step;
  expect(await at(last)).toEqual({ files: [{ name: "log.txt", text: "trip 1" }], why: "" });
  expect(await at(rows[0]?.step)).toEqual({ files: [], why: "" });
  expect((await at(999)).why).toContain("There is no such step");
});

test("a language whose recorder has no way for it says so in the place of what if", async () => {
  const form = {
    intent: "collect",
    program: "total = 3;\ndisp(total)\n",
    expected: "4",
    actual: "3",
    language: "octave",
  };
  const said = await answered(tray.action(asked({}, { form })));
  const key = /\/cases\/(\w+)/.exec(said.location ?? "")?.[1] ?? "";
  const { data } = await opened(key);
  expect(data.changes).toContain("its recorder has no way for it");
});
