import { afterAll, beforeAll, expect, test } from "vitest";
import { packRows, unpackRows } from "../../core/formats/packedTable.ts";
import { findCase } from "../../server/cases/caseStore.ts";
import { tryFix } from "../../server/mend/tryFix.ts";
import { byTeacher, openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as tray from "../tray/page.tsx";
import * as beside from "./besidePage.tsx";
import * as expressions from "./expressionsFile.ts";
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
}, 60_000);

test("the same run twice has no difference; what there is not is said in words", async () => {
  const key = await collect(program, "Total 10");
  const { data, drawn } = await compared(key);
  expect(data.view?.first).toBe(null);
  expect(drawn).toContain("There is no difference for this input");
  expect((await compared(key, "?left=none")).drawn).toContain("There is no such version.");
  expect((await compared(key, "?rightCheck=none")).drawn).toContain("There is no such check.");
  expect((await compared(key, "?right=model")).drawn).toContain("no model program in Python");
});
