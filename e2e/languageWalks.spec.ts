import { expect, test } from "@playwright/test";
import { todaysShare } from "../tools/share.ts";
import { noBarriers } from "./axe.ts";
import { collect } from "./collect.ts";
import { writeProgram } from "./editor.ts";

/**
 * A program of each language with one wrong sign: it adds the stops' minutes once too often. `asked`: the line that
 * asks; `table`: the column of the minutes.
 */
const walks = [
  {
    language: "Java",
    program:
      'import java.util.Scanner;\n\npublic class Crossing {\n    public static void main(String[] args) {\n        Scanner in = new Scanner(System.in);\n        System.out.print("Stops? ");\n        int stops = in.nextInt();\n        int minutes = 35;\n        for (int stop = 0; stop <= stops; stop++) {\n            minutes = minutes + 5;\n        }\n        System.out.println("Minutes: " + minutes);\n    }\n}\n',
    wrong: "stop <= stops",
    right: "stop < stops",
    faulty: 9,
  },
  {
    language: "C",
    program:
      '#include <stdio.h>\n\nint main(void)\n{\n    int stops, minutes = 35;\n    printf("Stops? ");\n    scanf("%d", &stops);\n    for (int stop = 0; stop <= stops; stop++) {\n        minutes = minutes + 5;\n    }\n    printf("Minutes: %d\\n", minutes);\n    return 0;\n}\n',
    wrong: "stop <= stops",
    right: "stop < stops",
    faulty: 8,
  },
  {
    language: "C#",
    program:
      'using System;\n\nclass Crossing\n{\n    static void Main()\n    {\n        Console.Write("Stops? ");\n        int stops = int.Parse(Console.ReadLine());\n        int minutes = 35;\n        for (int stop = 0; stop <= stops; stop++)\n        {\n            minutes = minutes + 5;\n        }\n        Console.WriteLine("Minutes: " + minutes);\n    }\n}\n',
    wrong: "stop <= stops",
    right: "stop < stops",
    faulty: 10,
  },
  {
    language: "Object Pascal",
    program:
      "program Crossing;\nvar\n  stops, stop, minutes: integer;\nbegin\n  write('Stops? ');\n  readln(stops);\n  minutes := 35;\n  for stop := 0 to stops do\n    minutes := minutes + 5;\n  writeln('Minutes: ', minutes);\nend.\n",
    wrong: "stop := 0",
    right: "stop := 1",
    faulty: 8,
  },
  {
    language: "Octave",
    program:
      'stops = input("Stops? ");\nminutes = 35;\nfor stop = 0:stops\n  minutes = minutes + 5;\nend\nprintf("Minutes: %d\\n", minutes);\n',
    wrong: "0:stops",
    right: "1:stops",
    faulty: 3,
  },
  {
    language: "Pseudocode",
    program:
      'INPUT "Stops? ", stops\nminutes ← 35\nFOR stop_number ← 0 TO stops\n  minutes ← minutes + 5\nNEXT stop_number\nOUTPUT "Minutes: ", minutes\n',
    wrong: "← 0 TO",
    right: "← 1 TO",
    faulty: 3,
  },
  {
    language: "Basic macro",
    program:
      'Sub Main\n  Dim stops As Integer, halt As Integer, minutes As Integer\n  stops = CInt(InputBox("Stops?"))\n  minutes = 35\n  For halt = 0 To stops\n    minutes = minutes + 5\n  Next halt\n  MsgBox "Minutes: " & minutes\nEnd Sub\n',
    wrong: "halt = 0",
    right: "halt = 1",
    faulty: 5,
  },
  {
    language: "Typed Basic with forms",
    program:
      'Module Crossing\n  Sub Main()\n    Console.Write("Stops? ")\n    Dim stops As Integer = CInt(Console.ReadLine())\n    Dim minutes As Integer = 35\n    For halt As Integer = 0 To stops\n      minutes = minutes + 5\n    Next\n    Console.WriteLine("Minutes: " & minutes)\n  End Sub\nEnd Module\n',
    wrong: "Integer = 0 To",
    right: "Integer = 1 To",
    faulty: 6,
  },
];

