import { expect, type Page, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { classLabels, classSet, drop, newCourse } from "./classPages.ts";

const strip = (page: Page) => page.getByRole("navigation", { name: "Working through" });

/** How many cases are left, as the page says it. */
async function left(page: Page): Promise<number> {
  const text = (await strip(page).textContent()) ?? "";
  return text.includes("nothing is left") ? 0 : Number(/(\d+) left/.exec(text)?.[1]);
}

/** To the next case by its key; the script of it has the focus then. */
async function toNext(page: Page): Promise<void> {
  const before = page.url();
  await page.keyboard.press("n");
  await expect(page).not.toHaveURL(before);
  // The address goes ahead of the page: a key pressed between the two still acts on the case that is to be seen.
  const now = new URL(page.url()).pathname.split("/").at(-1);
  await expect(page.locator(`article[data-case="${now}"]`)).toBeVisible();
  await expect(page.locator("article:focus, [data-line]:focus")).toHaveCount(1);
}

test("a class is worked through by keys alone: one accepts, one goes on, one undoes; no key acts while something is typed", async ({
  page,
}) => {
  await newCourse(page, "Kittiwake Crossing, worked through", classLabels);
  await page.goto("/collect");
  await page.getByLabel("For the course").selectOption({ label: "Kittiwake Crossing, worked through" });
  await drop(page, "deck-loads.zip", await classSet());
  await page.getByRole("button", { name: /Take \d+ programs into the Tray/ }).click();
  await expect(page.getByText(/judged by their runs\. All is done\./)).toBeVisible({ timeout: 60_000 });
  await page.getByRole("link", { name: "Work through them" }).click();
  await expect(strip(page)).toContainText("left");
  await noBarriers(page);
  const all = await left(page);
  expect(all).toBeGreaterThan(20);

  // Accepted with two keys and taken back with one; what is accepted counts as done.
  const proposal = page.getByRole("region", { name: "Proposal" });
  while (!(await proposal.isVisible())) await toNext(page);
  await page.keyboard.press("a");
  await expect(strip(page)).toContainText(`${all - 1} left`);
  await page.keyboard.press("u");
  await expect(page.getByText("Undone.")).toBeVisible();
  await expect(strip(page)).toContainText(`${all} left`);
  await page.keyboard.press("u");
  await expect(strip(page)).toContainText(`${all - 1} left`);

  // A break loses nothing: the place stands in the address, and what was passed can be gone back to.
  const here = page.url();
  await page.reload();
  await expect(strip(page)).toContainText(`${all - 1} left`);
  await expect(page.locator("article:focus, [data-line]:focus")).toHaveCount(1);
  await toNext(page);
  await page.keyboard.press("b");
  await expect(page).toHaveURL(here);

  // Nothing acts while a note is typed.
  const note = page.getByLabel("Your note");
  await note.click();
  await page.keyboard.type("a nab of cu");
  await expect(note).toHaveValue("a nab of cu");
  await expect(strip(page)).toContainText(`${all - 1} left`);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^line 1\b/ }).focus();

  // The rest: accept what is proposed, pass over what shows no fault.
  let seen = 0;
  while (seen < all && (await left(page)) > 0) {
    seen += 1;
    await toNext(page);
    const count = await left(page);
    if (!(await proposal.isVisible())) continue;
    await page.keyboard.press("a");
    await expect(strip(page)).not.toContainText(`${count} left`);
  }
  // What is left are the programs that show no fault: a person has to say what they should do.
  expect(await left(page)).toBeLessThan(all / 2);
});

test("a mended case opens with its record", async ({ page }) => {
  await page.goto("/casebook?text=Tide heights at the slip");
  await page.getByRole("link", { name: "Tide heights at the slip" }).click();
  const record = page.getByRole("region", { name: "Record" });
  await expect(record).toContainText("syntax error");
  await expect(record).toContainText("Faulty line: 2");
  await expect(record).toContainText("heights = [1.2, 2.4, 3.1, 2.2");
  await expect(record).toContainText("Proof: its check passed on");
  await noBarriers(page);
});
