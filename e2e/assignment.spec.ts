import { expect, test } from "@playwright/test";
import yazl from "yazl";
import { noBarriers } from "./axe.ts";
import { drop, newCourse } from "./classPages.ts";

const model = `cars = int(input("Cars? "))
total = 0
for car in range(cars):
    load = int(input("Load: "))
    total = total + load
print("Total:", total)
print("May sail" if total <= 20 else "Too heavy")  # modelword
`;
const right = model.replace("  # modelword", "");

/** What a class handed in: a right program in other words, three kinds of fault, two that fail alike. */
const programs: Readonly<Record<string, string>> = {
  "S-01": right.replace('"Cars? "', '"How many cars wait?\\n"').replace('"Load: "', '"> "'),
  "S-02": right.replace("<= 20", "< 20"),
  "S-03": right.replace("<= 20", "< 20").replace('"Load: "', '"weight "'),
  "S-04": right.replace("range(cars):", "range(cars)"),
  "S-05": right.replace('int(input("Load: "))', 'input("Load: ")'),
};

async function zipped(): Promise<Buffer> {
  const file = new yazl.ZipFile();
  for (const [label, text] of Object.entries(programs)) file.addBuffer(Buffer.from(text), `deck/${label}/deck.py`);
  file.end();
  const parts: Buffer[] = [];
  for await (const part of file.outputStream) parts.push(Buffer.from(part));
  return Buffer.concat(parts);
}

test("an assignment said once judges a class: model, inputs proposed, a zip dropped, overview read, a check changed", async ({
  page,
}) => {
  await newCourse(page, "Kittiwake Crossing, assigned", Object.keys(programs));
  await page.getByLabel("Title of a new one").fill("Deck loads");
  await page.getByRole("button", { name: "Begin it" }).click();
  await page.waitForURL(/assignments\/\w+/);
  const assignment = page.url();
  await noBarriers(page);

  await page.getByLabel("Statement").fill("Add up the loads of the deck.");
  await page.getByRole("button", { name: "Keep", exact: true }).first().click();
  await expect(page.getByText("Kept.", { exact: true })).toBeVisible();
  await page.getByLabel("Name of its file").fill("deck.py");
  await page.getByLabel("The model", { exact: true }).fill(model);
  await page.getByRole("button", { name: "Add it and run it" }).click();
  await expect(page.getByText("What is typed in: cars, load")).toBeVisible();
  await page.getByRole("button", { name: "Take those that matter" }).click();
  await expect(page.getByText(/added, with what the model gives/)).toBeVisible();
  await page.getByRole("button", { name: /^Confirm all/ }).click();
  await expect(page.getByText(/Proven: it passes all \d+ checks\./)).toBeVisible();
  await noBarriers(page);

  // One more by hand: exactly at the limit.
  await page.getByRole("button", { name: "Add a check" }).click();
  await page.getByLabel("Name", { exact: true }).fill("hiddenlimit");
  await page.getByLabel("Typed in", { exact: true }).fill("2\n12\n8\n");
  await page.getByLabel(/^Should come out/).fill("Total: 20\nMay sail\n");
  await page.getByRole("button", { name: "Keep", exact: true }).first().click();
  await expect(page.getByRole("button", { name: "Change hiddenlimit" })).toBeVisible();

  await page.goto("/collect");
  await page.getByLabel("For the course").selectOption({ label: "Kittiwake Crossing, assigned" });
  await drop(page, "deck.zip", await zipped());
  await page.getByLabel("Written for").selectOption({ label: "Deck loads" });
  await page.getByRole("button", { name: "Take 5 programs into the Tray" }).click();
  await expect(page.getByText(/^5 of 5 judged by their runs\. All is done\./)).toBeVisible({ timeout: 60_000 });
  await page.getByRole("link", { name: "Overview of the assignment" }).click();

  await expect(page.getByText("5 programs: 1 syntax, 1 runtime, 2 logic, 1 no fault shown")).toBeVisible();
  const row = (label: string) => page.getByRole("row").filter({ hasText: label });
  await expect(row("S-01")).toContainText("no fault shown");
  await expect(row("S-04")).toContainText("syntax error");
  await expect(row("S-05")).toContainText("runtime error");
  const alike = page.getByRole("listitem").filter({ hasText: "2 programs" });
  await expect(alike.getByRole("link", { name: "S-02" })).toBeVisible();
  await expect(alike.getByRole("link", { name: "S-03" })).toBeVisible();
  await page.getByRole("link", { name: "S-02, hiddenlimit: another result" }).click();
  const pressed = page.getByRole("region", { name: "The run of the pressed cell" });
  await expect(pressed).toContainText("Too heavy; intended is May sail");
  await noBarriers(page);
  // The arrow keys go from cell to cell.
  await page.getByRole("link", { name: "S-02, hiddenlimit: another result" }).focus();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("link", { name: "S-03, hiddenlimit: another result" })).toBeFocused();

  // At the limit a deck is too heavy from now on: who was wrong there is right, and the other way round.
  await page.goto(assignment);
  await page.getByRole("button", { name: "Change hiddenlimit" }).click();
  await page.getByLabel(/^Should come out/).fill("Total: 20\nToo heavy\n");
  await page.getByRole("button", { name: "Keep", exact: true }).first().click();
  await expect(page.getByText("Before: “Total: 20\nMay sail”")).toBeVisible();
  await page.getByRole("link", { name: "Overview" }).click();
  // Work behind the pages lets people's runs go first, those of other tests among them.
  await expect(page.getByRole("link", { name: "S-02, hiddenlimit: passes" })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole("link", { name: "S-01, hiddenlimit: another result" })).toBeVisible({
    timeout: 60_000,
  });

  // What students reach holds nothing of the model or of checks that are not theirs: page, data, scripts.
  await page.goto(assignment);
  await page.getByLabel("the hand-in page is open").check();
  await page.getByRole("button", { name: "Keep", exact: true }).last().click();
  const address =
    (await page
      .getByText(/\/s\/hand-in\//)
      .first()
      .textContent()) ?? "";
  const answer = await page.request.get(address);
  const markup = await answer.text();
  expect(markup).toContain("Add up the loads of the deck.");
  const scripts = [...markup.matchAll(/\/assets\/[\w.-]+\.js/g)].map(([path]) => path);
  expect(scripts.length).toBeGreaterThan(2);
  const read = [
    markup,
    await (await page.request.get(`${address}.data`)).text(),
    await (await page.request.get(`${address}.data?_routes=handIn%2Fpage`)).text(),
    ...(await Promise.all(
      [...new Set(scripts)].map(async (path) => (await page.request.get(new URL(path, address).href)).text()),
    )),
  ];
  for (const secret of ["modelword", "hiddenlimit", "May sail", "Too heavy"])
    for (const text of read) expect(text).not.toContain(secret);
  await page.setViewportSize({ width: 375, height: 740 });
  await page.goto(address);
  await noBarriers(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(375);
});
