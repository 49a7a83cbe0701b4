import { expect, type Page, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { codeOf, enter, openDemoCase } from "./demo.ts";

/** Signs a student of the demo in on a sheet. */
async function signIn(page: Page, code: string, label: string): Promise<void> {
  await enter(page, code, label, await codeOf(page, label));
}

test("no page holds a barrier that can be found by a program", async ({ page }) => {
  for (const place of ["/", "/casebook", "/collect", "/sheets", "/lessons", "/courses", "/backups", "/s"])
    await test.step(place, async () => {
      await page.goto(place);
      await noBarriers(page);
    });
});

test("a barrier is found where there is one, in a frame as well", async ({ page }) => {
  const pale =
    '<html lang="en"><title>Pier</title><main><p style="color:#ccc;background:#fff">Deck 3 is full</p></main>';
  await page.setContent(pale);
  await expect(noBarriers(page)).rejects.toThrow("color-contrast");
  await page.setContent(
    `<html lang="en"><title>Quay</title><main><iframe title="Deck" srcdoc='${pale}'></iframe></main>`,
  );
  await expect(noBarriers(page)).rejects.toThrow("color-contrast");
});

test("the Casebook by class, and nothing on a page but what is shown", async ({ page }) => {
  await page.goto("/casebook");
  await page.getByLabel("Which class").selectOption("runtime");
  await expect(page.getByRole("link", { name: "Passenger list with numbers" })).toBeVisible();
  await expect(page.getByRole("link", { name: "Tide heights at the slip" })).toHaveCount(0);
  await page.getByLabel("Which class").selectOption("logic");
  await expect(page.getByRole("link", { name: "May the ferry sail?" })).toBeVisible();
});

test("a listing is gone through by keys alone", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Which berth does a boat get?" }).click();
  const first = page.getByRole("button", { name: /^line 1:/ });
  // A key that is pressed before the page listens is lost: the first one is pressed until it is heard.
  await expect(async () => {
    await first.focus();
    await page.keyboard.press("ArrowDown");
    await expect(page.getByRole("button", { name: /^line 2:/ })).toBeFocused({ timeout: 1000 });
  }).toPass();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("button", { name: /^line 3:/ })).toBeFocused();
  await page.keyboard.press("End");
  await expect(page.getByRole("button", { name: /^line 9:/ })).toBeFocused();
  await page.keyboard.press("Home");
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Space");
  await expect(page.getByRole("button", { name: /^line 2, faulty line/ })).toHaveAttribute("aria-pressed", "true");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: /^line 2:/ })).toHaveAttribute("aria-pressed", "false");
});

test("? shows the keys of the page; letters can be switched off", async ({ page }) => {
  await openDemoCase(page, "Half fare up to 15");
  await page.getByRole("link", { name: "Dry run" }).click();
  await page.getByRole("button", { name: "To the start" }).click();
  await page.keyboard.press("?");
  const dialog = page.getByRole("dialog", { name: "Keys of this page" });
  await expect(dialog.getByText("next line", { exact: true })).toBeVisible();
  await noBarriers(page, '[role="dialog"]');
  await dialog.getByRole("checkbox").uncheck();
  await dialog.getByRole("button", { name: "Close" }).click();
  await page.getByRole("button", { name: "To the start" }).focus();
  await page.keyboard.press("n");
  await expect(page.getByText("about to run: line 2")).toBeVisible();
  await page.evaluate(() => localStorage.clear());
});

test("a dry run of another version and another check's input, by line and by change", async ({ page }) => {
  await openDemoCase(page, "Half fare up to 15");
  await page.getByRole("link", { name: "Dry run" }).click();
  const table = page.getByRole("region", { name: "Trace table" });
  await expect(table.getByRole("cell", { name: "Fare: 6.0" })).toBeVisible();
  await page.getByRole("combobox", { name: "Version" }).selectOption({ index: 0 });
  await expect(table.getByRole("cell", { name: "Fare: 12" })).toBeVisible();
  await page.getByRole("combobox", { name: "Input of" }).selectOption({ label: "check 2 (boundary)" });
  await expect(table.getByRole("cell", { name: "14", exact: true }).first()).toBeVisible();
  const rows = await table.getByRole("row").count();
  await page.getByRole("combobox", { name: "A row for each" }).selectOption("change");
  await expect.poll(() => table.getByRole("row").count()).toBeLessThan(rows);
  await page.getByRole("checkbox", { name: "fare: full" }).uncheck();
  await expect(table.getByRole("columnheader", { name: "full" })).toHaveCount(0);
});

