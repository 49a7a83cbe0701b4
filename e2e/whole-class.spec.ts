import { execFile } from "node:child_process";
import { mkdtemp, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { classLabels, classSet, drop, newCourse } from "./classPages.ts";

const run = promisify(execFile);
let folder = "";
test.beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
});
test.afterAll(() => rm(folder, { recursive: true, force: true }));

test("a zip of a class is dropped, looked through, corrected, taken in and judged", async ({ page }) => {
  await newCourse(page, "Kittiwake Crossing, dropped", classLabels);
  await page.goto("/collect");
  await page.getByLabel("For the course").selectOption({ label: "Kittiwake Crossing, dropped" });
  await drop(page, "notes.zip", Buffer.from("no zip"));
  await expect(page.getByText("cannot be read as a zip archive")).toBeVisible();
  await drop(page, "deck-loads.zip", await classSet());
  await expect(page.getByText("39 files: 25 programs, 15 error outputs paired")).toBeVisible();
  await noBarriers(page);
  await expect(page.getByText("harbour.png")).toBeVisible();
  const row = (name: string) => page.getByRole("row").filter({ hasText: name });
  await expect(row("S-05/deck.py")).toContainText("same program as S-07");
  await expect(row("S-02/deck_v2.py")).toContainText("next version of S-02/deck.py");

  // An output is taken from one program and given to another; a program is left out; a label is corrected.
  await page
    .getByRole("button", { name: "deck-loads/S-01/deck_error.txt does not belong to deck-loads/S-01/deck.py" })
    .click();
  await expect(page.getByRole("heading", { name: "Outputs without a program" })).toBeVisible();
  await page.getByLabel("belongs to").selectOption("deck-loads/S-01/deck.py");
  await expect(row("S-01/deck.py")).toContainText("chosen by you");
  await page.getByLabel("Take deck-loads/S-24/crossing.pas").uncheck();
  const label = page.getByLabel("Student of deck-loads/S-23/crossing.pas");
  await label.fill("Guest");
  await label.press("Tab");
  await expect(row("S-23/crossing.pas")).toContainText("new label");
  await page.getByRole("button", { name: "Take 24 programs into the Tray" }).click();
  await expect(page.getByText(/^23 of 23 judged by their runs\. All is done\./)).toBeVisible({ timeout: 60_000 });
  await noBarriers(page);

  await page.goto("/casebook");
  await page.getByLabel("Which course").selectOption({ label: "Kittiwake Crossing, dropped" });
  await page.waitForURL(/course=\w/);
  await page.getByRole("searchbox").fill("totl");
  await page.getByRole("button", { name: "Find" }).click();
  await expect(page.getByRole("link", { name: "deck.py" })).toHaveCount(2);
});

test("a message taken apart: to its line and back, follow-ups, warnings with a decision, all as it was", async ({
  page,
}) => {
  await page.goto("/?language=c");
  await page.getByLabel("Which course").selectOption({ label: "Kittiwake Crossing, whole class" });
  await page.waitForURL(/course=\w/);
  await page
    .getByRole("listitem")
    .filter({ hasText: "S-17" })
    .filter({ hasText: "whole class" })
    .getByRole("link", { name: "fares.c" })
    .click();
  await page.getByRole("link", { name: "Messages" }).click();
  const facing = page.getByRole("region", { name: "Facing page" });
  const message = facing.getByRole("article").filter({ hasText: "Work on this one" });
  await expect(message).toContainText("The name “summ” is declared nowhere above.");
  await expect(message).toContainText("at the arrow");
  await message.getByRole("link", { name: "line 18, column 27" }).first().click();
  await expect(page.locator("#line-18")).toBeFocused();
  await page.goto(page.url().replace(/\?.*/, ""));
  await page.getByRole("link", { name: "taken apart" }).click();
  await expect(message).toBeVisible();
  await page.getByRole("button", { name: "All of it, as it was" }).click();
  await expect(
    facing.locator("pre").filter({ hasText: "each undeclared identifier is reported only once" }).first(),
  ).toBeVisible();
  await noBarriers(page);

  await page.goto("/?language=c");
  await page.getByLabel("Which course").selectOption({ label: "Kittiwake Crossing, whole class" });
  await page.waitForURL(/course=\w/);
  await page
    .getByRole("listitem")
    .filter({ hasText: "S-19" })
    .filter({ hasText: "whole class" })
    .getByRole("link", { name: "fares.c" })
    .click();
  await page.getByRole("link", { name: "Messages" }).click();
  const warning = facing.getByRole("article").filter({ hasText: "the layout does not show what belongs together" });
  await expect(warning).toContainText("A line is indented as if it belonged to the if above, and does not.");
  await warning.getByLabel("Note on this warning").fill("this is the fault");
  await warning.getByRole("button", { name: "To mend" }).click();
  await expect(warning).toContainText("to be mended: this is the fault");
  await noBarriers(page);
});

