import { afterAll, beforeAll, expect, test } from "vitest";
import { usualStyle } from "../../core/trace/tableStyle.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { keepTableStyle } from "../../server/people/tableStyleStore.ts";
import { openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as tray from "../tray/page.tsx";
import * as page from "./tablePage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
let caseKey = "";
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
  const program = "age = int(input('Age? '))\nif age < 15:\n    fare = 6\nelse:\n    fare = 12\nprint('Fare', fare)\n";
  const form = { intent: "collect", program, input: "15\n", expected: "Fare 6", actual: "Fare 12", language: "python" };
  const said = await answered(tray.action(asked({}, { form })));
  caseKey = /\/cases\/(\w+)/.exec(said.location ?? "")?.[1] ?? "";
  const course = await addCourse(services.database, "Year 9", "python");
  await services.database.query("update faulty_case set course = $2 where key = $1", [caseKey, course]);
  await keepTableStyle(services.database, course, {
    ...usualStyle,
    name: "Paper",
    unchanged: "repeated",
    columns: ["depth"],
  });
});
afterAll(() => services.close());

async function printed(query: string) {
  const path = `/print/cases/${caseKey}/table${query}`;
  const data = await page.loader(asked({ caseKey }, { path }));
  return { data, text: await textOfPage(page.default, data, path) };
}

test("a blank table has the columns of the course's style and a row for each line that ran, all to be filled in", async () => {
  const { data, text } = await printed("");
  expect(data.columns.map((column) => column.title)).toEqual(["in", "age", "fare"]);
  expect([data.rows, data.count]).toEqual([null, 4]);
  expect(text).toContain("Write every value in every row.");
});

test("a filled table has its decisions, what was typed in, and its values as the course writes them", async () => {
  const { data, text } = await printed("?filled=yes");
  expect(data.columns.map((column) => column.title)).toEqual(["condition", "in", "age", "fare", "input"]);
  expect(
    data.rows?.map(({ line, cells }) => [line, ...data.columns.map(({ key }) => cells[key] ?? ""), cells.output]),
  ).toEqual([
    ["1", "", "0", "15", "", "15", "Age? "],
    ["2", "false", "0", "15", "", "", ""],
    ["5", "", "0", "15", "12", "", ""],
    ["6", "", "0", "15", "12", "", "Fare 12"],
  ]);
  expect(text).toContain("The recorded run.");
  expect((await printed("?filled=yes&rows=change")).data.rows).toHaveLength(4);
});

test("a part-filled table has the lines, or its beginning as well, and leaves the rest for the pen", async () => {
  const { data, text } = await printed("?given=lines");
  expect(data.rows?.map(({ line, cells }) => [line, cells.age ?? ""])).toEqual([
    ...[
      ["1", ""],
      ["2", ""],
      ["5", ""],
      ["6", ""],
    ],
  ]);
  expect(text).toContain("Write every value in every row.");
  expect((await printed("?given=beginning")).data.rows?.map(({ cells }) => cells.age ?? "")).toEqual([
    "15",
    "",
    "",
    "",
  ]);
  expect((await printed("?given=everything")).data.rows).toBeNull();
});

test("a case that there is not, and one that nothing runs, say so", async () => {
  await expect(page.loader(asked({ caseKey: "none" }, { path: "/print/cases/none/table" }))).rejects.toMatchObject({
    init: { status: 404 },
  });
});