// The pages of each language are those of the others: one is gone through each day, in turn.
for (const walk of todaysShare(walks, 8)) {
  test(`the whole job in ${walk.language}: judged, mended, gone through, made an exercise, sat and marked`, async ({
    page,
    browser,
  }) => {
    const title = `Crossing time in ${walk.language}`;
    const mended = walk.program.replace(walk.wrong, walk.right);
    await collect(page, walk.program, { intent: title, input: "2\n", expected: "Stops? Minutes: 45\n" });
    await expect(page.getByRole("heading", { name: title })).toBeVisible();
    await expect(page.getByText(`${walk.language} · version 1 of 1`)).toBeVisible();
    await expect(page.getByLabel("Verdict")).toContainText("“Stops? Minutes: 50”; intended is “Stops? Minutes: 45”");
    await expect(page.getByRole("region", { name: "Proposal" })).toContainText("logic error");
    await page.getByRole("button", { name: "Another class" }).click();
    await page.getByRole("button", { name: "Confirm" }).click();
    await expect(page.getByText("decided:")).toBeVisible();
    await page.getByRole("button", { name: new RegExp(`^line ${walk.faulty}\\b`) }).press("Enter");
    await noBarriers(page);
    await page.getByRole("link", { name: "Mend" }).click();
    await writeProgram(page, "Copy of the program", mended);
    await page.getByRole("button", { name: "Run again" }).click();
    await expect(page.getByLabel("Verdict")).toContainText("Verified: all checks pass");

    await page.getByRole("link", { name: "Dry run" }).click();
    const table = page.getByRole("region", { name: "Trace table" });
    await expect(table.getByRole("columnheader", { name: "minutes" })).toBeVisible();
    for (const value of ["35", "40", "45"])
      await expect(table.getByRole("cell", { name: value, exact: true }).first()).toBeVisible();
    await expect(page.getByText("The recorded run did not go as the plain run did")).toBeHidden();
    await noBarriers(page);

    await page.getByRole("link", { name: "Make an exercise" }).click();
    await page.getByRole("button", { name: "Make the exercise" }).click();
    await expect(page.getByRole("heading", { name: "5. Mend the program" })).toBeVisible();
    await page.goto("/sheets");
    await page.getByLabel("Title of a new sheet").fill(`Sheet in ${walk.language}`);
    await page.getByLabel("Course").selectOption({ label: "Kittiwake Crossing, many languages" });
    await page.getByRole("button", { name: "Begin the sheet" }).click();
    await page.getByLabel("Put on the sheet").selectOption({ label: title });
    await page.getByRole("button", { name: "Put it on" }).click();
    await page.getByRole("button", { name: "Set it for students" }).click();
    // Every task is run once more before that, in some languages by an office that has to start.
    await expect(page.getByText("It is set.")).toBeVisible({ timeout: 180_000 });
    const code = (await page.getByText("Sheet code").locator("strong").textContent()) ?? "";
    await page.getByRole("link", { name: "Slips with personal codes" }).click();
    const personal =
      (await page.getByRole("listitem").filter({ hasText: "T-04" }).locator("strong").first().textContent()) ?? "";
    await page.goBack();

    const phone = await browser.newContext({
      viewport: { width: 375, height: 750 },
      baseURL: new URL(page.url()).origin,
    });
    const student = await phone.newPage();
    await student.goto(`/s/${code}`);
    await student.getByLabel("Your label").selectOption("T-04");
    await student.getByLabel("Your personal code").fill(personal);
    await student.getByRole("button", { name: "Begin" }).click();
    await student.getByRole("radio", { name: "logic error" }).check();
    await student.getByRole("button", { name: new RegExp(`^line ${walk.faulty}\\b`) }).click();
    await student.getByLabel("What does it print?").fill("Stops? Minutes: 50");
    await student.getByRole("button", { name: "I give this up" }).last().click();
    await writeProgram(student, "Program to be mended", mended);
    await student.getByLabel("Type in, a line for each question").fill("1\n");
    await student.getByRole("button", { name: "Try it" }).click();
    await expect(student.getByLabel("Console of your run")).toContainText("Minutes: 40");
    expect(await student.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(375);
    await noBarriers(student);
    await expect(student.getByText("All answers are saved.")).toBeVisible();
    await student.getByRole("button", { name: "Hand in" }).click();
    await expect(student.getByText("Your teacher will release the marks.")).toBeVisible();
    await phone.close();

    await page.getByRole("link", { name: "Mark book" }).click();
    await page.getByRole("link", { name: "T-04" }).click();
    await expect(page.getByText(/fault 1: 2 of 2/).last()).toBeVisible();
  });
}