test("a student hands in from a phone, adds to it, and hands in again with curl and our own command", async ({
  page,
  baseURL,
}) => {
  const course = await newCourse(page, "Kittiwake Crossing, handed in", ["Tern", "Gull"]);
  const code = (await page.getByRole("row", { name: /Tern/ }).getByRole("cell").nth(1).textContent()) ?? "";
  await page.getByLabel("Title of a new one").fill("Cars on the deck");
  await page.getByRole("button", { name: "Begin it" }).click();
  await page.getByLabel("the hand-in page is open").check();
  await page.getByRole("button", { name: "Keep" }).last().click();
  await expect(page.getByText("Address for students")).toBeVisible();
  await noBarriers(page);
  const address =
    (await page
      .getByText(/\/s\/hand-in\//)
      .first()
      .textContent()) ?? "";

  await page.setViewportSize({ width: 375, height: 740 });
  await page.goto(address);
  await expect(page.getByLabel("Program", { exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Go on to the program" }).click();
  await expect(page.getByText("Look at your task sheet again")).toBeVisible();
  await noBarriers(page);
  await page.getByLabel("What was it meant to do?").fill("Print how many cars there are.");
  await page.getByLabel("What did it do instead?").fill("It stopped.");
  await page.getByRole("button", { name: "Go on to the program" }).click();
  await page
    .getByLabel("Choose its file")
    .setInputFiles({ name: "cars.py", mimeType: "text/x-python", buffer: Buffer.from("cars = 3\nprint(crs)\n") });
  await expect(page.getByLabel("Program", { exact: true })).toHaveValue("cars = 3\nprint(crs)\n");
  await page.getByLabel(/^Error output/).fill("NameError: name 'crs' is not defined\n");
  await page.getByLabel("Your label").selectOption("Tern");
  await page.getByLabel("Your personal code").fill("WRONG");
  await page.getByRole("button", { name: "Hand it in" }).click();
  await expect(page.getByText("Label and personal code do not belong together")).toBeVisible();
  await expect(page.getByLabel("Program", { exact: true })).toHaveValue("cars = 3\nprint(crs)\n");
  await page.getByLabel("Your personal code").fill(code);
  await page.getByRole("button", { name: "Hand it in" }).click();
  await expect(page.getByText("Your number:")).toBeVisible();
  const receipt = (await page.locator("strong.font-mono").textContent()) ?? "";
  await page.getByLabel("Something you noticed").fill("It is the second line.");
  await page.getByRole("button", { name: "Add it" }).click();
  await expect(page.getByText("It is the second line.")).toBeVisible();
  await noBarriers(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(375);

  await writeFile(join(folder, "cars.py"), "cars = 3\nprint(carz)\n");
  const call = `${new URL(address).origin}/api/hand-in/${address.split("/").at(-1)}`;
  const piped = (command: string) => run("bash", ["-c", command], { cwd: folder });
  const { stdout } = await piped(
    `python3 cars.py 2>&1 | curl -s -F program=@cars.py -F output=@- -F student=Tern -F code=${code} ${call}`,
  );
  expect(stdout).toContain(`Handed in again. Your number is ${receipt}`);
  const refused = await piped(`curl -s -w '%{http_code}' -F program=@cars.py -F student=Tern -F code=nope ${call}`);
  expect(refused.stdout).toBe("Label and personal code do not belong together. Look at your slip again.\n422");
  const { paths } = await (await page.request.get(`${baseURL}/api/openapi.json`)).json();
  expect(Object.keys(paths)).toContain("/api/hand-in/{code}");
  const own = await piped(
    `echo "TypeError: no" | ${process.cwd()}/bin/bent-nail hand-in cars.py --to ${address} --student Tern --code ${code} --json`,
  );
  expect(JSON.parse(own.stdout)).toMatchObject({ receipt, again: true });

  // The teacher sees all tries with their outputs; the student's page shows no verdict.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(course);
  await page.getByRole("link", { name: "Tern" }).click();
  await page.getByRole("link", { name: "Print how many cars there are." }).click();
  await expect(page.getByText("version 3 of 3")).toBeVisible();
  await expect(page.getByText("It is the second line.")).toBeVisible();
  await page.goto(`/s/receipt/${receipt}`);
  await expect(page.getByText("runtime error")).toHaveCount(0);
});

test("a student's name goes everywhere, everything can be taken along and deleted; a course names its classes", async ({
  page,
}) => {
  const course = await newCourse(page, "Kittiwake Crossing, names", ["Heron"]);
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill("# by Marlis Brenner\nprint(carz)\n");
  await page
    .getByLabel("Error output, as it was shown")
    .fill("  File \"/home/marlis brenner/x.py\", line 2\nNameError: name 'carz' is not defined\n");
  await page.getByLabel("What is the program for?").fill("Marlis Brenner counts cars");
  await page.getByText("More: whose, language").click();
  await page.getByLabel("Student", { exact: true }).selectOption({ label: "Heron" });
  await page.getByLabel("The last version that worked").fill("# by Marlis Brenner\ncars = 3\nprint(cars)\n");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(
    page
      .getByText("In the last working version this line was “print(cars)”.")
      .or(page.getByText(/last working version/))
      .first(),
  ).toBeVisible();

  await page.goto(course);
  await page.getByLabel("Names of the classes").selectOption("syntactic");
  await page.getByRole("button", { name: "Keep" }).first().click();
  await expect(page.getByText("Kept.")).toBeVisible();
  await page.getByRole("link", { name: "Heron" }).click();
  await noBarriers(page);
  await page.getByLabel("The name, as it stands there").fill("Marlis Brenner");
  await page.getByRole("button", { name: "Replace it" }).click();
  await expect(page.getByText(/^Replaced in \d+ places\./)).toBeVisible();
  await page.getByRole("link", { name: "Heron counts cars" }).click();
  await expect(page.getByText("# by Heron")).toBeVisible();
  await expect(page.getByText("Marlis")).toHaveCount(0);
  await page.getByRole("button", { name: "Another class" }).click();
  await expect(page.getByRole("radio", { name: "logical error" })).toBeVisible();
  await page.goBack();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Export everything about this student" }).click(),
  ]);
  expect(JSON.parse(await readFile(await download.path(), "utf8"))).toMatchObject({
    label: "Heron",
    cases: [{ title: "Heron counts cars" }],
  });
  await page.getByLabel("To delete everything, type the label").fill("heron?");
  await page.getByRole("button", { name: "Delete for good" }).click();
  await expect(page.getByText("Nothing was deleted.")).toBeVisible();
  await page.getByLabel("To delete everything, type the label").fill("Heron");
  await page.getByRole("button", { name: "Delete for good" }).click();
  await expect(page.getByText("No students yet.")).toBeVisible();
});
