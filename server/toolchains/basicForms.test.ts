import { afterAll, expect, test } from "vitest";
import { consoleText, limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import { judgeProgram, languageOf } from "../judge/judge.ts";
import { sharedToolchains } from "../testToolchains.ts";

const toolchains = sharedToolchains();
const language = languageOf({ language: "basic-forms" });
afterAll(() => toolchains.close());

const limits = limitsSchema.parse({ wallSeconds: 60 });
function request(program: string, input = "", others: Readonly<Record<string, string>> = {}, name = "Form1.vb") {
  const files = Object.entries({ [name]: program, ...others });
  return { files: files.map(([file, text]) => ({ name: file, bytes: Buffer.from(text) })), input, limits };
}
function toolchain() {
  const found = toolchains.find("basic-forms");
  if (!found) throw new Error("no toolchain");
  return found;
}
const run = (...given: Parameters<typeof request>) => toolchain().run(request(...given));
const printed = (outcome: Outcome) => consoleText(outcome.console, ["out"]);
const main = (...lines: string[]) =>
  `Module Deck\n  Sub Main()\n${lines.map((line) => `    ${line}\n`).join("")}  End Sub\nEnd Module\n`;

const fares = `Public Class Form1
  Private Sub btnWork_Click(sender As Object, e As EventArgs) Handles btnWork.Click
    If optChild.Checked Then lblFare.Text = "2" Else lblFare.Text = "4"
    lblBoat.Text = lstBoats.SelectedItem
    Dim name As String = InputBox("Whose ticket?")
    If MsgBox("Print it, " & name & "?", vbYesNo) = vbNo Then btnWork.Enabled = False
  End Sub
  Private Sub Form1_Load(sender As Object, e As EventArgs) Handles MyBase.Load
    lstBoats.Items.Add("Gannet")
    lstBoats.Items.Add("Puffin")
  End Sub
End Class
`;

test("what a form's user does is done in its order, boxes are answered, and what the form shows is told", async () => {
  const outcome = await run(
    fares,
    "choose lstBoats Puffin\ntick optAdult\ntick optChild\npress btnWork\nanswer Merle\nanswer no\npress btnWork\n",
    {
      "Form1.form":
        "form Form1\noption optAdult\noption optChild\nlabel lblFare\nlabel lblBoat\nlist lstBoats\nbutton btnWork\n",
    },
  );
  expect(outcome).toMatchObject({ finished: true, stoppedBy: "none", effects: [], inputRanOut: false });
  expect(printed(outcome)).toBe(
    "Whose ticket? Print it, Merle?\nform optAdult = not ticked\nform optChild = ticked\nform lblFare = 2\nform lblBoat = Puffin\nform lstBoats = Gannet | Puffin\n",
  );
  // The second press finds a button that cannot be used any more.
  expect(outcome.forms).toMatchObject({ missed: ["press btnWork"], unheard: [] });
});

test("a routine that is stopped is told with its line, and the form as it stood then", async () => {
  const outcome = await run(
    'Public Class Form1\n  Private Sub btnWork_Click() Handles btnWork.Click\n    lblFare.Text = "?"\n    lblFare.Text = CInt(txtCars.Text) * 4\n  End Sub\nEnd Class\n',
    "type txtCars two\npress btnWork\n",
  );
  expect(outcome.diagnostics.find((each) => each.primary)).toMatchObject({
    line: 4,
    errorName: "InvalidCastException",
  });
  expect(printed(outcome)).toContain("form lblFare = ?\n");
});

test("what our translator cannot run is no fault of the program: nothing is judged, and the line is named", async () => {
  const program = main("On Error Resume Next", "Console.WriteLine(3)");
  const outcome = await run(program);
  expect(outcome).toMatchObject({ stoppedBy: "broken", trouble: expect.stringContaining("Line 3") });
  const { judgement } = await judgeProgram(toolchains, {
    language,
    input: "",
    expected: "3\n",
    policies: { endlessClass: "logic" },
    files: request(program).files,
  });
  expect(judgement.class).toBeNull();
  // Among many it is left for a run of its own; the others are told.
  const variants = [program, main("Console.WriteLine(3)"), main("Console.WriteLin(3)")].map((text) => ({
    main: Buffer.from(text),
    input: "",
  }));
  const told = await toolchain().runMany?.(request(program), variants, 30);
  expect(told?.map((each) => each?.stoppedBy ?? null)).toEqual([null, "none", "refused"]);
});

test("a file that says what stands on the form and is not understood is named with its line", async () => {
  const outcome = await run(fares, "", { "Form1.form": "form Form1\nknob turn\n" });
  expect(outcome).toMatchObject({
    stoppedBy: "broken",
    trouble: expect.stringMatching(/^Form1\.form, line 2: .*“knob”/),
  });
});

test("a program under another ending runs as well, and is called by its own name", async () => {
  const outcome = await run(main("Dim loads(1) As Integer", "loads(2) = UBound(loads)"), "", {}, "deck.frm");
  expect(outcome.diagnostics.find((each) => each.primary)).toMatchObject({ file: "deck.frm", line: 4 });
});

test("several files are one program; each is told by its own lines", async () => {
  const outcome = await run(
    "Module Deck\n  Sub Main()\n    Console.WriteLine(Rest(12))\n    Console.WriteLine(Rest(0))\n  End Sub\nEnd Module\n",
    "",
    {
      "Places.vb":
        "Module Places\n  Public Most As Integer = 40\n\n  Function Rest(cars As Integer) As Integer\n    Return Most \\ cars\n  End Function\nEnd Module\n",
    },
  );
  expect(printed(outcome)).toBe("3\n");
  expect(outcome.diagnostics.find((each) => each.primary)?.frames?.map(({ file, line }) => `${file}:${line}`)).toEqual(
    expect.arrayContaining(["Places.vb:5", "Form1.vb:4"]),
  );
});

test("what answers one press after another is called by no row; what the form shows is a column, by what it shows", async () => {
  const program =
    "Public Class Form1\n  Dim cars As Integer\n  Private Sub btnCar_Click() Handles btnCar.Click\n    cars += 1\n    lblCars.Text = cars\n  End Sub\nEnd Class\n";
  const { steps } = await toolchain().trace(request(program, "press btnCar\npress btnCar\n"));
  expect(steps.filter(({ calls }) => calls)).toEqual([]);
  expect(steps.map(({ line, depth }) => [line, depth])).toEqual([3, 4, 5, 3, 4, 5].map((line) => [line, 0]));
  const shown = steps.flatMap(({ writes }) =>
    writes.filter(({ path }) => path[0] === "lblCars").map(({ value }) => value?.text),
  );
  expect(shown).toEqual(['"1"', '"2"']);
});
