import { expect, type Page, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

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

/** The demo's assignment of 28 programs, its overview. */
async function overview(page: Page): Promise<void> {
  await page.goto("/courses");
  await page.getByRole("link", { name: "Kittiwake Crossing, group 2" }).click();
  await page.getByRole("link", { name: "Deck loads" }).click();
  await page.getByRole("link", { name: "Overview" }).click();
}

test("programs that fail alike get one decision, one of them taken out, and it is undone as one", async ({ page }) => {
  await overview(page);
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

test("a class is worked through by keys alone: one accepts, one goes on, one undoes; no key acts while something is typed", async ({
  page,
}) => {
  await overview(page);
  await page.getByRole("link", { name: "Work through them" }).click();
  await expect(strip(page)).toContainText("left");
  await noBarriers(page);
  const all = await left(page);
  expect(all).toBe(28);

  // Those that fail alike get one decision by keys, and it is taken back by one.
  await expect(page.locator("article:focus, [data-line]:focus")).toHaveCount(1);
  await page.keyboard.press("g");
  const group = page.locator("form[data-group]");
  await expect(group.first()).toBeFocused();
  await expect(group).not.toHaveCount(1);
  await page.keyboard.press("n");
  await expect(group.nth(1)).toBeFocused();
  const count = await group.nth(1).getByRole("checkbox").count();
  await page.keyboard.press("a");
  await expect(page.getByText(`Decided: ${count} case`)).toBeVisible();
  await page.keyboard.press("u");
  await expect(page.getByText(`Undone: ${count} case`)).toBeVisible();
  await page.keyboard.press("g");
  await expect(strip(page)).toContainText(`${all} left`);
  await expect(page.locator("article:focus, [data-line]:focus")).toHaveCount(1);

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
  // Lines of a case that was accepted with its fix cannot be picked any more; the case itself takes keys as well.
  await page.locator("article[data-case]").focus();

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

test("at twice the size nothing is cut off, and headings and landmarks come in an order that can be read out", async ({
  page,
}) => {
  // 1280 by 800 at 200 % leaves as much room as this.
  await page.setViewportSize({ width: 640, height: 400 });
  await page.goto("/casebook?text=Mean wave height");
  await page.getByRole("link", { name: "Mean wave height of a week" }).click();
  await expect(page.getByRole("region", { name: "Verdict" })).toBeVisible();
  const order = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>("main [aria-label], main h1, main h2, main h3")]
      .filter((each) => each.matches("h1, h2, h3, section, nav"))
      .map((each) => (each.matches("h1, h2, h3") ? each.tagName : (each.getAttribute("aria-label") ?? ""))),
  );
  const places = ["H1", "Verdict", "The program", "The fault in words", "Facing page"].map((name) =>
    order.indexOf(name),
  );
  expect(places).not.toContain(-1);
  expect(places).toEqual([...places].sort((one, other) => one - other));
  for (const leaf of ["messages", "checks", "trace", "mend", "narrow", "structure", "versions"]) {
    await page.goto(`${page.url().split("?")[0]}?leaf=${leaf}`);
    await expect(page.getByRole("region", { name: "Facing page" })).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide, leaf).toBeLessThanOrEqual(0);
    await noBarriers(page);
    const levels = await page.evaluate(() =>
      [...document.querySelectorAll("main h1, main h2, main h3, main h4")].map((each) => Number(each.tagName[1])),
    );
    expect(levels[0]).toBe(1);
    for (const [at, level] of levels.entries()) expect(level - (levels[at - 1] ?? 1), leaf).toBeLessThanOrEqual(1);
  }
  // A line that is pressed brings its values; the order of its parts stays.
  await page.goto(`${page.url().split("?")[0]}?leaf=narrow`);
  await page.getByRole("button", { name: /^line 6\b/ }).click();
  await expect(page.getByRole("region", { name: "Line 6" })).toContainText("last changed in line 5");
  await page.getByRole("textbox", { name: "Print" }).fill("total");
  await page.getByRole("button", { name: "Add" }).first().click();
  await page.getByRole("button", { name: "Run the copy" }).click();
  await expect(page.getByRole("heading", { name: "Tried (1)" })).toBeVisible();
  await noBarriers(page);
});
