import { expect, test } from "@playwright/test";
import { collect } from "./collect.ts";

test("an empty form says what is missing and loses nothing", async ({ page }) => {
  await page.goto("/");
  await page.getByLabel("What is the program for?").fill("A purpose");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByText("There is no program yet.")).toBeVisible();
  await expect(page.getByLabel("What is the program for?")).toHaveValue("A purpose");
  await page.evaluate(() => localStorage.clear());
});

test("files in UTF-16 and Latin-1 are read, a picture and 3 MB are refused with words", async ({ page }) => {
  await page.goto("/");
  const choose = (name: string, buffer: Buffer) =>
    page.locator('input[type="file"]').setInputFiles({ name, mimeType: "text/x-python", buffer });
  await choose("tide.py", Buffer.from("\ufeffprint('höchste')\n", "utf16le"));
  await expect(page.getByText("The file was in UTF-16LE")).toBeVisible();
  await expect(page.getByLabel("Program", { exact: true })).toHaveValue("\ufeffprint('höchste')\n".slice(1));
  await choose("latin.py", Buffer.from("print('höchste')\n", "latin1"));
  await expect(page.getByText("The file was in LATIN-1")).toBeVisible();
  await choose("picture.py", Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1, 2, 3]));
  await expect(page.getByText("is no program text and was not taken")).toBeVisible();
  await choose("large.py", Buffer.alloc(3 * 1024 * 1024, "x = 1\n"));
  await expect(page.getByText("larger than 2 MB and was not taken")).toBeVisible();
  await expect(page.getByLabel("Program", { exact: true })).toHaveValue("print('höchste')\n");
  await page.evaluate(() => localStorage.clear());
});

test("2 MB of text are taken in", async ({ page }) => {
  await page.goto("/");
  await page.locator('input[type="file"]').setInputFiles({
    name: "long.py",
    mimeType: "text/x-python",
    buffer: Buffer.from(`print(1)\n${"# a remark of the crossing\n".repeat(70_000)}`),
  });
  await page.getByLabel("Should come out").fill("2");
  await page.getByLabel("Came out instead").fill("1");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("Output line 1 is “1”; intended is “2”.", { timeout: 60_000 });
});

test("printed markup and control characters stay text", async ({ page }) => {
  await collect(page, 'print("<script>document.title=1</script>\\x1b[2J\\x07")\nprint(1/0)\n', {
    symptom: "nothing appears",
  });
  await expect(page.getByLabel("Console of the run as handed in")).toContainText(
    "<script>document.title=1</script>␛[2J␇",
  );
  await expect(page).toHaveTitle(/Bent Nail/);
});

test("a message of another version is shown beside the run, which weighs more", async ({ page }) => {
  await collect(page, "print(1)\nprint(boat)\n", {
    errorOutput:
      'Traceback (most recent call last):\n  File "x.py", line 40, in <module>\n    x\nIndexError: list index out of range\n',
  });
  await expect(page.getByLabel("Verdict")).toContainText("it seems to belong to another version");
  await expect(page.getByRole("region", { name: "Proposal" })).toContainText("runtime error");
});

test("two windows on one case: the later change is told and overwrites nothing", async ({ page, context }) => {
  await collect(page, "print(1)\nprint(2)\n", { expected: "3" });
  const other = await context.newPage();
  await other.goto(page.url());
  await page.getByRole("button", { name: /^line 1\b/ }).click();
  await expect(page.getByRole("button", { name: /^line 1, faulty line/ })).toBeVisible();
  await other.getByRole("button", { name: /^line 2\b/ }).click();
  await expect(other.getByRole("alert")).toContainText("changed in another window");
  await expect(other.getByRole("button", { name: /^line 1, faulty line/ })).toBeVisible();
});

