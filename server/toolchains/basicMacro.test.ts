import { afterAll, expect, test } from "vitest";
import { consoleText, limitsSchema, type Outcome, type Sheet } from "../../core/outcome/outcome.ts";
import { judgeProgram, languageOf } from "../judge/judge.ts";
import { sharedToolchains } from "../testToolchains.ts";
import { takeSheets } from "./sheets.ts";

const toolchains = sharedToolchains();
const language = languageOf({ language: "basic-macro" });
afterAll(() => toolchains.close());

const limits = limitsSchema.parse({ wallSeconds: 60 });
const fares = "crossing,fare\nnorth,12\nsouth,8.5\n";

function request(program: string, input = "", others: Readonly<Record<string, string>> = {}) {
  const files = Object.entries({ "fares.bas": program, ...others });
  return { files: files.map(([name, text]) => ({ name, bytes: Buffer.from(text) })), input, limits };
}
function toolchain() {
  const found = toolchains.find("basic-macro");
  if (!found) throw new Error("no toolchain");
  return found;
}
const run = (program: string, input?: string, others?: Readonly<Record<string, string>>) =>
  toolchain().run(request(program, input, others));
const main = (...lines: string[]) => `Sub Main\n${lines.join("\n")}\nEnd Sub\n`;
const primary = (outcome: Outcome) => outcome.diagnostics.find((each) => each.primary);
const cell = (sheets: readonly Sheet[] | undefined, at: string) => sheets?.[0]?.cells.find((each) => each.at === at);

test("a macro works on the sheets that are given as files; what it changed is told with what stood there", async () => {
  const outcome = await run(
    main(
      '  sheet = ThisComponent.Sheets.getByName("Fares")',
      '  sheet.getCellRangeByName("B2").Value = 14',
      '  sheet.getCellRangeByName("B4").Formula = "=SUM(B2:B3)"',
      '  sheet.getCellRangeByName("A3").String = ""',
      '  sheet.getCellRangeByName("C1").Formula = "=B2/0"',
    ),
    "",
    { "Fares.csv": fares },
  );
  expect(outcome).toMatchObject({ finished: true, stoppedBy: "none", diagnostics: [], effects: [] });
  expect(outcome.sheets?.map(({ name, cut }) => [name, cut])).toEqual([["Fares", false]]);
  expect(cell(outcome.sheets, "B2")).toEqual({ at: "B2", kind: "number", shown: "14", before: "12" });
  expect(cell(outcome.sheets, "B3")).toEqual({ at: "B3", kind: "number", shown: "8.5" });
  expect(cell(outcome.sheets, "B4")).toEqual({
    at: "B4",
    kind: "number",
    shown: "22.5",
    formula: "=SUM(B2:B3)",
    before: "",
  });
  expect(cell(outcome.sheets, "A3")).toEqual({ at: "A3", kind: "empty", shown: "", before: "south" });
  expect(cell(outcome.sheets, "C1")).toMatchObject({ kind: "error", shown: "#DIV/0!" });
});

test("a macro that stops leaves what it had done, and the line that the office does not tell is known", async () => {
  const outcome = await run(
    main(
      "  sheet = ThisComponent.Sheets.getByIndex(0)",
      '  sheet.getCellRangeByName("A1").Value = 4',
      '  sheet.getCellRangeByName("A2").Valu = 5',
    ),
  );
  expect([outcome.started, outcome.stoppedBy]).toEqual([true, "fault"]);
  expect(primary(outcome)).toMatchObject({
    line: 4,
    code: "423",
    message: "Property or method not found: Valu.",
    stage: "run",
  });
  expect(cell(outcome.sheets, "A1")?.shown).toBe("4");
  expect(cell(outcome.sheets, "A2")).toBeUndefined();
});

