import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

test("a lesson is gone through before a class by keys, part by part, with a program that is really run", async ({
  page,
}) => {
  await page.goto("/lessons");
  await page.getByRole("link", { name: "Three kinds of error" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Three kinds of error" })).toBeVisible();
  await noBarriers(page);
  await page.getByRole("link", { name: "Before the class" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "What the kinds of error are" })).toBeVisible();
  await expect(page.getByText("A rule of the language is broken")).toHaveCount(0);
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("A rule of the language is broken")).toBeVisible();
  await expect(page.getByText("A wrong turning at the lighthouse")).toBeVisible();
  await page.getByLabel("Part").selectOption({ label: "3. A faulty program together" });
  await expect(page.getByText("0 of", { exact: false })).toBeVisible();
  await expect(page.getByRole("list", { name: /^Program / })).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("Pause and think")).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("region", { name: "What comes out" })).toContainText("SyntaxError");
  await page.keyboard.press("r");
  await expect(page.getByText("Pause and think")).toHaveCount(0);
  await noBarriers(page);
});

test("a key that is pressed before a program has been run does not pass its part over", async ({ page }) => {
  let letGo = () => {};
  const held = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  await page.route(/\/exercises\/[^/]+\/present/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto("/lessons");
  await page.getByRole("link", { name: "Three kinds of error" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Three kinds of error" })).toBeVisible();
  await page.getByRole("link", { name: "Before the class" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "What the kinds of error are" })).toBeVisible();
  await page.getByLabel("Part").selectOption({ label: "3. A faulty program together" });
  await expect(page.getByText("The program is being run")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Go on/ })).toBeDisabled();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("part 3 of", { exact: false })).toBeVisible();
  letGo();
  await expect(page.getByRole("list", { name: /^Program / })).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("Pause and think")).toBeVisible();
});

test("students read a lesson that is open, and change one sign: guessed, run, compared, and still there when it is opened again", async ({
  page,
  browser,
}) => {
  await page.goto("/lessons");
  await page.getByRole("link", { name: "Three kinds of error" }).click();
  const address = (await page.getByRole("link", { name: /^\/s\/lesson\// }).getAttribute("href")) ?? "";
  const context = await browser.newContext({ viewport: { width: 375, height: 700 } });
  const student = await context.newPage();
  await student.goto(address);
  await expect(student.getByRole("heading", { level: 1, name: "Three kinds of error" })).toBeVisible();
  await noBarriers(student);
  await student.getByRole("button", { name: /^Change 1 in line/ }).click();
  await student.getByRole("button", { name: "Run it" }).click();
  await expect(student.getByText("First say what you expect.")).toBeVisible();
  await student.getByRole("radio", { name: "logic error" }).check();
  await student.getByRole("textbox", { name: /Which words/ }).fill("nothing at all");
  await student.getByRole("button", { name: "Run it" }).click();
  const table = student.getByRole("table");
  await expect(table).toContainText("nothing at all");
  await expect(table).toContainText("as you expected");
  const changed = student.getByRole("textbox", { name: /with one sign changed/ });
  await changed.fill(`${await changed.inputValue()} ??`);
  await student.getByRole("radio", { name: "syntax error" }).check();
  await student.getByRole("button", { name: "Run it" }).click();
  await expect(student.getByText("That is more than one sign.")).toBeVisible();
  await student.reload();
  await expect(table).toContainText("nothing at all");
  expect(await student.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(375);
  await context.close();
});

test("a teacher begins a lesson, leaves a part out, and opens it; the plan on paper follows", async ({ page }) => {
  await page.goto("/lessons");
  await page.getByLabel("Title").fill("Only reading");
  await page.getByLabel("With the sheet").selectOption({ label: "none: begin with no parts" });
  await page.getByRole("button", { name: "Begin the lesson" }).click();
  await page.getByLabel("One more part").selectOption({ label: "Something to read" });
  await page.getByRole("button", { name: "Add it" }).click();
  await page.getByText("Change it", { exact: true }).click();
  await page.getByLabel(/^Text\./).fill("The tide comes twice a day.\n\n? When does it come next?");
  await page.getByRole("button", { name: "Keep it so" }).nth(0).click();
  await expect(page.getByText("1 minute, task 1")).toBeVisible();
  await page.getByRole("button", { name: "Something to read: Leave it out" }).click();
  await expect(page.getByText("0 minutes in all")).toBeVisible();
  await page.getByRole("button", { name: "Something to read: Take it in" }).click();
  await page.getByRole("button", { name: "Open it with what came out" }).click();
  await expect(page.getByText("It is open for students, with what came out.").first()).toBeVisible();
  await page.getByRole("link", { name: "Plan to print" }).click();
  await expect(page.getByRole("cell", { name: /The tide comes twice/ })).toBeVisible();
  await noBarriers(page);
});
