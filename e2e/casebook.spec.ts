import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

test("questions of the Casebook are answered by a chart and its table, and a row leads to its cases", async ({
  page,
}) => {
  await page.goto("/casebook");
  await page
    .getByRole("navigation", { name: "Parts of the Casebook" })
    .getByRole("link", { name: "Questions" })
    .click();
  await expect(page.getByRole("img", { name: /^Which mistakes are made most\?/ })).toBeVisible();
  await page.getByLabel("Which course").selectOption({ label: "Kittiwake Crossing, two terms" });
  await expect(page).toHaveURL(/course=[^&]/);
  await page.getByRole("link", { name: "Is it getting better?" }).click();
  await expect(page.getByRole("columnheader", { name: "faults per program" })).toBeVisible();
  await noBarriers(page);
  await page.getByRole("link", { name: "How do the faults show?" }).click();
  await page.getByRole("link", { name: "syntax error" }).click();
  await expect(page).toHaveURL(/class=syntax/);
  await expect(page.getByLabel("Which course")).toHaveValue(/.+/);
  await expect(page.getByRole("listitem").filter({ hasText: "syntax error" }).first()).toBeVisible();
});

test("a pasted message finds what was done about it; a text without one says so", async ({ page }) => {
  await page.goto("/casebook/seen");
  await page
    .getByLabel("An error output")
    .fill(
      "Traceback (most recent call last):\n  File \"a.py\", line 4, in <module>\nNameError: name 'frae' is not defined\n",
    );
  await page.getByRole("button", { name: "Have I seen this?" }).click();
  await expect(page.getByRole("heading", { name: "NameError: name 'frae' is not defined" })).toBeVisible();
  await expect(page.getByRole("link", { name: "Load on the car deck", exact: true })).toBeVisible();
  await noBarriers(page);
  await page.getByLabel("An error output").fill("All is well.");
  await page.getByRole("button", { name: "Have I seen this?" }).click();
  await expect(page.getByRole("alert")).toContainText("No tool’s message");
});

test("a pattern shows the same mistake in its languages; the kind of a case is confirmed and undone", async ({
  page,
}) => {
  await page.goto("/patterns");
  await noBarriers(page);
  await page.getByRole("searchbox").fill("own misspelt");
  await page.getByRole("button", { name: "Find" }).click();
  await page.getByRole("link", { name: "A name of one's own misspelt" }).click();
  await expect(page.getByRole("row", { name: /^Java syntax error refused/ })).toBeVisible();
  await expect(page.getByRole("row", { name: /^Python runtime error stops/ })).toBeVisible();
  await noBarriers(page);
  await page.getByRole("link", { name: "Load on the car deck", exact: true }).click();
  await page.getByRole("button", { name: "Yes, this kind" }).click();
  await expect(page.getByRole("combobox", { name: "Kind of mistake" })).toHaveValue("own-name-misspelt");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(page.getByRole("button", { name: "Yes, this kind" })).toBeVisible();
  await page.getByRole("link", { name: "Card", exact: true }).click();
  await expect(page.getByRole("heading", { name: /^Python at a glance/ })).toBeVisible();
  await page.getByLabel("A list of").fill("3");
  await expect(page.getByText("elements has the positions 0 to 2; 3 is past the end.")).toBeVisible();
  await noBarriers(page);
  await page.getByRole("link", { name: "Seen", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Seen before" })).toBeVisible();
});

test("a pattern of one's own is kept with an example that ran; one that does not run says why and loses nothing", async ({
  page,
}) => {
  await page.goto("/patterns/own");
  await page.getByLabel("Name", { exact: true }).fill("Fare of yesterday");
  await page.getByLabel("The right program").fill("fare = 9\nprint(fare)\n");
  await page.getByLabel("The same with the slip").fill("fare = 9\nprint(fare)\n");
  await page.getByRole("button", { name: /Keep it/ }).click();
  await expect(page.getByRole("alert")).toContainText("does the same as the right one");
  await expect(page.getByLabel("The right program")).toHaveValue("fare = 9\nprint(fare)\n");
  await page.getByRole("link", { name: "Go on with it" }).click();
  await expect(page).toHaveURL(/\/patterns\/own\/\w+/);
  await expect(page.getByRole("heading", { name: "Fare of yesterday" })).toBeVisible();
  await page.getByLabel("The same with the slip").fill("fare = 8\nprint(fare)\n");
  await page.getByRole("button", { name: /Keep it/ }).click();
  await expect(page.getByText("silent: a wrong result")).toBeVisible();
  await noBarriers(page);
  await page.getByRole("button", { name: "Put away" }).click();
  await expect(page).toHaveURL(/\/patterns$/);
});

test("a course's week has its mistakes, and a lesson page is made of them", async ({ page }) => {
  await page.goto("/courses");
  await page.getByRole("link", { name: "Kittiwake Crossing, two terms" }).click();
  await page.getByRole("link", { name: "Week by week" }).click();
  // One of each week is worked through by the demo; the others are judged behind the page.
  const before = page.getByRole("link", { name: "the week before" });
  const heading = page.getByRole("heading", { level: 1 });
  await expect(before).toBeVisible();
  for (let weeks = 0; weeks < 30 && (await before.isVisible()); weeks++) {
    const now = (await heading.textContent()) ?? "";
    await before.click();
    await expect(heading).not.toHaveText(now);
  }
  await expect(async () => {
    await page.reload();
    await expect(page.getByRole("heading", { name: /mistakes? of this class/ })).toBeVisible({ timeout: 2000 });
    await expect(page.getByRole("button", { name: "Make an exercise of it" }).first()).toBeVisible({ timeout: 2000 });
  }).toPass({ timeout: 120_000 });
  await noBarriers(page);
  await page.getByRole("button", { name: "Put these into a lesson page" }).click();
  await expect(page.getByRole("heading", { name: /^What we learn from/ })).toBeVisible();
  await expect(page.getByText("Find the slip in this program").first()).toBeVisible();
});