test("in a routine, in a condition of a later pass, behind a call: the line is that of what stopped", async () => {
  const lines = await Promise.all(
    [
      `${main("  x = Half(4)", "  y = Half(0)")}Function Half(n)\n  Half = 1 / n\nEnd Function\n`,
      main("  n = 3", "  While 6 / n > 1", "    n = n - 1", "  Wend"),
      main("  n = 0", "  If n > 1 Then", "    n = 2", "  ElseIf 1 / n > 1 Then", "    n = 3", "  End If"),
      `${main("  n = 1 / Zero(3)")}Function Zero(n)\n  Zero = n - 3\nEnd Function\n`,
    ].map(async (program) => primary(await run(program))?.line),
  );
  expect(lines).toEqual([6, 3, 5, 2]);
});

test("a refusal names the line by the smallest part that is refused, and nothing is run", async () => {
  const missingEnd = main("  x = 4", "  If x > 3 Then", '    MsgBox "heavy"');
  const refused = await run(missingEnd);
  expect([refused.started, refused.stoppedBy, primary(refused)?.line]).toEqual([false, "refused", 5]);
  expect(consoleText(refused.console, ["out"])).toBe("");
  expect(refused.sheets).toBeUndefined();
  expect(primary(await run(main("  Dim a As Integer", "  a = (3 + 4", "  a = 5")))?.line).toBe(3);
  expect(primary(await toolchain().check(request(main('  MsgBox "heavy'))))).toMatchObject({
    line: 2,
    stage: "translation",
  });
});

test("a routine that nothing defines is refused by our own check, and what the office did all the same is told beside it", async () => {
  const outcome = await run(main("  ThisComponent.Sheets.getByIndex(0).getCellByPosition(0, 0).Value = 1", "  Fil 3"));
  expect([outcome.started, outcome.stoppedBy]).toEqual([false, "refused"]);
  expect(primary(outcome)).toMatchObject({
    line: 3,
    message: "Routine “Fil” is not defined.",
    tool: "our own check before a macro runs (stand-in)",
  });
  expect(consoleText(outcome.console, ["err"])).toContain("run all the same, it stopped at line 3");
  expect(cell(outcome.sheets, "A1")?.before).toBe("");
  const unreached = await run(main("  If False Then", "    Fil 3", "  End If"));
  expect(consoleText(unreached.console, ["err"])).toContain("came to its end, since the place is not reached");
});

test("the same misspelt name: empty without the strict option, refused with it", async () => {
  const program = main("  Dim total As Integer", "  total = 4", '  MsgBox "Total: " & totl');
  const lax = await run(program);
  expect([consoleText(lax.console, ["out"]), lax.stoppedBy]).toEqual(["Total: \n", "none"]);
  const strict = await run(`Option Explicit\n${program}`);
  expect([strict.stoppedBy, primary(strict)?.message]).toEqual(["refused", "“totl” is not declared."]);
});

test("boxes are the console; what is asked for is typed in; a second module is there", async () => {
  const outcome = await run(
    main(
      '  cars = CInt(InputBox("Cars?"))',
      '  Print "Deck"; Weigh(cars)',
      '  answer = MsgBox("Sail?", 4)',
      "  MsgBox answer",
    ),
    "4\n",
    { "loads.bas": "Function Weigh(n)\n  Weigh = n * 2\nEnd Function\n" },
  );
  const seen = outcome.console.map(({ kind, text }) => (kind === "in" ? `<${text}>` : text)).join("");
  expect(seen).toBe("Cars? <4\n>Deck 8\nSail?\n6\n");
});

test("a macro that was written for another office finds its objects, and its lines keep their numbers", async () => {
  const program = main(
    "  Cells(1, 1).Value = 4",
    '  Range("B1").Value = Range("A1").Value + 1',
    '  Worksheets("Fares").Range("C1").Value = ActiveSheet.Name',
    '  Range("D1").Valeu = 5',
  );
  const outcome = await run(program, "", { "Fares.csv": "" });
  expect(primary(outcome)).toMatchObject({ line: 5, stage: "run" });
  expect(primary(outcome)?.message).toContain("Property or method not found: Valeu");
  expect(["A1", "B1", "C1"].map((at) => cell(outcome.sheets, at)?.shown)).toEqual(["4", "5", "Fares"]);
  const trace = await toolchain().trace(request(program, "", { "Fares.csv": "" }));
  expect(trace.steps.map((step) => step.line)).toEqual([1, 2, 3, 4, 5]);
  expect(primary(await run(main("  Cells(1, 1).Value = 4", "  x = = 3")))?.line).toBe(3);
});