test("a case before a class: nothing is told before it was asked, and it begins anew at a key", async ({ page }) => {
  await openDemoCase(page, "Passenger list with numbers");
  await page.getByRole("link", { name: "Present" }).click();
  await expect(page.getByText("0 of 12")).toBeVisible();
  await expect(page.getByText("Pause and think")).toHaveCount(0);
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("what will happen when it is run?")).toBeVisible();
  await page.keyboard.press("PageDown");
  await expect(page.getByRole("region", { name: "What comes out" })).toContainText("IndexError");
  await expect(page.getByText("runtime error")).toHaveCount(0);
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("runtime error")).toBeVisible();
  await expect(page.getByText("faulty line")).toHaveCount(0);
  for (let press = 0; press < 4; press++) await page.getByRole("button", { name: "Go on" }).click();
  await expect(page.getByText("The mistake is in line 5.")).toBeVisible();
  await noBarriers(page);
  await page.keyboard.press("r");
  await expect(page.getByText("0 of 12")).toBeVisible();
  await expect(page.getByText("runtime error")).toHaveCount(0);
});

test("results of a sheet: what was often wrong, what was taken for what, and a sheet of what was missed", async ({
  page,
}) => {
  await page.goto("/sheets");
  await page.getByRole("link", { name: "Debugging 1: errors on the ferry" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Debugging 1: errors on the ferry" })).toBeVisible();
  await page.getByRole("link", { name: "Mark book" }).click();
  await page.getByRole("link", { name: "Results" }).click();
  await expect(page.getByRole("heading", { name: "Which kind was taken for which" })).toBeVisible();
  await noBarriers(page);
  // Not pressed: a sheet with another one's title in its own would stand in the way of the other tests.
  await expect(page.getByRole("button", { name: "Make a sheet of these" })).toBeVisible();
});

test("a verdict is overruled with a reason only, and both are kept", async ({ page }) => {
  await openDemoCase(page, "Mean wave height of a week");
  await page.getByRole("button", { name: "Another class" }).click();
  await page.getByRole("button", { name: "Leave it as it was" }).click();
  await expect(page.getByRole("region", { name: "Proposal" })).toBeVisible();
  await page.getByRole("button", { name: "Another class" }).click();
  await expect(page.getByRole("radio", { name: "logic error" })).toBeFocused();
  await page.getByRole("radio", { name: "runtime error" }).check();
  await page.getByRole("button", { name: "Overrule" }).click();
  await expect(page.getByText("decided:")).toHaveCount(0);
  await page.getByLabel("Why you decide otherwise").fill("we count every wrong number so");
  await page.getByRole("button", { name: "Overrule" }).click();
  await expect(page.getByText("(evidence said logic)")).toBeVisible();
});

test("a check is added, fails or passes at once, and can be taken away again", async ({ page }) => {
  await openDemoCase(page, "May the ferry sail?");
  await page.getByRole("button", { name: "Add a check" }).click();
  await page.getByRole("textbox", { name: "Typed in" }).fill("8\n4\n");
  await page.getByRole("textbox", { name: "Should come out" }).fill("Wind? Waves? We sail\n");
  await page.getByRole("radio", { name: "erroneous" }).check();
  await page.getByRole("button", { name: "Keep and run" }).click();
  await expect(page.getByText("Check: erroneous")).toBeVisible();
  await expect(page.getByLabel("Verdict")).toContainText("Was verified; the checks have changed since.");
  const check = page.getByRole("heading", { name: "Check: erroneous" });
  await check.getByRole("button", { name: "Change" }).click();
  await page.getByRole("button", { name: "Take this check away" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("Verified: all checks pass");
});

test("a mending draft survives a reload, and a change that the fix does not need is named", async ({ page }) => {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill("high = 4\nlow = 3\nprint(lwo)\nprint(high)\n");
  await page.getByLabel("Should come out").fill("3\n4\n");
  await page.getByLabel("Came out instead").fill("an error");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await page.getByRole("link", { name: "Mend" }).click();
  const editor = page.getByLabel("Copy of the program", { exact: true });
  await editor.click();
  await page.keyboard.press("Control+a");
  await page.keyboard.insertText("high = 2 + 2\nlow = 3\nprint(low)\nprint(high)\n");
  await expect(page.getByText("The fix so far: 2 places")).toBeVisible();
  await page.reload();
  await expect(editor).toContainText("high = 2 + 2");
  await page.getByRole("button", { name: "Run again" }).click();
  await expect(page.getByText("The change at line 1 is not needed for this fix")).toBeVisible();
  await page.getByLabel("Meant to").fill("print the low tide");
  await page.getByLabel("Meant to").blur();
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByLabel("Meant to")).toHaveValue("print the low tide");
});

test("a trace task: given cells, no line numbers, a row that the student adds; marked by alignment and shown beside the key", async ({
  page,
  browser,
}) => {
  await openDemoCase(page, "Passenger list with numbers");
  await page.getByRole("link", { name: "Make an exercise" }).click();
  for (const task of ["Which kind of error is it?", "Where is the fault?", "What does it print?", "Mend the program"])
    await page.getByRole("checkbox", { name: task }).uncheck();
  await page.getByLabel("Title, as students see it").fill("Table of passengers");
  await page.getByRole("button", { name: "Make the exercise" }).click();
  await expect(page.getByRole("heading", { name: "1. Complete the trace table" })).toBeVisible();
  await page.getByRole("button", { name: "row 2, number: 1; given to students" }).click();
  await page.getByRole("checkbox", { name: "line numbers are given" }).uncheck();
  await page.getByRole("button", { name: "Keep it so" }).click();
  await expect(page.getByRole("status")).toContainText("Kept.");
  await expect(page.getByText("4 cells to be filled")).toBeVisible();

  await page.goto("/sheets");
  await page.getByLabel("Title of a new sheet").fill("Tables");
  await page.getByLabel("Course").selectOption({ label: "Kittiwake Crossing, group 1" });
  await page.getByRole("button", { name: "Begin the sheet" }).click();
  await page.getByLabel("Put on the sheet").selectOption({ label: "Table of passengers" });
  await page.getByRole("button", { name: "Put it on" }).click();
  await page.getByRole("button", { name: "Set it for students" }).click();
  const code = (await page.getByText("Sheet code").locator("strong").textContent()) ?? "";
  const sheetAddress = page.url();

  const context = await browser.newContext({ baseURL: new URL(page.url()).origin });
  const student = await context.newPage();
  await signIn(student, code, "S-02");
  const cell = (row: number, column: string) => student.getByLabel(new RegExp(`^row ${row}(, line \\d+)?, ${column}$`));
  // Rows 1 and 2 hold the given cells; the loop's first row is left out, the rest is right.
  await cell(3, "output").fill("1 Tern");
  await cell(4, "number").fill("2.0");
  await cell(5, "output").fill("2 Fulmar");
  for (let times = 0; times < 4; times++) await student.getByRole("button", { name: "Add a row" }).click();
  await cell(9, "number").fill("3");
  await expect(student.getByText("All answers are saved.")).toBeVisible();
  const data = await (await student.request.get(`/s/${code}.data`)).text();
  expect(data).not.toMatch(/faultyLines|hunks|reportedLine|"given"/);
  await student.getByRole("button", { name: "Hand in" }).click();
  await expect(student.getByText("Your teacher will release the marks.")).toBeVisible();
  await context.close();

  await page.goto(`${sheetAddress}/marks`);
  await page.getByRole("link", { name: "S-02" }).click();
  await expect(page.getByText("4 of 4 cells earn")).toBeVisible();
  await page.getByText("Overrule").click();
  await page.getByLabel("Mark", { exact: true }).fill("5");
  await page.getByLabel("Reason").fill("rows in a strange order");
  await page.getByRole("button", { name: "Give" }).click();
  await expect(page.getByText("by you, the former mark is kept")).toBeVisible();
});

test("a course takes labels once each, and its slips print them with codes", async ({ page }) => {
  await page.goto("/courses");
  await page.getByLabel("Name of a new course").fill("Evening group");
  await page.getByRole("button", { name: "Add the course" }).click();
  await page.getByLabel("Labels of more students").fill("E-1\nE-2\nE-1");
  await page.getByRole("button", { name: "Add them" }).click();
  await expect(page.getByRole("status")).toContainText("2 added; 1 were in the course already.");
  await expect(page.getByRole("row", { name: /E-2/ })).toBeVisible();
});

test("an exercise of a program that does not start warns before it shows the mended one", async ({ page }) => {
  await openDemoCase(page, "Boarding list: is there a place left?");
  await page.getByRole("link", { name: "Make an exercise" }).click();
  await expect(page.getByText("This program does not start as it was handed in")).toBeVisible();
  await expect(page.getByRole("checkbox", { name: "What does it print?" })).not.toBeChecked();
  await expect(page.getByRole("checkbox", { name: "Mend the program" })).toBeChecked();
  for (const task of ["Which kind of error is it?", "Where is the fault?", "Mend the program"])
    await page.getByRole("checkbox", { name: task }).uncheck();
  await page.getByRole("button", { name: "Make the exercise" }).click();
  await expect(page.getByRole("alert")).toContainText("Tick at least one task");
});

test("blank trace table and case on paper", async ({ page }) => {
  await openDemoCase(page, "Half fare up to 15");
  await page.getByRole("link", { name: "Print", exact: true }).click();
  await expect(page.getByText("Layer 1: logic error")).toBeVisible();
  await page.goBack();
  await page.getByRole("link", { name: "Dry run" }).click();
  await page.getByRole("link", { name: "Print a blank table" }).click();
  await expect(page.getByRole("columnheader", { name: "fare: full" })).toBeVisible();
  await expect(page.getByRole("cell", { name: "12" })).toHaveCount(0);
});
