import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { writeProgram } from "./editor.ts";

const program = `# Loads of the morning crossing, by Merrin
def heaviest(loads):
    top = loads[0]
    for load in loads:
        if load < top:
            top = load
    return top

count = int(input("How many? "))
loads = []
for number in range(count):
    loads.append(int(input("Load? ")))
print("Lightest:", minimum(loads))
print("Heaviest:", heaviest(loads))
`;
const named = program.replace("minimum(loads)", "min(loads)");
const turned = named.replace("load < top", "load > top");

test("the whole job, from a pasted program to a released mark", async ({ page, browser }) => {
  // 1. Collect.
  await page.goto("/");
  await noBarriers(page);
  await page.getByLabel("Program", { exact: true }).fill(program);
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByRole("alert")).toContainText("say what should come out");
  await expect(page.getByLabel("Program", { exact: true })).toHaveValue(program);
  await page.getByLabel("What is the program for?").fill("Find the heaviest and the lightest load.");
  await page.getByLabel("Typed in").fill("3\n4\n9\n2\n");
  await page.getByLabel("Should come out").fill("How many? Load? Load? Load? Lightest: 2\nHeaviest: 9\n");
  await page.getByLabel("Came out instead").fill("an error");
  await page.reload();
  await expect(page.getByLabel("Program", { exact: true })).toHaveValue(program);
  await page.getByLabel("Came out instead").fill("an error message");
  await page.getByRole("button", { name: "Take it in and run it" }).click();

  // 2. Judge: evidence, lines, verdict.
  await expect(page.getByRole("heading", { name: "Find the heaviest and the lightest load." })).toBeVisible();
  await expect(page.getByLabel("Verdict")).toContainText(
    "Line 9 had printed “How many?” before it stopped, so the program had started.",
  );
  await expect(page.getByLabel("Verdict")).toContainText("It was stopped at line 13 by NameError");
  await expect(page.getByRole("button", { name: /^line 13, the tool names this line/ })).toBeVisible();
  await noBarriers(page);
  await expect(page.getByRole("region", { name: "Proposal" })).toContainText("runtime error");
  await page.getByRole("button", { name: "Another class" }).click();
  await page.getByRole("button", { name: "Confirm" }).click();
  await expect(page.getByText("decided:")).toBeVisible();
  await page.getByRole("button", { name: /^line 13/ }).press("Enter");
  await expect(page.getByRole("button", { name: /^line 13, .*faulty line/ })).toHaveAttribute("aria-pressed", "true");

  // 3. Mend, layer by layer.
  await page.getByRole("link", { name: "Mend" }).click();
  await writeProgram(page, "Copy of the program", named);
  await page.getByRole("button", { name: "Run again" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("Output line 2 is “Heaviest: 2”; intended is “Heaviest: 9”.");
  await expect(page.getByRole("region", { name: "Proposal" })).toContainText("logic error");
  await writeProgram(page, "Copy of the program", named.replace("return top", "return  top"));
  await page.getByRole("button", { name: "Run again" }).click();
  await expect(page.getByText("The same error still shows")).toBeVisible();
  await writeProgram(page, "Copy of the program", turned);
  await page.getByRole("button", { name: "Run again" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("Verified: all checks pass");
  await page.getByRole("link", { name: "Versions" }).click();
  await expect(page.getByText("Version 4", { exact: true })).toBeVisible();
  await noBarriers(page);

  // 4. Dry run.
  await page.getByRole("link", { name: "Dry run" }).click();
  const table = page.getByRole("region", { name: "Trace table" });
  await expect(table.getByRole("columnheader", { name: "count" })).toBeVisible();
  await page.getByRole("button", { name: "To the start" }).click();
  await expect(page.getByText("about to run: line 2")).toBeVisible();
  await page.getByRole("button", { name: "Next line" }).click();
  await expect(page.getByText("about to run: line 9")).toBeVisible();
  await page.keyboard.press("n");
  await expect(page.getByText("about to run: line 10")).toBeVisible();
  // What was typed in stands in its own column, and in that of the variable.
  await expect(table.getByRole("columnheader", { name: "input" })).toBeVisible();
  await expect(table.getByRole("cell", { name: "3", exact: true })).toHaveCount(2);
  await page.keyboard.press("b");
  await expect(page.getByText("about to run: line 9")).toBeVisible();
  await noBarriers(page);

  // 5. An exercise, without the name, on a sheet.
  await page.getByRole("link", { name: "Make an exercise" }).click();
  await expect(page.getByRole("checkbox", { name: /Merrin/ })).toBeChecked();
  await noBarriers(page);
  await page.getByRole("button", { name: "Make the exercise" }).click();
  await expect(page.getByRole("heading", { name: "Tasks" })).toBeVisible();
  await expect(page.getByLabel("The program", { exact: true })).toContainText("by PersonA");
  await expect(page.getByRole("heading", { name: "5. Mend the program" })).toBeVisible();
  await noBarriers(page);
  await page.goto("/sheets");
  await noBarriers(page);
  await page.getByLabel("Title of a new sheet").fill("Loads of the morning");
  await page.getByLabel("Course").selectOption({ label: "Kittiwake Crossing, group 1" });
  await page.getByRole("button", { name: "Begin the sheet" }).click();
  await page.getByLabel("Put on the sheet").selectOption({ label: "Find the heaviest and the lightest load." });
  await page.getByRole("button", { name: "Put it on" }).click();
  await noBarriers(page);
  await page.getByRole("button", { name: "Set it for students" }).click();
  await expect(page.getByText("It is set.")).toBeVisible();
  const code = (await page.getByText("Sheet code").locator("strong").textContent()) ?? "";
  await page.getByRole("link", { name: "Slips with personal codes" }).click();
  const slip = page.getByRole("listitem").filter({ hasText: "S-06" });
  const personalCode = (await slip.locator("strong").first().textContent()) ?? "";
  await page.goBack();

  // 6. A student sits it on a phone.
  const phone = await browser.newContext({
    viewport: { width: 375, height: 750 },
    baseURL: new URL(page.url()).origin,
  });
  const student = await phone.newPage();
  await student.goto("/s");
  await noBarriers(student);
  await student.getByLabel("Code of the sheet").fill(code);
  await student.getByRole("button", { name: "Go on" }).click();
  await student.getByLabel("Your label").selectOption("S-06");
  await student.getByLabel("Your personal code").fill("NOPE-99");
  await student.getByRole("button", { name: "Begin" }).click();
  await expect(student.getByRole("alert")).toContainText("do not belong together");
  await student.getByLabel("Your label").selectOption("S-06");
  await student.getByLabel("Your personal code").fill(personalCode);
  await student.getByRole("button", { name: "Begin" }).click();
  await expect(student.getByRole("heading", { name: "Loads of the morning" })).toBeVisible();
  await noBarriers(student);
  expect(await student.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(375);
  const source = await student.content();
  expect(source).not.toMatch(/faultyLines|load &gt; top|load > top|hunks/);

  await student.getByRole("radio", { name: "runtime error" }).check();
  await student.getByLabel("Why is it that kind?").fill("It had started and stopped in line 13.");
  for (const line of [5, 13]) await student.getByRole("button", { name: new RegExp(`^line ${line}\\b`) }).click();
  await student.getByRole("button", { name: "Try it" }).click();
  await expect(student.getByText("First write down what you expect")).toBeVisible();
  await student.getByLabel("What does it print?").fill("How many? 3\nLoad? 4\nLoad? 9\nLoad? 2");
  await student.getByRole("radio", { name: "It stops with an error message" }).check();
  await student.getByLabel("row 3, line 10, loads").fill("[ ]");
  await expect(student.getByText("All answers are saved.")).toBeVisible();
  await student.reload();
  await expect(student.getByLabel("Why is it that kind?")).toHaveValue("It had started and stopped in line 13.");
  await expect(student.getByLabel("row 3, line 10, loads")).toHaveValue("[ ]");
  await writeProgram(student, "Program to be mended", turned.replace("Merrin", "PersonA"));
  await student.getByLabel("Type in, a line for each question").fill("1\n7\n");
  await student.getByRole("button", { name: "Try it" }).click();
  await expect(student.getByLabel("Console of your run")).toContainText("Heaviest: 7");
  await expect(student.getByLabel("What does it print?")).toBeDisabled();
  await student.getByRole("button", { name: "Hand in" }).click();
  await expect(student.getByText("Your teacher will release the marks.")).toBeVisible();
  expect(await student.content()).not.toContain("earned");

  // Marks: worked out, read, overruled, released.
  await page.getByRole("link", { name: "Mark book" }).click();
  await noBarriers(page);
  await page.getByRole("link", { name: "S-06" }).click();
  await noBarriers(page);
  await expect(page.getByText("fault 2: 2 of 2")).toBeVisible();
  await expect(page.getByText("reason: waits for you")).toBeVisible();
  await page.getByRole("button", { name: "Give" }).first().click();
  await expect(page.getByText("reason: waits for you")).toBeHidden();
  await page.getByRole("link", { name: "Mark book" }).click();
  await page.getByRole("link", { name: "The sheet" }).click();
  await page.getByRole("button", { name: "Release marks" }).click();
  await expect(page.getByText("Students see their marks now.")).toBeVisible();
  await student.reload();
  await expect(student.getByText(/You earned \d+(\.5)? of \d+ marks\./)).toBeVisible();
  await noBarriers(student);
  await phone.close();
});
