import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { codeOf, enter, openDemoCase } from "./demo.ts";

test.setTimeout(60_000);
test("tasks in steps: made of a case, sat on a phone, what was given stays, a hint counts half", async ({
  page,
  browser,
}) => {
  await openDemoCase(page, "Half fare up to 15");
  await page.getByRole("link", { name: "Make an exercise" }).click();
  await expect(page.getByRole("heading", { name: /^Make an exercise from/ })).toBeVisible();
  for (const group of await page.locator("details").all())
    await group.evaluate((each) => each.setAttribute("open", ""));
  for (const box of await page.getByRole("checkbox").all()) await box.setChecked(false);
  const kinds = ["Which of these lines has an error?", "Predict, run, compare", "Trace, find, mend, trace again"];
  for (const [at, title] of kinds.entries()) {
    const row = page.getByRole("listitem").filter({ hasText: title });
    await row.getByRole("checkbox").check();
    await row.getByLabel("marks").fill(at === 0 ? "5" : "4");
  }
  await noBarriers(page);
  await page.getByLabel("Title, as students see it").fill("Step by step");
  await page.getByRole("button", { name: "Make the exercise" }).click();
  await expect(page.getByRole("heading", { name: "3. Trace, find, mend, trace again" })).toBeVisible();
  await noBarriers(page);
  await page.goto("/sheets");
  await page.getByLabel("Title of a new sheet").fill("In steps");
  await page.getByLabel("Course").selectOption({ label: "Kittiwake Crossing, group 1" });
  await page.getByRole("button", { name: "Begin the sheet" }).click();
  await page.getByLabel("Put on the sheet").selectOption({ label: "Step by step" });
  await page.getByRole("button", { name: "Put it on" }).click();
  await page.getByRole("button", { name: "Set it for students" }).click();
  const sheet = (await page.getByText("Sheet code").locator("strong").textContent()) ?? "";
  const address = page.url();
  const code = await codeOf(page, "S-05");

  const phone = await browser.newContext({ baseURL: new URL(address).origin, viewport: { width: 375, height: 740 } });
  const student = await phone.newPage();
  await enter(student, sheet, "S-05", code);
  const task = (title: string) =>
    student.locator("div.leaf").filter({ has: student.getByRole("heading", { name: title }) });

  // Every line but the faulty one is called right, and so is that one; the hint names what is wrong on it.
  const lines = task("Which of these lines has an error?");
  await expect(lines.locator("fieldset")).toHaveCount(5);
  for (const line of await lines.locator("fieldset").all()) await line.getByRole("radio", { name: "no error" }).check();
  await lines.getByRole("button", { name: "Go on to step 2" }).click();
  await expect(lines.getByText("Line 4: a sign on it is not the one that is meant.")).toBeVisible();
  await lines.locator("fieldset").last().getByRole("radio", { name: "an error" }).check();
  await expect(lines.locator("fieldset").first().getByRole("radio", { name: "an error" })).toBeDisabled();

  const compare = task("Predict, run, compare");
  await compare.getByLabel("It prints").fill("Fare: 6.0");
  await compare.getByRole("radio", { name: "ends by itself" }).check();
  expect(await (await student.request.get(`/s/${sheet}.data`)).text()).not.toContain("Fare: 12");
  await compare.getByRole("button", { name: "Go on to step 2" }).click();
  await expect(compare.getByText("Fare: 12")).toBeVisible();
  await compare.getByLabel("Where is it other than you expected").fill("I took 15 for half price.");
  await expect(student.getByText("All answers are saved.")).toBeVisible();
  await student.reload();
  await expect(compare.getByText("Fare: 12")).toBeVisible();
  await expect(compare.getByLabel("It prints")).toHaveValue("Fare: 6.0");

  const rounds = task("Trace, find, mend, trace again");
  await rounds.getByRole("button", { name: "Go on to step 2" }).click();
  await rounds.getByRole("button", { name: /^line 4:/ }).click();
  await expect(rounds.getByText("Chosen: line 4")).toBeVisible();
  await rounds.getByRole("button", { name: "Go on to step 3" }).click();
  await expect(rounds.getByRole("heading", { name: "Step 3 of 4: Mend it" })).toBeVisible();
  await expect(student.getByText("All answers are saved.")).toBeVisible();
  expect(await student.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(375);
  await noBarriers(student);
  await student.getByRole("button", { name: "Hand in" }).click();
  await expect(student.getByText("Your teacher will release the marks.")).toBeVisible();
  await phone.close();

  await page.goto(`${address}/marks`);
  await page.getByRole("link", { name: "S-05" }).click();
  await expect(page.getByText("4 of 5 are right at first, 1 after the hint.")).toBeVisible();
  await expect(page.getByText("I took 15 for half price.")).toBeVisible();
});