test("a case that was put away comes back with one press", async ({ page }) => {
  await collect(page, "print('to be put away')\n", { expected: "x" });
  await page.getByRole("button", { name: "Put away" }).first().click();
  await expect(page.getByText("The case was put away.")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("The case was put away.")).toBeHidden();
});

test("a sheet that is closed while a student types says so, and what was saved counts", async ({ page, browser }) => {
  await page.goto("/sheets");
  await page.getByRole("link", { name: "Debugging 1: errors on the ferry" }).click();
  const code = (await page.getByText("Sheet code").locator("strong").textContent()) ?? "";
  const address = page.url();
  await page.goto("/courses");
  await page.getByRole("link", { name: "Kittiwake Crossing, group 1" }).click();
  const personal = (await page.getByRole("row", { name: /S-09/ }).getByRole("cell").nth(1).textContent()) ?? "";
  const context = await browser.newContext({ baseURL: new URL(page.url()).origin });
  const student = await context.newPage();
  await student.goto(`/s/${code}`);
  await student.getByLabel("Your label").selectOption("S-09");
  await student.getByLabel("Your personal code").fill(personal);
  await student.getByRole("button", { name: "Begin" }).click();
  await student.getByLabel("Why is it that kind?").first().fill("saved in time");
  await student.getByRole("radio", { name: "syntax error" }).first().check();
  await expect(student.getByText("All answers are saved.")).toBeVisible();
  // The page hears of the closing every few seconds only; here it does not hear of it before something is typed.
  await student.route("**/beat", (route) => route.abort());
  await page.goto(address);
  await page.getByRole("button", { name: "Close it" }).click();
  await expect(page.getByText("It is closed.")).toBeVisible();
  await student.getByLabel("Why is it that kind?").first().fill("typed too late");
  await expect(student.getByText("This came after the sheet was handed in. It is kept")).toBeVisible();
  await page.getByRole("link", { name: "Mark book" }).click();
  await page.getByRole("link", { name: "S-09" }).click();
  await expect(page.getByText("“saved in time”")).toBeVisible();
  await context.close();
});

test("pages for paper: sheet, scheme, case and blank table, without the interface", async ({ page }) => {
  await page.goto("/sheets");
  await page.getByRole("link", { name: "Debugging 1: errors on the ferry" }).click();
  await page.getByRole("link", { name: "The sheet" }).click();
  await page.emulateMedia({ media: "print" });
  await expect(page.getByText("Label: ____")).toBeVisible();
  await expect(page.getByText("Print this page with your browser")).toBeHidden();
  await expect(page.getByText("append(hour)")).toHaveCount(0);
  await page.goBack();
  await page.getByRole("link", { name: "The mark scheme" }).click();
  await expect(page.getByRole("heading", { name: /Mark scheme: Debugging 1/ })).toBeVisible();
  await expect(
    page.getByText("departures.append(hour) ").or(page.getByText("→ departures.append(hour)")).first(),
  ).toBeVisible();
  const sums = await page.locator("li > strong").allTextContents();
  expect(sums.reduce((sum, text) => sum + Number(/\((\d+)\)/.exec(text)?.[1] ?? 0), 0)).toBe(41);
});

test("an address that leads nowhere says so and leads back", async ({ page }) => {
  const response = await page.goto("/cases/nothing-here");
  expect(response?.status()).toBe(404);
  await expect(page.getByRole("link", { name: "Go to the first page" })).toBeVisible();
});

test("changes from another site and under a foreign host name are refused", async ({ request, baseURL }) => {
  expect(
    (
      await request.post("/courses", {
        form: { name: "x", language: "python" },
        headers: { Origin: "http://elsewhere.test" },
      })
    ).status(),
  ).toBe(403);
  expect((await request.get("/", { headers: { Host: "elsewhere.test" } })).status()).toBe(403);
  expect(
    (await request.get("/", { headers: { Origin: baseURL ?? "" } })).headers()["content-security-policy"],
  ).toContain("script-src 'self' 'nonce-");
});