test("many macros in one office give what each gives alone", async () => {
  const texts: Array<readonly [string, string]> = [
    [main('  MsgBox "Deck " & InputBox("Cars?")'), "4\n"],
    [main("  ThisComponent.Sheets.getByIndex(0).getCellByPosition(0, 0).Value = 7"), ""],
    [main("  MsgBox ThisComponent.Sheets.getByIndex(0).getCellByPosition(0, 0).String & totl"), ""],
    [main("  x = 1 / (y * 0)"), ""],
    [main("  x = = 3"), ""],
    [main("  Do While True", "  Loop"), ""],
    [main("  Fil 3"), ""],
    [main('  MsgBox "last"', "  End", '  MsgBox "never"'), ""],
  ];
  // Only the endless one is to come to its limits, however slow the machine is beside other work.
  const own = { ...limits, cpuSeconds: 3, wallSeconds: 30 };
  const many = await toolchain().runMany?.(
    { ...request(""), limits: own, hurried: true },
    texts.map(([text, input]) => ({ main: Buffer.from(text), input })),
    180,
  );
  const seen = (outcome: Outcome | null | undefined) => ({
    by: outcome?.stoppedBy,
    said: outcome && consoleText(outcome.console, ["out", "in"]),
    line: outcome && primary(outcome)?.line,
    sheets: outcome?.stoppedBy === "refused" ? undefined : outcome?.sheets,
  });
  for (const [at, [text, input]] of texts.entries()) {
    const alone = await toolchain().run({ ...request(text, input), limits: own });
    expect(seen(many?.[at]), text).toEqual(seen(alone));
  }
});

test("judged: a name that is misspelt in a property is a runtime error, a wrong cell a logic error", async () => {
  const judged = async (program: string) => {
    const { judgement } = await judgeProgram(toolchains, {
      ...{ ...request(program), language, expected: "20\n", policies: { endlessClass: "logic" } },
    });
    return [judgement.class, judgement.kind];
  };
  expect(await judged(main("  MsgBox 2 + 3 * 4"))).toEqual(["logic", null]);
  expect(await judged(main("  ThisComponent.Sheetss.getByIndex(0)"))).toEqual(["runtime", null]);
  expect(await judged(main("  MsgBox 2 + "))).toEqual(["syntax", "form"]);
  expect(await judged(main("  MsgBx 2"))).toEqual(["syntax", "meaning"]);
});

test("what a box asked is told apart from what was shown", () => {
  const console = [
    { kind: "out" as const, text: "Deck\nCars? " },
    { kind: "in" as const, text: "4\n" },
    { kind: "out" as const, text: "8\n" },
  ];
  expect(takeSheets(console).console).toEqual([
    { kind: "out", text: "Deck\n" },
    { kind: "out", text: "Cars? ", asked: true },
    ...console.slice(1),
  ]);
});

test("sheets are taken out of the errors; what is no list of sheets is left out and hides nothing else", () => {
  const told = JSON.stringify([{ name: "Fares", cut: false, cells: [] }]);
  expect(takeSheets([{ kind: "err", text: `stopped\n\u001e${told}\n` }])).toEqual({
    console: [{ kind: "err", text: "stopped\n" }],
    sheets: [{ name: "Fares", cut: false, cells: [] }],
  });
  const parts = [
    { kind: "err" as const, text: `\u001e${told.slice(0, 9)}` },
    { kind: "out" as const, text: "x" },
    { kind: "err" as const, text: told.slice(9) },
  ];
  expect(takeSheets(parts)).toEqual({
    console: [{ kind: "out", text: "x" }],
    sheets: [{ name: "Fares", cut: false, cells: [] }],
  });
  expect(takeSheets([{ kind: "err", text: "a\u001e[{\n" }])).toEqual({ console: [{ kind: "err", text: "a" }] });
});
