import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { collect } from "./collect.ts";

test("the page of languages says what runs, in which version, by which means", async ({ page }) => {
  await page.goto("/languages");
  for (const words of [
    /^CPython 3/,
    /^Java 17/,
    /^gcc \d/,
    /^Mono \d/,
    /^Free Pascal \d/,
    /^Octave \d/,
    /^LibreOffice \d/,
  ])
    await expect(page.getByRole("cell", { name: words }).first()).toBeVisible();
  await noBarriers(page);
});

test("a program under another language's name is noticed before it is run; the teacher may insist", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByText("More: whose").click();
  await page.getByLabel("Language", { exact: true }).selectOption({ label: "C#" });
  await page
    .getByLabel("Program", { exact: true })
    .fill(
      'public class Deck {\n    public static void main(String[] args) {\n        System.out.println("4");\n    }\n}\n',
    );
  await page.getByLabel("What is the program for?").fill("A program under the wrong name.");
  await page.getByLabel("Should come out").fill("4\n");
  await page.getByLabel("Came out instead").fill("many messages");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByRole("alert").first()).toContainText(
    "This looks like Java, not C#: it has public static void main",
  );
  await expect(page.getByLabel("Language", { exact: true })).toBeVisible();
  await noBarriers(page);
  await page.getByLabel("the language is right").check();
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByRole("heading", { name: "A program under the wrong name." })).toBeVisible();
  await expect(page.getByLabel("Verdict")).toContainText("This looks like Java, not C#");
});

test("a crash that names no line: the place is found and said to be ours", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Letters in the boats' names in C" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("No line was told; a debugger found it at line 13, in main.");
  await expect(page.getByLabel("Found with a debugger")).toContainText("Handed over for printing and lost: Boats:");
  await expect(page.getByRole("button", { name: /^line 13/ })).not.toContainText("tool says");
  await noBarriers(page);
});

test("a check in other surroundings: a file that is absent makes another outcome", async ({ page }) => {
  const program =
    'with open("loads.txt") as loads:\n    print(loads.read())\nwith open("log.txt", "w") as log:\n    log.write("done")\n';
  await collect(page, program, {
    intent: "Print the loads from their file.",
    expected: "4\n",
  });
  await expect(page.getByLabel("Verdict")).toContainText("FileNotFoundError");
  await page.getByRole("button", { name: "Change" }).first().click();
  await page.getByRole("button", { name: "Add a file" }).click();
  await page.getByLabel("File name").fill("../loads.txt");
  await page.getByLabel("Its text").fill("4");
  await page.getByRole("button", { name: "Keep and run" }).click();
  await expect(page.getByLabel("File name")).toHaveValue("../loads.txt");
  await page.getByLabel("File name").fill("loads.txt");
  await noBarriers(page);
  await page.getByRole("button", { name: "Keep and run" }).click();
  await expect(page.getByText("Beside the program: loads.txt.")).toBeVisible();
  await expect(page.getByLabel("Verdict")).toContainText("The output is as intended.");
  await page.getByText("1 file left by this run").click();
  await expect(page.getByText("log.txt made, 4 bytes")).toBeVisible();
});

test("a run that goes on is shown and can be stopped; it decides nothing", async ({ page }) => {
  await page.goto("/");
  // Another test's run may be shown beside it: this one is known by its file's name.
  const buffer = Buffer.from("import time\nprint('casting off')\ntime.sleep(60)\n");
  await page.getByLabel("Choose a file").setInputFiles({ name: "tide.py", mimeType: "text/x-python", buffer });
  await expect(page.getByLabel("Program", { exact: true })).toHaveValue(/casting off/);
  await page.getByLabel("What is the program for?").fill("Wait for the tide.");
  await page.getByLabel("Should come out").fill("casting off\n");
  await page.getByLabel("Came out instead").fill("nothing");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  const strip = page.getByLabel("Runs", { exact: true });
  const own = strip.locator("div").filter({ hasText: "Goes on: Running tide.py" });
  await own.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByRole("heading", { name: "Wait for the tide." })).toBeVisible();
  await expect(page.getByLabel("Verdict")).toContainText("The run was stopped by hand");
});

test("breakpoints in a dry run: only where something runs, on to the next one, and to the end", async ({ page }) => {
  const program =
    '#include <stdio.h>\n\nint main(void)\n{\n    int minutes = 0;\n    int stops;\n    printf("Stops? ");\n    scanf("%d", &stops);\n    for (int stop = 0; stop < stops; stop++)\n        minutes = minutes + 5;\n    printf("Minutes: %d\\n", 35 + minutes);\n    return 0;\n}\n';
  await collect(page, program, {
    intent: "Go through a loop by breakpoints.",
    input: "2\n",
    expected: "Stops? Minutes: 45\n",
  });
  await page.getByRole("link", { name: "Dry run" }).click();
  await page.getByRole("button", { name: "To the start" }).click();
  await expect(page.getByRole("button", { name: "To next breakpoint" })).toBeDisabled();
  const listing = page.getByLabel("The program in the dry run");
  await listing.getByRole("button", { name: /^line 4\b/ }).press("Enter");
  await expect(page.getByText("Line 4 holds nothing to run; the breakpoint is at line 5.")).toBeVisible();
  await listing.getByRole("button", { name: /^line 5, breakpoint/ }).press("Enter");
  await expect(page.getByText("The breakpoint at line 5 is taken away.")).toBeVisible();
  await listing.getByRole("button", { name: /^line 10\b/ }).press("Enter");
  await expect(listing.getByRole("button", { name: /^line 10, breakpoint/ })).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("button", { name: "To next breakpoint" }).click();
  await expect(page.getByText("about to run: line 10")).toBeVisible();
  // The line is about to run for the first time, then for the second.
  const rowsOfLine = page.getByRole("region", { name: "Trace table" }).getByRole("cell", { name: "10", exact: true });
  await expect(rowsOfLine).toHaveCount(0);
  await page.getByRole("button", { name: "To next breakpoint" }).press("p");
  await expect(page.getByText("about to run: line 10")).toBeVisible();
  await expect(rowsOfLine).toHaveCount(1);
  await noBarriers(page);
  for (let times = 0; times < 3; times++)
    if (await page.getByRole("button", { name: "To next breakpoint" }).isEnabled())
      await page.getByRole("button", { name: "To next breakpoint" }).click();
  await expect(
    page.getByRole("region", { name: "Facing page" }).getByText("It ended by itself.").first(),
  ).toBeVisible();
});
