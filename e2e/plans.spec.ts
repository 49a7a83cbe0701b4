import { type Browser, expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { codeOf, enter } from "./demo.ts";

/** A student sits the sheet and answers its first exercise. */
async function sits(browser: Browser, origin: string, sheet: string, label: string, code: string, reason: string) {
  const context = await browser.newContext({ baseURL: origin, viewport: { width: 375, height: 740 } });
  const student = await context.newPage();
  await enter(student, sheet, label, code);
  await student.getByRole("radio", { name: "logic error" }).first().check();
  await student.getByLabel("Why is it that kind?").first().fill(reason);
  await expect(student.getByText("All answers are saved.")).toBeVisible();
  const source = await student.content();
  expect(source).not.toMatch(/faultyLines|hiddenChecks|"hunks"/);
  await student.getByRole("button", { name: "Hand in" }).click();
  await expect(student.getByText("Your teacher will release the marks.")).toBeVisible();
  return { student, context };
}

test.describe.configure({ mode: "serial" });

/** Where the planned sheet stands, and its code, from when it is set. */
let address = "";
let sheet = "";

test("exercises are planned from a model, made a sheet and set", async ({ page }) => {
  await page.goto("/sheets");
  await page.getByRole("link", { name: "Plan exercises with planted faults" }).click();
  await noBarriers(page);
  await page
    .getByLabel("The model of an assignment")
    .selectOption({ label: "Deck loads · Kittiwake Crossing, group 2" });
  await page.getByLabel("How many").fill("3");
  await page.getByRole("checkbox", { name: "logic error" }).check();
  await page.getByRole("button", { name: "Plan them" }).click();
  await expect(page.getByText(/3 of 3, proven by runs/)).toBeVisible({ timeout: 90_000 });
  await noBarriers(page);
  await page.getByLabel("Title").fill("Found by planting");
  await page.getByLabel("Course").selectOption({ label: "Kittiwake Crossing, group 1" });
  await page.getByRole("button", { name: "Make the sheet" }).click();
  await expect(page.getByRole("heading", { name: "Found by planting" })).toBeVisible();
  await page.getByRole("button", { name: "Set it for students" }).click();
  sheet = (await page.getByText("Sheet code").locator("strong").textContent()) ?? "";
  expect(sheet).not.toBe("");
  address = page.url();
});

test("planned exercises are sat by two, moderated together, released and read", async ({ page, browser }) => {
  const { origin } = new URL(address);
  const general = "It runs and does not crash, but the output is not the expected one.";
  const [first, second] = [await codeOf(page, "S-03"), await codeOf(page, "S-04")];
  const one = await sits(browser, origin, sheet, "S-03", first, general);
  const two = await sits(browser, origin, sheet, "S-04", second, `  ${general} `);
  await two.context.close();

  await page.goto(`${address}/marks`);
  await page.getByRole("link", { name: "All answers to Which kind of error is it?, exercise 1" }).click();
  await expect(page.getByText(/2 answers, 1 different; 1 waits for you/)).toBeVisible();
  await noBarriers(page);
  await expect(page.getByText("Suggested: 0.5")).toBeVisible();
  await page.getByRole("listitem", { name: "Answer of S-03, S-04" }).focus();
  await page.keyboard.press("1");
  await expect(page.getByText("reason: 1 of 1")).toBeVisible();
  await page.getByRole("link", { name: "Mark book" }).click();
  await page.getByRole("link", { name: "The sheet" }).click();
  await page.getByRole("button", { name: "Release marks" }).click();
  await expect(page.getByText("Students see their marks now.")).toBeVisible();

  const { student } = one;
  await student.reload();
  await expect(student.getByText(/You earned 2 of \d+ marks\./)).toBeVisible();
  await student.getByText("Your answer beside the right one").first().click();
  await expect(student.getByText("Right is: logic error").first()).toBeVisible();
  await noBarriers(student);
  expect(await student.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(375);
  await one.context.close();
});
