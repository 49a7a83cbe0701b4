import { expect, type Page } from "@playwright/test";

/** Opens a case of the demo, however many others there are. */
export async function openDemoCase(page: Page, title: string): Promise<void> {
  await page.goto(`/casebook?text=${encodeURIComponent(title)}`);
  await page.getByRole("link", { name: title }).click();
  await expect(page.getByRole("heading", { name: title })).toBeVisible();
}

/** The personal code of a student of the demo's first course. */
export async function codeOf(page: Page, label: string): Promise<string> {
  await page.goto("/courses");
  await page.getByRole("link", { name: "Kittiwake Crossing, group 1" }).click();
  const row = page.getByRole("row", { name: new RegExp(label) });
  return (await row.getByRole("cell").nth(1).textContent()) ?? "";
}

/** Signs a student in on a sheet, on a page of its own. */
export async function enter(student: Page, sheet: string, label: string, code: string): Promise<void> {
  await student.goto(`/s/${sheet}`);
  await student.getByLabel("Your label").selectOption(label);
  await student.getByLabel("Your personal code").fill(code);
  await student.getByRole("button", { name: "Begin" }).click();
}
