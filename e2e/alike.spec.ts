import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

test("programs that fail alike get one decision, one of them taken out, and it is undone as one", async ({ page }) => {
  await page.goto("/courses");
  await page.getByRole("link", { name: "Kittiwake Crossing, group 2" }).click();
  await page.getByRole("link", { name: "Deck loads" }).click();
  await page.getByRole("link", { name: "Overview" }).click();
  await page.getByRole("link", { name: "Decide those that fail alike" }).click();
  const first = page.getByRole("form").first();
  await expect(first.getByRole("heading", { name: /^\d+ cases: / })).toBeVisible();
  await noBarriers(page);
  const heading = (await first.getByRole("heading").textContent()) ?? "";
  const count = Number(/^(\d+) cases/.exec(heading)?.[1]);
  expect(count).toBeGreaterThan(1);
  const same = page.getByRole("heading", { name: heading, exact: true });

  // One is taken out and is what is left: a group of one is none.
  await first.getByRole("checkbox").first().uncheck();
  await first.getByRole("button", { name: count === 2 ? "Decide this one" : `Decide these ${count - 1}` }).click();
  await expect(page.getByText(`Decided: ${count - 1} case`)).toBeVisible();
  await expect(same).toHaveCount(0);

  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText(`Undone: ${count - 1} case`)).toBeVisible();
  await expect(same).toBeVisible();

  // Against the evidence a reason is asked for, and nothing is sent without one.
  const form = page.locator("form").filter({ has: same });
  const other = /result line/.test(heading) ? "runtime error" : "logic error";
  await form.getByRole("radio", { name: other }).check();
  await expect(form.getByLabel("Why, against the evidence")).toBeVisible();
  await form.getByRole("button", { name: /^Decide these/ }).click();
  await expect(same).toBeVisible();
  await expect(page.getByText(/^Undone/)).toBeVisible();
});
